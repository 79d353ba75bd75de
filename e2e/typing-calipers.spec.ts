import { folderOf, kill, type Started, seed, start, trayAt, trayFacts } from './start'
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

test('a thermometer on a cable: its lines are the heat, and where it falls silent that is said and nothing is made up', async ({
  page,
}) => {
  await page.addInitScript(() => {
    const say = { line: (_: string) => {} }
    Object.defineProperty(navigator, 'serial', {
      value: {
        requestPort: async () => ({
          readable: new ReadableStream({
            start: (lines) => {
              say.line = (text) => lines.enqueue(new TextEncoder().encode(text))
            },
          }),
          open: async () => undefined,
          close: async () => undefined,
        }),
      },
    })
    Object.assign(window, { say })
  })
  const send = (text: string) =>
    page.evaluate((line) => (window as unknown as { say: { line: (text: string) => void } }).say.line(line), text)
  await trayAt(page, server.base, 4, 'anneal')
  const thermometer = page.getByRole('region', { name: 'Thermometer' })
  const says = thermometer.getByRole('status', { name: 'What the thermometer says' })
  await thermometer.getByRole('button', { name: 'connect a thermometer' }).click()
  await thermometer.getByRole('button', { name: 'Flame on' }).click()
  await send('T1: 431.2 C\r\n')
  await expect(says).toContainText('119 °C to go.')
  // a line in two halves, and in the other unit
  await send('102')
  await send('2 F\r\n')
  await expect(says).toContainText('It is there: hold it')
  await expect(thermometer).toContainText('550 °C')
  await expect(thermometer).not.toContainText('Simulated')
  await expect(says).toContainText('It shows nothing: a wire has come off', { timeout: 25_000 })
  await send('560 C\r\n')
  await expect(says).toContainText('It is there: hold it')
})
