import { createHash, randomBytes, randomInt } from 'node:crypto'
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import * as z from 'zod'
import { dataFolder } from '../data-folder'

/** The cookie a paired device carries; its value is known to nobody else, the workshop keeps only its hash. */
const PLAIN_COOKIE = 'fold-anvil-device'
const SECURE_COOKIE = `__Host-${PLAIN_COOKIE}`

const CODE_DIGITS = 6
const CODE_LIVES_MS = 10 * 60_000
/** After so many wrong codes a device waits, and longer each time; the others and the code are not touched by it. */
const TRIES = 5
const PAUSE_MS = 60_000
const LONGEST_PAUSE_MS = 15 * 60_000
/** So many addresses are remembered for their wrong codes; the oldest are forgotten. */
const MOST_STRANGERS = 500

const deviceSchema = z.object({ hash: z.string(), name: z.string(), at: z.string() })
const stateSchema = z.object({
  code: z.string().regex(/^\d{6}$/),
  madeAtMs: z.number().default(0),
  devices: z.array(deviceSchema),
})
type State = z.output<typeof stateSchema>

/** A device as it is listed: its id says nothing of its token. */
export interface PairedDevice {
  readonly id: string
  readonly name: string
  readonly at: string
}

/** Whether the program was told to listen to the workshop's network; otherwise only this machine reaches it. */
export function isOnNetwork(): boolean {
  return process.env.FOLD_ANVIL_LAN === '1'
}

function freshState(devices: State['devices'], nowMs: number): State {
  return { code: String(randomInt(0, 10 ** CODE_DIGITS)).padStart(CODE_DIGITS, '0'), madeAtMs: nowMs, devices }
}

function statePath(): string {
  return join(dataFolder(), 'paired-devices.json')
}

function write(state: State): State {
  mkdirSync(dataFolder(), { recursive: true })
  writeFileSync(`${statePath()}.new`, JSON.stringify(state), { mode: 0o600 })
  renameSync(`${statePath()}.new`, statePath())
  return state
}

/** What is kept; a file that is missing or cannot be read means that no device is paired. */
function read(nowMs: number): State {
  try {
    return stateSchema.parse(JSON.parse(readFileSync(statePath(), 'utf8')))
  } catch {
    return write(freshState([], nowMs))
  }
}

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}

/** The code for the next device; each pairs one and lives ten minutes. A new one is made where it is older. */
export function pairingCode(nowMs = Date.now()): string {
  const state = read(nowMs)
  return nowMs - state.madeAtMs < CODE_LIVES_MS ? state.code : write(freshState(state.devices, nowMs)).code
}

const idOf = (hash: string) => hash.slice(0, 16)

export function pairedDevices(): readonly PairedDevice[] {
  return read(Date.now()).devices.map(({ hash, name, at }) => ({ id: idOf(hash), name, at }))
}

/** Whether a request's cookies are those of a paired device; over TLS it carries another than over a plain connection. */
export function isPaired(cookieOf: (name: string) => string | undefined): boolean {
  const tokens = [cookieOf(SECURE_COOKIE), cookieOf(PLAIN_COOKIE)].flatMap((token) => (token === undefined ? [] : [hashOf(token)]))
  return tokens.length > 0 && read(Date.now()).devices.some(({ hash }) => tokens.includes(hash))
}

/** The cookie that a device gets when it is paired. */
export function deviceCookie(token: string, isSecure: boolean): string {
  const name = isSecure ? SECURE_COOKIE : PLAIN_COOKIE
  return `${name}=${token}; Path=/; HttpOnly; SameSite=${isSecure ? 'Lax; Secure' : 'Strict'}; Max-Age=31536000`
}

interface Stranger {
  wrong: number
  waitsUntilMs: number
}
/** Wrong codes by address, in memory: it is about the minutes, not the days. */
const shared = globalThis as typeof globalThis & { foldAnvilStrangers?: Map<string, Stranger> }

function strangers(): Map<string, Stranger> {
  shared.foldAnvilStrangers ??= new Map()
  return shared.foldAnvilStrangers
}

export type Pairing = { readonly ok: true; readonly token: string } | { readonly ok: false; readonly message: string }

function wrongCode(from: string, before: Stranger, nowMs: number): Pairing {
  const wrong = before.wrong + 1
  const isOver = wrong % TRIES === 0
  const pauseMs = Math.min(LONGEST_PAUSE_MS, PAUSE_MS * 2 ** (wrong / TRIES - 1))
  const all = strangers()
  all.delete(from)
  all.set(from, { wrong, waitsUntilMs: isOver ? nowMs + pauseMs : 0 })
  const [oldest] = all.keys()
  if (all.size > MOST_STRANGERS && oldest !== undefined) all.delete(oldest)
  const left = TRIES - (wrong % TRIES)
  return {
    ok: false,
    message: isOver
      ? `That is not the code. This device waits ${Math.ceil(pauseMs / 60_000)} min before the next try; read the code under Settings or where the program runs.`
      : `That is not the code; ${left} more ${left === 1 ? 'try' : 'tries'} before this device has to wait.`,
  }
}

/** Pairs a device that knows the code: gives it a token of its own and changes the code. Wrong codes make only their sender wait. */
export function pairDevice(code: string, name: string, from: string, nowMs: number): Pairing {
  const stranger = strangers().get(from) ?? { wrong: 0, waitsUntilMs: 0 }
  if (nowMs < stranger.waitsUntilMs)
    return {
      ok: false,
      message: `Too many wrong codes from this device. Wait ${Math.ceil((stranger.waitsUntilMs - nowMs) / 1000)} s, then try again.`,
    }
  if (code.replace(/\D/g, '') !== pairingCode(nowMs)) return wrongCode(from, stranger, nowMs)
  strangers().delete(from)
  const token = randomBytes(32).toString('base64url')
  const device = { hash: hashOf(token), name: name.trim().slice(0, 40) || 'a device', at: new Date(nowMs).toISOString() }
  write(freshState([...read(nowMs).devices, device], nowMs))
  return { ok: true, token }
}

/** Sends one device away: it must be paired anew. False where there is none of this id. */
export function sendAway(id: string): boolean {
  const state = read(Date.now())
  const devices = state.devices.filter((device) => idOf(device.hash) !== id)
  if (devices.length === state.devices.length) return false
  write({ ...state, devices })
  return true
}
