import { isOnNetwork } from '@/server/lan/pairing'
import { authorityFacts, authorityFingerprint, hasAuthority } from '@/server/lan/tls-files'
import { WITHOUT_COOKIE } from '@/server/serve/plain-way'
import { phoneOf, trustPage } from '@/ui/lan/trust-page'

export const dynamic = 'force-dynamic'

/** A place of this program, never of another. */
const ownPath = (asked: string | null) => (asked?.startsWith('/') && !asked.startsWith('//') ? asked : '/')

/** The guide that a device sees before it trusts the workshop. */
export function GET(request: Request): Response {
  if (!isOnNetwork() || !hasAuthority()) return new Response(null, { status: 303, headers: { location: '/' } })
  const { searchParams } = new URL(request.url)
  const to = ownPath(searchParams.get('to'))
  if (searchParams.get('without') === '1')
    return new Response(null, {
      status: 303,
      headers: { location: to, 'set-cookie': `${WITHOUT_COOKIE}=1; Path=/; HttpOnly; SameSite=Lax; Max-Age=31536000` },
    })
  const host = request.headers.get('host') ?? ''
  const port = /:(\d+)$/.exec(host)?.[1] ?? '443'
  const nonce = /'nonce-([^']+)'/.exec(request.headers.get('content-security-policy') ?? '')?.[1] ?? ''
  const { name } = authorityFacts()
  const places = [...new Set([`https://${name}:${port}`, `https://${host}`])]
  const body = trustPage({
    places,
    to,
    fingerprint: authorityFingerprint(),
    phone: phoneOf(request.headers.get('user-agent') ?? ''),
    nonce,
  })
  return new Response(body, { headers: { 'content-type': 'text/html; charset=utf-8', 'cache-control': 'no-store' } })
}
