import { type NextRequest, NextResponse } from 'next/server'
import { DEVICE_COOKIE, isOnNetwork, isPaired } from '@/server/lan/pairing'

/** On the workshop's network only paired devices come in; on this machine alone there is nothing to ask. */
export function proxy(request: NextRequest): NextResponse {
  if (!isOnNetwork() || isPaired(request.cookies.get(DEVICE_COOKIE)?.value)) return NextResponse.next()
  const message = 'this device is not paired with the workshop; open /pair and enter the code shown under Settings'
  if (request.nextUrl.pathname.startsWith('/api/'))
    return NextResponse.json({ error: { code: 'not-paired', message, issues: [] } }, { status: 401 })
  return NextResponse.redirect(new URL('/pair', `http://${request.headers.get('host') ?? request.nextUrl.host}`), 303)
}

export const config = { matcher: ['/((?!_next/static/|pair$|icon.svg$).*)'] }
