import { type NextRequest, NextResponse } from 'next/server'
import { SCHEME } from '@/server/lan/own-headers'
import { isOnNetwork, isPaired } from '@/server/lan/pairing'

/** On the workshop's network only paired devices come in; on this machine alone there is nothing to ask. */
export function proxy(request: NextRequest): Response {
  if (!isOnNetwork() || isPaired((name) => request.cookies.get(name)?.value)) return NextResponse.next()
  const message = 'this device is not paired with the workshop; open /pair and enter the code shown under Settings'
  if (request.nextUrl.pathname.startsWith('/api/'))
    return NextResponse.json({ error: { code: 'not-paired', message, issues: [] } }, { status: 401 })
  const scheme = request.headers.get(SCHEME) ?? 'http'
  return NextResponse.redirect(new URL('/pair', `${scheme}://${request.headers.get('host') ?? request.nextUrl.host}`), 303)
}

export const config = { matcher: ['/((?!_next/static/|pair$|trust|manifest.webmanifest$|icon.svg$).*)'] }
