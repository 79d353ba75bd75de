import { authorityCertificate, hasAuthority } from '@/server/lan/tls-files'

export const dynamic = 'force-dynamic'

/** The workshop’s own authority, as a phone installs it. */
export function GET(): Response {
  if (!hasAuthority()) return new Response(null, { status: 303, headers: { location: '/' } })
  return new Response(Buffer.from(authorityCertificate()), {
    headers: {
      'content-type': 'application/x-x509-ca-cert',
      'content-disposition': 'attachment; filename="fold-anvil-workshop.crt"',
      'cache-control': 'no-store',
    },
  })
}
