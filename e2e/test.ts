import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { type BrowserContext, test as base, chromium, type Page } from '@playwright/test'
import { BROWSER } from '../scripts/browser.mjs'

export { expect, type Locator, type Page } from '@playwright/test'

/** A page of the program is used once it answers to hands: it says so itself. Other pages, a PDF among them, are taken as they come. */
async function answers(page: Page): Promise<void> {
  const isProgram = await page.evaluate(() => document.querySelector('script[src*="/_next/"]') !== null).catch(() => false)
  if (isProgram) await page.locator('html[data-ready]').waitFor({ state: 'attached' })
}

/** Pages that run something of a test’s own before all else: no other test is given them. */
const SPOILT = new WeakSet<Page>()

function patient(page: Page): void {
  const [goto, reload, addInitScript] = [page.goto.bind(page), page.reload.bind(page), page.addInitScript.bind(page)]
  page.addInitScript = (...asked) => {
    SPOILT.add(page)
    return addInitScript(...asked)
  }
  page.goto = async (...asked) => {
    const response = await goto(...asked)
    await answers(page)
    return response
  }
  page.reload = async (...asked) => {
    const response = await reload(...asked)
    await answers(page)
    return response
  }
}

/** What a device keeps, but for the program's own files: those stay, as they would on any machine that was here before. */
const KEPT = 'cookies,local_storage,indexeddb,websql,service_workers,cache_storage,file_systems'

/** A page of this machine that stays open from test to test: with its last page a browser closes its window and the process that draws, and opening others takes nearly as long as a page of the program. */
const idlePage = (context: BrowserContext) => context.pages()[0] as Page

const LOOK = { width: 1280, height: 800 }

/** Puts a page back to how it came, on nothing; gives whether it is as a new one. */
async function emptied(page: Page): Promise<boolean> {
  if (page.isClosed() || SPOILT.has(page)) return false
  for (const heard of ['request', 'response', 'dialog', 'download', 'console', 'pageerror'] as const) page.removeAllListeners(heard)
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  await page.mouse.move(0, 0)
  // what was typed last has arrived before another page is asked for: else that one is older than it
  const isSaving = page.getByText(/^(not saved yet|saving)$/).first()
  await isSaving.waitFor({ state: 'hidden', timeout: 5000 }).catch(() => undefined)
  await page.evaluate(() => sessionStorage.clear()).catch(() => undefined)
  await page.goto('about:blank')
  await page.waitForTimeout(150)
  await page.emulateMedia({ media: null, colorScheme: null, reducedMotion: null })
  await page.setViewportSize(LOOK)
  return true
}

/** Forgets everything that pages have kept on this device. */
async function forget(context: BrowserContext, origins: ReadonlySet<string>): Promise<void> {
  const session = await context.newCDPSession(idlePage(context))
  for (const origin of origins) await session.send('Storage.clearDataForOrigin', { origin, storageTypes: KEPT })
  await session.detach()
  await context.clearCookies()
  await context.clearPermissions()
}

const MOST_SAID = 2000
/** What lies over a page comes last in it. */
const LAST_SAID = 800

/** Prints what a page shows: where a journey fails on another machine, this is all that is known of it. */
async function sayPage(page: Page): Promise<void> {
  const text = await page
    .locator('body')
    .innerText({ timeout: 2000 })
    .catch(() => 'no page')
  process.stdout.write(`\n== the page at ${page.url()} read:\n${text.slice(0, MOST_SAID)}\n…\n${text.slice(-LAST_SAID)}\n==\n`)
}

/** A page that the last test has left, for the next: to open one takes a fifth of what a page of the program does. */
interface Left {
  page?: Page | undefined
}

/** Tests whose pages are waited for until they answer, in one browser that has the program's files, and forgets all else between tests. */
export const test = base.extend<object, { device: BrowserContext; origins: Set<string>; left: Left }>({
  left: [async ({ playwright: _ }, use) => use({}), { scope: 'worker' }],
  origins: [async ({ playwright: _ }, use) => use(new Set<string>()), { scope: 'worker' }],
  device: [
    async ({ origins }, use) => {
      const folder = mkdtempSync(join(tmpdir(), 'fold-anvil-device-'))
      const context = await chromium.launchPersistentContext(folder, {
        ...BROWSER,
        // one process draws the pages of all tests, and what it has compiled once serves the next
        args: [...BROWSER.args, '--process-per-site'],
        viewport: LOOK,
        acceptDownloads: true,
      })
      await idlePage(context).route('**', (route) => route.fulfill({ body: 'idle' }))
      await idlePage(context).goto('http://127.0.0.1/')
      context.on('page', (page) => {
        patient(page)
        page.on('framenavigated', (frame) => {
          const { origin } = new URL(frame.url())
          if (origin !== 'null') origins.add(origin)
        })
      })
      await use(context)
      await context.close()
      rmSync(folder, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  context: async ({ device, origins, left }, use) => {
    await use(device)
    await device.unrouteAll({ behavior: 'ignoreErrors' })
    for (const page of device.pages()) if (page !== idlePage(device) && page !== left.page) await page.close()
    await forget(device, origins)
  },
  page: async ({ context, left }, use, testInfo) => {
    const page = left.page ?? (await context.newPage())
    left.page = undefined
    await page.bringToFront()
    await use(page)
    if (testInfo.status !== testInfo.expectedStatus) await sayPage(page)
    else if (await emptied(page)) left.page = page
  },
})
