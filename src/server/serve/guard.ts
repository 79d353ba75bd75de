/** What is known of a request before any of the program's pages or interfaces run. */
export interface Knock {
  readonly method: string
  readonly path: string
  readonly host: string | undefined
  readonly origin: string | undefined
  /** Where the browser says the asking page is, and what for. */
  readonly fetchSite: string | undefined
  readonly fetchMode: string | undefined
  readonly contentLength: string | undefined
  readonly transferEncoding: string | undefined
}

export interface TurnedAway {
  readonly status: 400 | 403 | 411 | 413 | 421
  readonly code: string
  readonly message: string
}

/** No request of ours comes near this many bytes, but a photograph that is measured. */
const MOST_BODY_BYTES = 4 * 1024 * 1024
const MOST_PICTURE_BYTES = 32 * 1024 * 1024

/** Bytes that the body of a request to an address may have. */
export const mostBodyBytes = (path: string): number => (/^\/api\/v1\/outline(\?|$)/.test(path) ? MOST_PICTURE_BYTES : MOST_BODY_BYTES)

/** What is said of a body that is larger. */
export const tooLargeWords = (path: string): string => `the body is larger than ${mostBodyBytes(path) / 1024 / 1024} MB; send less at once`
const LONGEST_PATH = 4000

const turn = (status: TurnedAway['status'], code: string, message: string): TurnedAway => ({ status, code, message })

function isPlainPath(path: string): boolean {
  if (path.length > LONGEST_PATH || !path.startsWith('/') || path.startsWith('//')) return false
  try {
    return !decodeURIComponent(path.split('?')[0] ?? '').includes('\0')
  } catch {
    return false
  }
}

function isOwnOrigin(origin: string, hosts: ReadonlySet<string>): boolean {
  return URL.canParse(origin) && /^https?:$/.test(new URL(origin).protocol) && hosts.has(withPort(new URL(origin)))
}

function withPort(url: URL): string {
  return url.port === '' ? `${url.hostname}:${url.protocol === 'https:' ? 443 : 80}` : url.host
}

function foreignFault({ method, origin, fetchSite, fetchMode }: Knock, hosts: ReadonlySet<string>): TurnedAway | undefined {
  const reads = method === 'GET' || method === 'HEAD'
  const isForeign = turn(403, 'foreign-page', 'this came from another site; open Fold Anvil itself')
  if (origin !== undefined && !isOwnOrigin(origin, hosts)) return isForeign
  const fromElsewhere = fetchSite === 'cross-site' || fetchSite === 'same-site'
  return fromElsewhere && !(reads && fetchMode === 'navigate') ? isForeign : undefined
}

function bodyFault({ method, path, contentLength, transferEncoding }: Knock): TurnedAway | undefined {
  if (method === 'GET' || method === 'HEAD') return undefined
  if (transferEncoding !== undefined) return turn(411, 'no-length', 'say how long the body is (Content-Length)')
  const bytes = Number(contentLength ?? '0')
  return bytes > mostBodyBytes(path) ? turn(413, 'too-large', tooLargeWords(path)) : undefined
}

/**
 * Whether a request is turned away at the door. Only the program's own names are answered, so that a foreign page that points its own
 * name at this machine gets nothing; nothing is written for a page of another site; a path must be one.
 */
export function turnedAway(knock: Knock, hosts: ReadonlySet<string>): TurnedAway | undefined {
  if (!hosts.has((knock.host ?? '').toLowerCase())) return turn(421, 'not-this-name', 'Fold Anvil is not served under this name.')
  if (!isPlainPath(knock.path)) return turn(400, 'bad-path', 'this address cannot be read')
  return foreignFault(knock, hosts) ?? bodyFault(knock)
}

/** What every answer says to the browser. Scripts run only with the page's own mark, nothing frames us, nothing is sent elsewhere. */
export function answerHeaders(nonce: string, path: string): Readonly<Record<string, string>> {
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}'`,
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    path.startsWith('/trust') ? "connect-src 'self' https:" : "connect-src 'self'",
    "worker-src 'self' blob:",
    path.startsWith('/api/') ? "object-src 'self'" : "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ')
  return {
    'content-security-policy': policy,
    'x-frame-options': 'DENY',
    'x-content-type-options': 'nosniff',
    'referrer-policy': 'same-origin',
    'permissions-policy': 'camera=(), microphone=(), geolocation=(), payment=(), usb=(), interest-cohort=()',
    'cross-origin-opener-policy': 'same-origin',
    // with it, searches in two workers may share memory; a document to read or to save shares none
    ...(path.startsWith('/api/') ? {} : { 'cross-origin-embedder-policy': 'require-corp' }),
    // the guide looks by it, from the plain page, whether the certificate is trusted
    'cross-origin-resource-policy': path === '/icon.svg' ? 'cross-origin' : 'same-origin',
  }
}
