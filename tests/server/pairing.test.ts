import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { forgetDevices, isOnNetwork, isPaired, pairDevice, pairedDevices, pairingCode } from '@/server/lan/pairing'
import { pairPage } from '@/ui/lan/pair-page'
import { tempFolder } from '../support/temp-db'

const NOW = Date.parse('2026-06-01T10:00:00Z')
let folder = ''
const before = { data: process.env.FOLD_ANVIL_DATA, lan: process.env.FOLD_ANVIL_LAN }

beforeEach(() => {
  folder = tempFolder()
  process.env.FOLD_ANVIL_DATA = folder
})
afterEach(() => {
  process.env.FOLD_ANVIL_DATA = before.data ?? ''
  process.env.FOLD_ANVIL_LAN = before.lan ?? ''
})

/** Any six digits but the right ones. */
const wrong = () => String((Number(pairingCode()) + 1) % 1_000_000).padStart(6, '0')

function paired(name = 'phone'): string {
  const done = pairDevice(pairingCode(), name, NOW)
  if (!done.ok) throw new Error(done.message)
  return done.token
}

describe('pairing a device', () => {
  it('needs the code, which is six digits and stays the same until it is used', () => {
    expect(pairingCode()).toMatch(/^\d{6}$/)
    expect(pairingCode()).toBe(pairingCode())
  })
  it('gives a token that lets it in, and to nobody else', () => {
    const token = paired('phone by the bench')
    expect(isPaired(token)).toBe(true)
    for (const other of [undefined, '', `${token}x`, token.toUpperCase(), 'undefined']) expect(isPaired(other)).toBe(false)
    expect(pairedDevices()).toEqual([{ name: 'phone by the bench', at: '2026-06-01T10:00:00.000Z' }])
  })
  it('uses the code up: the next device has another', () => {
    const code = pairingCode()
    paired()
    expect(pairingCode()).not.toBe(code)
    expect(pairDevice(code, 'second', NOW).ok).toBe(false)
  })
  it('takes the code with the gaps people write in it', () => {
    const code = pairingCode()
    expect(pairDevice(`${code.slice(0, 3)} ${code.slice(3)}`, '', NOW).ok).toBe(true)
    expect(pairedDevices()[0]?.name).toBe('a device')
  })
  it('keeps no token, only what cannot be turned back into one', () => {
    const token = paired()
    expect(readFileSync(join(folder, 'paired-devices.json'), 'utf8')).not.toContain(token)
  })
})

describe('who does not know the code', () => {
  it('is told how many tries are left, then the code is another and nothing is taken for a minute', () => {
    const first = pairingCode()
    const said = Array.from({ length: 5 }, () => {
      const done = pairDevice(wrong(), 'stranger', NOW)
      return done.ok ? 'in' : done.message
    })
    expect(said[0]).toBe('That is not the code; 4 more tries before it changes.')
    expect(said[3]).toBe('That is not the code; 1 more try before it changes.')
    expect(said[4]).toContain('it has changed now')
    expect(pairingCode()).not.toBe(first)
    expect(pairDevice(pairingCode(), 'smith', NOW + 59_000)).toMatchObject({ ok: false, message: expect.stringContaining('Wait 1 s') })
    expect(pairDevice(pairingCode(), 'smith', NOW + 60_000).ok).toBe(true)
  })
  it('does not shut out those who are paired', () => {
    const token = paired()
    for (let n = 0; n < 12; n++) pairDevice(wrong(), 'stranger', NOW)
    expect(isPaired(token)).toBe(true)
  })
  it.each(['', '12345', 'code', '-1', '1e5', '000000000000'])('"%s" is no code', (code) => expect(pairDevice(code, '', NOW).ok).toBe(false))
})

describe('what is kept', () => {
  it('is forgotten when all are shut out', () => {
    const [one, two] = [paired('one'), paired('two')]
    const code = pairingCode()
    forgetDevices()
    expect([isPaired(one), isPaired(two)]).toEqual([false, false])
    expect(pairedDevices()).toEqual([])
    expect(pairingCode()).not.toBe(code)
  })
  it('outlives the program: nothing is held in memory', () => {
    const token = paired()
    const file = join(folder, 'paired-devices.json')
    const kept = readFileSync(file, 'utf8')
    forgetDevices()
    writeFileSync(file, kept)
    expect(isPaired(token)).toBe(true)
  })
  it('damaged lets nobody in', () => {
    const token = paired()
    writeFileSync(join(folder, 'paired-devices.json'), '{"devices":')
    expect(isPaired(token)).toBe(false)
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
