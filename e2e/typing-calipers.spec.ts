import { folderOf, kill, type Started, seed, start, trayFacts } from './start'
import { expect, type Page, test } from './test'

const PORT = 4326
let server: Started

test.beforeAll(async () => {
  await seed(folderOf('typing'))
  server = await start(folderOf('typing'), PORT)
})
test.afterAll(() => kill(server))

/** Keys as calipers send them that type: one after the other, at once. */
const calipers = (page: Page, keys: readonly string[]) =>
  page.evaluate((list) => {
    for (const key of list) document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }))
  }, keys)

test('a whole tray on the keyboard with calipers that type and drop a reading', async ({ page }) => {
  await page.goto(`${server.base}/bench/5`)
  const piece = page.getByTestId('piece-number')
  await expect(page.getByRole('heading', { name: 'True up on the bangle mandrel' })).toBeVisible()
  const before = (await trayFacts(server.base, 5)).entries.length
  for (const n of [1, 2, 3, 4]) {
    await expect(piece).toHaveText(String(n))
    if (n === 2) {
      // the cable drops out in the middle of a figure: nothing is kept, and nothing else is pressed by it
      await calipers(page, [...'61.'])
      await page.waitForTimeout(300)
      await expect(page.getByText(/^Kept:/)).toBeHidden()
    }
    await calipers(page, [...`61.9${n}`, 'Enter'])
    await expect(page.getByText(`Kept: 61.9${n} mm.`)).toBeVisible()
    await page.keyboard.press('Space')
  }
  await expect(page.getByRole('heading', { name: 'True up on the bangle mandrel' })).toBeHidden()
  await expect
    .poll(async () => (await trayFacts(server.base, 5)).entries.slice(before).map(({ kind, value }) => value ?? kind))
    .toEqual([61.91, 'done', 61.92, 'done', 61.93, 'done', 61.94, 'done'])
})
