import { isLoopback } from './own-names'

/** Cookie of a device that goes on without the workshop’s certificate: chosen on the guide, and said there what it means. */
export const WITHOUT_COOKIE = 'fold-anvil-without'

/** What a plain request on the network may see before the device trusts the workshop: the guide, the certificate, the sign. */
const OPEN = /^\/(trust(\/|\?|$)|icon\.svg$)/

/** Where a plain request is sent instead; undefined where it is served: from this machine itself, to the guide, or where the device chose so. */
export function plainWay({
  path,
  host,
  peer,
  cookie,
}: {
  readonly path: string
  readonly host: string | undefined
  readonly peer: string
  readonly cookie: string
}): string | undefined {
  const isHere = isLoopback(host) && /^(::ffff:)?127\.|^::1$/.test(peer)
  if (isHere || OPEN.test(path) || path.startsWith('/_next/static/') || cookie.split(/;\s*/).includes(`${WITHOUT_COOKIE}=1`))
    return undefined
  return `/trust?to=${encodeURIComponent(path)}`
}
