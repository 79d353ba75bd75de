import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { isOnNetwork, isPaired, pairDevice, pairedDevices, pairingCode, sendAway } from '@/server/lan/pairing'
import { pairPage } from '@/ui/lan/pair-page'
import { tempFolder } from '../support/temp-db'

const NOW = Date.parse('2026-06-01T10:00:00Z')
const PHONE = '192.168.1.20'
let folder = ''
const before = { data: process.env.FOLD_ANVIL_DATA, lan: process.env.FOLD_ANVIL_LAN }

beforeEach(() => {
  Object.assign(globalThis, { foldAnvilStrangers: undefined })
  folder = tempFolder()
  process.env.FOLD_ANVIL_DATA = folder
})
afterEach(() => {
  process.env.FOLD_ANVIL_DATA = before.data ?? ''
  process.env.FOLD_ANVIL_LAN = before.lan ?? ''
})

/** The cookies of a device that carries a token under one of the names. */
const carrying =
  (token: string | undefined, under = 'fold-anvil-device') =>
  (name: string) =>
    name === under ? token : undefined

/** Any six digits but the right ones. */
const wrong = () => String((Number(pairingCode(NOW)) + 1) % 1_000_000).padStart(6, '0')

function paired(name = 'phone'): string {
  const done = pairDevice(pairingCode(NOW), name, PHONE, NOW)
  if (!done.ok) throw new Error(done.message)
  return done.token
}

describe('pairing a device', () => {
  it('needs the code, which is six digits and stays the same until it is used', () => {
    expect(pairingCode(NOW)).toMatch(/^\d{6}$/)
    expect(pairingCode(NOW)).toBe(pairingCode(NOW))
  })
  it('gives a token that lets it in, and to nobody else', () => {
    const token = paired('phone by the bench')
    expect(isPaired(carrying(token))).toBe(true)
    expect(isPaired(carrying(token, '__Host-fold-anvil-device'))).toBe(true)
    expect(isPaired(carrying(token, 'another-cookie'))).toBe(false)
    for (const other of [undefined, '', `${token}x`, token.toUpperCase(), 'undefined']) expect(isPaired(carrying(other))).toBe(false)
    expect(pairedDevices()).toEqual([
      { id: expect.stringMatching(/^[0-9a-f]{16}$/), name: 'phone by the bench', at: '2026-06-01T10:00:00.000Z' },
    ])
  })
  it('uses the code up: the next device has another', () => {
    const code = pairingCode(NOW)
    paired()
    expect(pairingCode(NOW)).not.toBe(code)
    expect(pairDevice(code, 'second', PHONE, NOW).ok).toBe(false)
  })
  it('takes the code with the gaps people write in it', () => {
    const code = pairingCode(NOW)
    expect(pairDevice(`${code.slice(0, 3)} ${code.slice(3)}`, '', PHONE, NOW).ok).toBe(true)
    expect(pairedDevices()[0]?.name).toBe('a device')
  })
  it('keeps no token, only what cannot be turned back into one', () => {
    const token = paired()
    expect(readFileSync(join(folder, 'paired-devices.json'), 'utf8')).not.toContain(token)
  })
})

describe('who does not know the code', () => {
  const guess = (from: string, nowMs = NOW) => {
    const done = pairDevice(wrong(), 'stranger', from, nowMs)
    return done.ok ? 'in' : done.message
  }
  it('is told how many tries are left, then has to wait, longer each time', () => {
    const said = Array.from({ length: 5 }, () => guess('10.0.0.9'))
    expect(said[0]).toBe('That is not the code; 4 more tries before this device has to wait.')
    expect(said[3]).toBe('That is not the code; 1 more try before this device has to wait.')
    expect(said[4]).toContain('This device waits 1 min')
    expect(guess('10.0.0.9', NOW + 59_000)).toContain('Wait 1 s')
    for (let n = 0; n < 4; n++) guess('10.0.0.9', NOW + 60_000)
    expect(guess('10.0.0.9', NOW + 60_000)).toContain('waits 2 min')
  })
  it('neither changes the code nor makes anybody else wait', () => {
    const code = pairingCode(NOW)
    for (let n = 0; n < 30; n++) guess('10.0.0.9')
    expect(pairingCode(NOW)).toBe(code)
    expect(pairDevice(code, 'smith', PHONE, NOW).ok).toBe(true)
  })
  it('has ten minutes with a code, then it is another', () => {
    const code = pairingCode(NOW)
    expect(pairingCode(NOW + 599_000)).toBe(code)
    expect(pairingCode(NOW + 600_000)).not.toBe(code)
    expect(pairDevice(code, 'late', PHONE, NOW + 600_000).ok).toBe(false)
  })
  it('does not shut out those who are paired', () => {
    const token = paired()
    for (let n = 0; n < 12; n++) pairDevice(wrong(), 'stranger', PHONE, NOW)
    expect(isPaired(carrying(token))).toBe(true)
  })
  it.each(['', '12345', 'code', '-1', '1e5', '000000000000'])('"%s" is no code', (code) =>
    expect(pairDevice(code, '', PHONE, NOW).ok).toBe(false),
  )
})

describe('what is kept', () => {
  it('is listed, and one device is sent away without the others', () => {
    const [one, two] = [paired('one'), paired('two')]
    const [first] = pairedDevices()
    expect(sendAway(first?.id ?? '')).toBe(true)
    expect([isPaired(carrying(one)), isPaired(carrying(two))]).toEqual([false, true])
    expect(pairedDevices().map((device) => device.name)).toEqual(['two'])
    expect(sendAway(first?.id ?? '')).toBe(false)
  })
  it('outlives the program: nothing is held in memory', () => {
    const token = paired()
    const file = join(folder, 'paired-devices.json')
    const kept = readFileSync(file, 'utf8')
    writeFileSync(file, '')
    writeFileSync(file, kept)
    expect(isPaired(carrying(token))).toBe(true)
  })
  it('damaged lets nobody in', () => {
    const token = paired()
    writeFileSync(join(folder, 'paired-devices.json'), '{"devices":')
    expect(isPaired(carrying(token))).toBe(false)
  })
})

describe('only where it was asked for', () => {
  it.each([
    ['1', true],
    ['', false],
    ['0', false],
    [undefined, false],
  ])('FOLD_ANVIL_LAN=%s', (value, on) => {
    if (value === undefined) delete process.env.FOLD_ANVIL_LAN
    else process.env.FOLD_ANVIL_LAN = value
    expect(isOnNetwork()).toBe(on)
  })
})

describe('the page an unpaired device sees', () => {
  it('asks for the code and needs no script', () => {
    const page = pairPage({ code: '123456' })
    // it stands alone: no tone of the program's own pages reaches it
    expect(page).not.toContain('var(')
    expect(page).toContain('name="code" value="123456"')
    expect(page).not.toContain('<script')
    expect(page).toContain('<html lang="en">')
  })
  it('writes what came with the address as text, not as page', () => {
    const page = pairPage({ code: '"><script>alert(1)</script>', problem: '<b>no</b>' })
    expect(page).not.toContain('<script')
    expect(page).not.toContain('<b>no')
    expect(page).toContain('role="alert"')
  })
})
