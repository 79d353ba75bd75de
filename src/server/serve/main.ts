import { randomBytes } from 'node:crypto'
import { accessSync, constants, mkdirSync } from 'node:fs'
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http'
import { createServer as createSecureServer } from 'node:https'
import type { Server } from 'node:net'
import { TLSSocket } from 'node:tls'
import next from 'next'
import { dataFolder } from '../data-folder'
import { clearLeftovers } from '../db/leftovers'
import { FolderTaken, holdFolder } from '../folder-lock'
import { workshopCertificate } from '../lan/authority'
import { PEER, SCHEME } from '../lan/own-headers'
import { answerHeaders, turnedAway } from './guard'
import { onePort } from './one-port'
import { ownHosts } from './own-names'
import { plainWay } from './plain-way'
import { WARMING, warmUp } from './warm-up'

/** What a proxy would say of the request; there is none before us, so nobody may say it. */
const HEARSAY = [
  'x-forwarded-host',
  'x-forwarded-for',
  'x-forwarded-proto',
  'x-forwarded-port',
  'forwarded',
  'x-real-ip',
  'x-middleware-subrequest',
  PEER,
  SCHEME,
]
/** Seconds that open requests are given when the program is told to end. */
const END_S = 3

interface Serving {
  readonly port: number
  readonly onNetwork: boolean
  readonly dev: boolean
}

/** Ends with words where the data folder cannot be used: not writable, or another process has it. */
function takeFolder(address: string): void {
  try {
    mkdirSync(dataFolder(), { recursive: true })
    accessSync(dataFolder(), constants.W_OK)
    if (holdFolder(address)) clearLeftovers()
  } catch (error) {
    if (error instanceof FolderTaken) process.stderr.write(`${error.message}\n`)
    else
      process.stderr.write(
        `The data folder ${dataFolder()} cannot be written (${error instanceof Error ? error.message : String(error)}). Change its permissions, make room, or set FOLD_ANVIL_DATA to another folder.\n`,
      )
    process.exit(error instanceof FolderTaken ? 3 : 1)
  }
}

const one = (value: string | string[] | undefined): string | undefined => (Array.isArray(value) ? value[0] : value)

/** Turns a request away, or marks it as let in; true where it may go on. */
function letIn(request: IncomingMessage, response: ServerResponse, { port, onNetwork, dev }: Serving): boolean {
  const path = request.url ?? ''
  const nonce = randomBytes(16).toString('base64')
  const headers = answerHeaders(nonce, path)
  for (const [name, value] of Object.entries(headers)) if (!dev || name !== 'content-security-policy') response.setHeader(name, value)
  const { host, origin } = request.headers
  const away = turnedAway(
    {
      method: request.method ?? '',
      path,
      host,
      origin,
      fetchSite: one(request.headers['sec-fetch-site']),
      fetchMode: one(request.headers['sec-fetch-mode']),
      contentLength: request.headers['content-length'],
      transferEncoding: request.headers['transfer-encoding'],
    },
    ownHosts(port, onNetwork),
  )
  if (away) {
    const { status, code, message } = away
    response.writeHead(status, { 'content-type': 'application/json', connection: 'close' })
    response.end(JSON.stringify({ error: { code, message, issues: [] } }))
    return false
  }
  const isSecure = request.socket instanceof TLSSocket
  const peer = request.socket.remoteAddress ?? ''
  const elsewhere = onNetwork && !isSecure ? plainWay({ path, host, peer, cookie: request.headers.cookie ?? '' }) : undefined
  if (elsewhere !== undefined) {
    response.writeHead(303, { location: elsewhere })
    response.end()
    return false
  }
  for (const name of HEARSAY) delete request.headers[name]
  request.headers[PEER] = peer
  request.headers[SCHEME] = isSecure ? 'https' : 'http'
  if (!dev) request.headers['content-security-policy'] = headers['content-security-policy']
  return true
}

/** A connection that is idle stays open so long: a page that writes again a few seconds later does not meet it closing. */
const KEEP_ALIVE_MS = 75_000

function endWhenTold(server: Server, letGo: () => void): void {
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.once(signal, () => {
      server.close(() => process.exit(0))
      letGo()
      setTimeout(() => process.exit(0), END_S * 1000).unref()
    })
}

/** How often it is looked at whether the machine has other addresses now. */
const LOOK_MS = 60_000

/** The same program over TLS, with the workshop’s own certificate; a new one is taken up while it runs. */
async function secureServer(answer: (request: IncomingMessage, response: ServerResponse) => void) {
  const served = await workshopCertificate(LOOK_MS, (next) => secure.setSecureContext(next))
  const secure = createSecureServer({ ...served, keepAliveTimeout: KEEP_ALIVE_MS }, answer)
  secure.on('tlsClientError', (_, socket) => socket.destroy())
  return secure
}

/** Serves the built program: one process, one data folder, own names only. */
async function main(): Promise<void> {
  const port = Number(process.env.PORT ?? '4310')
  const onNetwork = process.env.FOLD_ANVIL_LAN === '1'
  const dev = process.env.FOLD_ANVIL_DEV === '1'
  const bind = onNetwork ? '0.0.0.0' : '127.0.0.1'
  const address = `http://127.0.0.1:${port}`
  takeFolder(address)
  const app = next({ dev, hostname: '127.0.0.1', port })
  let askedAt = Date.now()
  const answer = (request: IncomingMessage, response: ServerResponse) => {
    if (request.headers['user-agent'] !== WARMING) askedAt = Date.now()
    if (letIn(request, response, { port, onNetwork, dev })) void handle(request, response)
  }
  const handle = app.getRequestHandler()
  await app.prepare()
  const plain = createServer({ keepAliveTimeout: KEEP_ALIVE_MS }, answer)
  const server: Server = onNetwork ? onePort(plain, await secureServer(answer)) : plain
  server.on('error', (error) => {
    const taken = 'code' in error && error.code === 'EADDRINUSE'
    process.stderr.write(
      taken ? `Port ${port} is in use by another program. Start with --port and another number.\n` : `${error.message}\n`,
    )
    process.exit(1)
  })
  endWhenTold(server, () => plain.closeIdleConnections())
  server.listen(port, bind, () => {
    process.stdout.write(`Fold Anvil is at ${address}\n`)
    if (process.env.FOLD_ANVIL_WARM === '1') void warmUp(address, () => Date.now() - askedAt)
  })
}

Object.assign(process.env, { NODE_ENV: process.env.NODE_ENV ?? 'production' })
void main()
