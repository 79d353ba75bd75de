import { PEER, SCHEME } from '@/server/lan/own-headers'
import { deviceCookie, isOnNetwork, pairDevice, pairingCode } from '@/server/lan/pairing'
import { pairPage } from '@/ui/lan/pair-page'

export const dynamic = 'force-dynamic'

const html = (body: string, status = 200) => new Response(body, { status, headers: { 'content-type': 'text/html; charset=utf-8' } })
const goTo = (path: string, headers: Record<string, string> = {}) =>
  new Response(null, { status: 303, headers: { location: path, ...headers } })

export function GET(request: Request): Response {
  if (!isOnNetwork()) return goTo('/')
  pairingCode() // the code is made with the first look, so that whoever started the program can read it there
  return html(pairPage({ code: new URL(request.url).searchParams.get('code') ?? '' }))
}

export async function POST(request: Request): Promise<Response> {
  if (!isOnNetwork()) return goTo('/')
  const before = pairingCode()
  const form = await request.formData()
  const paired = pairDevice(String(form.get('code') ?? ''), String(form.get('name') ?? ''), request.headers.get(PEER) ?? '', Date.now())
  const next = pairingCode()
  if (next !== before) process.stdout.write(`Pairing code for the next device: ${next}\n`)
  if (!paired.ok) return html(pairPage({ code: '', problem: paired.message }), 422)
  return goTo('/', { 'set-cookie': deviceCookie(paired.token, request.headers.get(SCHEME) === 'https') })
}
