import { createHash, randomBytes, randomInt } from 'node:crypto'
import { mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import * as z from 'zod'
import { dataFolder } from '../data-folder'

/** The cookie a paired device carries; its value is known to nobody else, the workshop keeps only its hash. */
export const DEVICE_COOKIE = 'fold-anvil-device'

const CODE_DIGITS = 6
/** After so many wrong codes in a row the code changes, and for a while none is taken: it cannot be tried out. */
const TRIES = 5
const PAUSE_MS = 60_000

const stateSchema = z.object({
  code: z.string().regex(/^\d{6}$/),
  triesLeft: z.int(),
  pausedUntilMs: z.number().default(0),
  devices: z.array(z.object({ hash: z.string(), name: z.string(), at: z.string() })),
})
type State = z.output<typeof stateSchema>
export type PairedDevice = Pick<State['devices'][number], 'name' | 'at'>

/** Whether the program was told to listen to the workshop's network; otherwise only this machine reaches it. */
export function isOnNetwork(): boolean {
  return process.env.FOLD_ANVIL_LAN === '1'
}

function freshCode(): string {
  return String(randomInt(0, 10 ** CODE_DIGITS)).padStart(CODE_DIGITS, '0')
}

function freshState(devices: State['devices'], pausedUntilMs = 0): State {
  return { code: freshCode(), triesLeft: TRIES, pausedUntilMs, devices }
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
function read(): State {
  try {
    return stateSchema.parse(JSON.parse(readFileSync(statePath(), 'utf8')))
  } catch {
    return write(freshState([]))
  }
}

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}

/** The code for the next device; each pairs one. */
export function pairingCode(): string {
  return read().code
}

export function pairedDevices(): readonly PairedDevice[] {
  return read().devices.map(({ name, at }) => ({ name, at }))
}

/** Whether a request's cookie is that of a paired device. */
export function isPaired(token: string | undefined): boolean {
  return token !== undefined && read().devices.some((device) => device.hash === hashOf(token))
}

export type Pairing = { readonly ok: true; readonly token: string } | { readonly ok: false; readonly message: string }

/** Pairs a device that knows the code: gives it a token of its own and changes the code. Five wrong codes change it too, and pause for a minute. */
export function pairDevice(code: string, name: string, nowMs: number): Pairing {
  const state = read()
  if (nowMs < state.pausedUntilMs)
    return {
      ok: false,
      message: `Too many wrong codes. Wait ${Math.ceil((state.pausedUntilMs - nowMs) / 1000)} s, then enter the new one.`,
    }
  if (code.replace(/\D/g, '') === state.code) {
    const token = randomBytes(32).toString('base64url')
    const device = { hash: hashOf(token), name: name.trim().slice(0, 40) || 'a device', at: new Date(nowMs).toISOString() }
    write(freshState([...state.devices, device]))
    return { ok: true, token }
  }
  const triesLeft = state.triesLeft - 1
  if (triesLeft > 0) {
    write({ ...state, triesLeft })
    return { ok: false, message: `That is not the code; ${triesLeft} more ${triesLeft === 1 ? 'try' : 'tries'} before it changes.` }
  }
  write(freshState(state.devices, nowMs + PAUSE_MS))
  return {
    ok: false,
    message: 'That is not the code, and it has changed now. Wait a minute, and read the new one under Settings or where the program runs.',
  }
}

/** Forgets every device: each must be paired anew. */
export function forgetDevices(): void {
  write(freshState([]))
}
