import { createHash, X509Certificate } from 'node:crypto'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { connect } from 'node:tls'
import { type BrowserContext, chromium, expect, type Page, test } from '@playwright/test'
import { BROWSER } from '../scripts/browser.mjs'
import { folderOf, kill, type Started, seed, start } from './start'

const PORT = 4332
const ENV = { FOLD_ANVIL_LAN: '1' }
let server: Started
let context: BrowserContext
let device = ''
let base = ''

const factsOf = () => JSON.parse(readFileSync(join(folderOf('offline'), 'tls', 'authority.json'), 'utf8')) as { name: string }
const codeNow = () => (JSON.parse(readFileSync(join(folderOf('offline'), 'paired-devices.json'), 'utf8')) as { code: string }).code

/** Marks of the keys that the program serves with now and the authority that signed them: this browser takes them as a device does that trusts it. */
const keyMarks = () =>
  new Promise<string>((resolve, reject) => {
    const socket = connect({ host: '127.0.0.1', port: PORT, rejectUnauthorized: false }, () => {
      const certificate = new X509Certificate(socket.getPeerCertificate().raw)
      socket.end()
      resolve(
        createHash('sha256')
          .update(certificate.publicKey.export({ type: 'spki', format: 'der' }))
          .digest('base64'),
      )
    })
    socket.on('error', reject)
  })

async function open(mark: string): Promise<BrowserContext> {
  return chromium.launchPersistentContext(device, {
    ...BROWSER,
    viewport: { width: 390, height: 844 },
    args: [
      ...BROWSER.args,
      `--host-resolver-rules=MAP *.local 127.0.0.1`,
      ...(mark ? [`--ignore-certificate-errors-spki-list=${mark}`] : []),
    ],
  })
}

/** A page of the program is used once it answers to hands. */
async function openPage(page: Page, path: string): Promise<void> {
  // a page that does not come is asked for once more, as a person would
  await page.goto(`${base}${path}`, { timeout: 45_000 }).catch(() => page.goto(`${base}${path}`, { timeout: 45_000 }))
  await page.locator('html[data-ready]').waitFor({ state: 'attached' })
}

const entriesOn = (page: Page): Promise<{ value: number | null; kind: string; device: string }[]> =>
  page.evaluate(async () => (await (await fetch('/api/v1/trays/5/entries')).json()).entries)

test.beforeAll(async () => {
  await seed(folderOf('offline'))
  server = await start(folderOf('offline'), PORT, ENV)
  base = `https://${factsOf().name}:${PORT}`
  device = mkdtempSync(join(tmpdir(), 'fold-anvil-phone-'))
})
test.afterAll(async () => {
  await context?.close()
  await kill(server)
  rmSync(device, { recursive: true, force: true })
})

test('a device that does not trust the workshop is told so by its browser, and gets no page', async () => {
  const stranger = await chromium.launch({ ...BROWSER, args: [...BROWSER.args, '--host-resolver-rules=MAP *.local 127.0.0.1'] })
  const page = await stranger.newPage()
  await expect(page.goto(`${base}/bench`)).rejects.toThrow(/ERR_CERT_AUTHORITY_INVALID/)
  await stranger.close()
})

test('a phone works a tray while the computer is off: pages open, entries wait, and all arrive once and in order', async () => {
  // an hour away in a few minutes, every page opened twice: half of the time is the machine’s
  test.setTimeout(420_000)
  context = await open(await keyMarks())
  const page = await context.newPage()
  await page.goto(`${base}/pair?code=${codeNow()}`)
  await page.getByLabel('What this device is called').fill('phone by the bench')
  await page.getByRole('button', { name: 'Pair' }).click()
  await expect(page.getByRole('navigation').first()).toBeVisible()
  await openPage(page, '/bench')
  await expect(page.getByRole('status', { name: 'Without the computer' })).toContainText(
    /This device can work without the computer: \d+ trays are on it/,
    { timeout: 120_000 },
  )
  expect(await page.evaluate(() => [window.isSecureContext, 'wakeLock' in navigator])).toEqual([true, true])

  await kill(server)
  // a tray that was never opened on this device
  await openPage(page, '/bench/5')
  await expect(page.getByRole('heading', { name: 'True up on the bangle mandrel' })).toBeVisible()
  const type = async (value: string) => {
    await page.getByRole('button', { name: 'Type it' }).click()
    await page.getByLabel('Inside diameter', { exact: true }).fill(value)
    await page.keyboard.press('Enter')
    await expect(page.getByText(`Kept: ${value} mm.`)).toBeVisible()
  }
  await type('61.94')
  await page.getByRole('button', { name: /^Done/ }).click()
  await expect(page.getByTestId('piece-number')).toHaveText('2')
  await page.reload()
  await page.locator('html[data-ready]').waitFor({ state: 'attached' })
  await expect(page.getByTestId('piece-number')).toHaveText('2')
  await type('61.95')
  await page.goto(`${base}/jobs`)
  await expect(page.getByRole('heading', { name: 'The computer does not answer' })).toBeVisible()
  await page.getByRole('link', { name: 'Open the bench' }).click()
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible()
  await openPage(page, '/bench/5')
  await expect(page.getByTestId('piece-number')).toHaveText('2')
  await page.getByRole('button', { name: /^Done/ }).click()
  await expect(page.getByTestId('piece-number')).toHaveText('3')
  await page.close()

  // the phone is put away; the program is started again, with a new certificate of the same authority
  await context.close()
  server = await start(folderOf('offline'), PORT, ENV)
  context = await open(await keyMarks())
  const again = await context.newPage()
  await openPage(again, '/bench/5')
  await expect(again.getByTestId('piece-number')).toHaveText('3')
  await expect
    .poll(async () =>
      (await entriesOn(again)).filter((entry) => entry.device.startsWith('device-')).map(({ value, kind }) => value ?? kind),
    )
    .toEqual([61.94, 'done', 61.95, 'done'])
  await again.reload()
  await expect(again.getByTestId('piece-number')).toHaveText('3')
})
