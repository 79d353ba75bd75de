import { readFileSync } from 'node:fs'
import { hostname } from 'node:os'
import { join } from 'node:path'
import { chromium, expect, type Page, test } from '@playwright/test'
import { BROWSER } from '../scripts/browser.mjs'
import { seriousFaults } from './axe'
import { folderOf, kill, type Started, seed, start } from './start'

const PORT = 4324
/** A name that only this browser knows, pointing at this machine: as insecure a page as on a real phone. */
const PHONE_NAME = 'bench.test'
let server: Started

const codeNow = () => (JSON.parse(readFileSync(join(folderOf('lan'), 'paired-devices.json'), 'utf8')) as { code: string }).code

test.beforeAll(async () => {
  await seed(folderOf('lan'))
  server = await start(folderOf('lan'), PORT, { FOLD_ANVIL_LAN: '1', FOLD_ANVIL_NAMES: PHONE_NAME })
})
test.afterAll(() => kill(server))

async function pair(page: Page, base: string, name: string): Promise<void> {
  await page.goto(`${base}/pair?code=${codeNow()}`)
  await page.getByLabel('What this device is called').fill(name)
  await page.getByRole('button', { name: 'Pair' }).click()
  await expect(page.getByRole('navigation').first()).toBeVisible()
}

test('on the network a device is let in only with the code, and one is sent away without the other', async ({ page, browser }) => {
  const { base } = server
  expect((await page.request.get(`${base}/api/v1/forms`)).status()).toBe(401)
  await page.goto(`${base}/jobs`)
  await expect(page.getByRole('heading', { name: 'Pair this device' })).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  await page.getByLabel('Code').fill('12 34')
  await page.getByRole('button', { name: 'Pair' }).click()
  await expect(page.getByRole('alert')).toContainText('That is not the code; 4 more tries')

  const first = codeNow()
  await pair(page, base, 'tablet on the wall')
  await page.goto(`${base}/settings`)
  await expect(page.getByRole('list', { name: 'Paired devices' })).toContainText('tablet on the wall')
  expect(await page.getByTestId('pairing-code').innerText()).not.toBe(first)

  const phone = await browser.newContext()
  const second = await phone.newPage()
  await pair(second, base, 'phone')
  expect((await second.request.get(`${base}/api/v1/forms`)).status()).toBe(200)

  await page.reload()
  await page.getByRole('button', { name: 'Unpair phone' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Unpair it' }).click()
  await expect(page.getByRole('list', { name: 'Paired devices' })).not.toContainText('phone')
  expect((await second.request.get(`${base}/api/v1/forms`)).status()).toBe(401)
  expect((await page.request.get(`${base}/api/v1/forms`)).status()).toBe(200)
  await phone.close()
})

test('a name that is none of this machine’s gets nothing, whatever it points at', async ({ request }) => {
  const asked = async (host: string, more: Record<string, string> = {}) =>
    (await request.get(`${server.base}/jobs`, { headers: { host, ...more }, maxRedirects: 0 })).status()
  expect(await asked(`127.0.0.1:${PORT}`)).toBe(303)
  expect(await asked(`${hostname().toLowerCase()}:${PORT}`)).toBe(303)
  for (const host of ['evil.example', `evil.example:${PORT}`, '127.0.0.1', '127.0.0.1:80']) expect(await asked(host)).toBe(421)
  expect(await asked(`evil.example:${PORT}`, { 'x-forwarded-host': `127.0.0.1:${PORT}` })).toBe(421)
})

interface Kept {
  readonly kind: string
  readonly value: number | null
  readonly at: string
  readonly device: string
}

/** What the program has of tray 5, asked by the paired page itself. */
const entriesOn = (page: Page): Promise<Kept[]> =>
  page.evaluate(async () => (await (await fetch('/api/v1/trays/5/entries')).json()).entries)

test.describe('a phone on a page that is no secure context', () => {
  test('takes readings: sent in order, kept while the program is away, none lost, none twice', async () => {
    test.setTimeout(120000)
    const browser = await chromium.launch({ ...BROWSER, args: [...BROWSER.args, `--host-resolver-rules=MAP ${PHONE_NAME} 127.0.0.1`] })
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } })
    const base = `http://${PHONE_NAME}:${PORT}`
    await page.goto(`${base}/bench`)
    await expect(page.getByRole('heading', { name: 'Make this device part of the bench' })).toBeVisible()
    expect(await seriousFaults(page)).toEqual([])
    await page.getByRole('link', { name: 'Go on without it' }).click()
    await pair(page, base, 'phone by the bench')
    await page.goto(`${base}/bench`)
    await expect(page.getByRole('status', { name: 'Without the computer' })).toContainText('Keep this page open')
    await page.goto(`${base}/bench/5`)
    await expect(page.getByRole('heading', { name: 'True up on the bangle mandrel' })).toBeVisible()
    const lacks = await page.evaluate(() => [window.isSecureContext, 'randomUUID' in crypto, 'locks' in navigator])
    expect(lacks).toEqual([false, false, false])
    const type = async (value: string) => {
      await page.getByRole('button', { name: 'Type it' }).click()
      await page.getByLabel('Inside diameter', { exact: true }).fill(value)
      await page.keyboard.press('Enter')
      await expect(page.getByText(`Kept: ${value} mm.`)).toBeVisible()
    }
    await type('61.91')
    await expect.poll(async () => (await entriesOn(page)).some((entry) => entry.value === 61.91)).toBe(true)
    await kill(server)
    await page.getByRole('button', { name: /^Done/ }).click()
    await expect(page.getByTestId('piece-number')).toHaveText('2')
    await type('61.92')
    await page.getByRole('button', { name: /^Done/ }).click()
    await expect(page.getByTestId('piece-number')).toHaveText('3')
    await expect(page.getByRole('status', { name: 'Waiting entries' })).toContainText('3 entries are kept on this device')
    await type('61.93')
    await expect(page.getByRole('status', { name: 'Waiting entries' })).toContainText('4 entries are kept on this device')
    const away = Date.now()
    await page.waitForTimeout(2500)
    server = await start(folderOf('lan'), PORT, { FOLD_ANVIL_LAN: '1', FOLD_ANVIL_NAMES: PHONE_NAME })
    await expect(page.getByRole('status', { name: 'Waiting entries' })).toBeHidden({ timeout: 30000 })
    await expect(page.getByTestId('piece-number')).toHaveText('3')
    const entries = await entriesOn(page)
    const mine = entries.filter((entry) => entry.device.startsWith('device-'))
    expect(mine.map((entry) => entry.value ?? entry.kind)).toEqual([61.91, 'done', 61.92, 'done', 61.93])
    for (const entry of mine.slice(1)) expect(Date.parse(entry.at)).toBeLessThanOrEqual(away + 1000)
    await browser.close()
  })
})
