import { changeStep } from './places'
import { folderOf, kill, type Started, start } from './start'
import { expect, type Page, test } from './test'

const PORT = 4328
let server: Started
const url = (path: string) => server.base + path

test.beforeAll(async () => {
  server = await start(folderOf('shared-sheet'), PORT, { FOLD_ANVIL_OPEN: 'workshop' })
})
test.afterAll(() => kill(server))

/** Asks for an action as a page would that has just been opened. */
async function act(page: Page, name: string, input: object): Promise<{ id: number; jobId: number }> {
  const facts = await page.request.get(url('/api/v1/trays/0/entries'))
  expect(facts.status()).toBe(404)
  const workshop = /"uid\\?":\\?"([0-9a-f]{32})/.exec(await (await page.request.get(url('/settings'))).text())?.[1] ?? ''
  const answer = await (await page.request.post(url(`/api/act/${name}`), { data: { workshop, revision: 0, input } })).json()
  expect(answer).toMatchObject({ ok: true })
  return answer
}

const DISC = { diameterMm: 24, alloy: 'copper-c110', thicknessMm: 0.9 }

test('two jobs on one sheet: reserved is taken, a cut is told, and the other moves to what is left', async ({ page }) => {
  await act(page, 'addStock', { kind: 'sheet', alloy: 'copper-c110', thickness: '0.9', length: '240', width: '60' })
  const first = await act(page, 'addPiece', { name: 'Whistle cap', form: 'disc', input: DISC, quantity: 4 })
  const second = await act(page, 'addPiece', { name: 'Lamp cap', form: 'disc', input: DISC, quantity: 3 })

  await page.goto(url(`/layout/${first.jobId}`))
  await page.getByRole('button', { name: 'Place the blanks' }).click()
  await expect(page.getByText('4 of 4')).toBeVisible({ timeout: 25_000 })
  await expect(page.getByRole('button', { name: 'Cut: take it off the sheet' })).toBeVisible()

  await page.goto(url(`/layout/${second.jobId}`))
  await expect(page.getByTestId('taken')).toHaveCount(4)
  await expect(page.getByText(/Dotted blanks are reserved: 4 for/)).toBeVisible()
  await page.getByRole('button', { name: 'Place the blanks' }).click()
  await expect(page.getByText('3 of 3')).toBeVisible({ timeout: 25_000 })
  await expect(page.getByText(/cannot be cut as/)).toBeHidden({ timeout: 25_000 })
  const print = page.getByRole('button', { name: 'Print full size (PDF)' })
  await expect(print).toBeVisible()

  const blank = page.getByRole('button', { name: /^Lamp cap 1,/ })
  await blank.focus()
  for (let n = 0; n < 40; n++) await page.keyboard.press('Shift+ArrowUp')
  await expect(page.getByText(/cannot be cut as they lie: hatched blanks overlap, leave the sheet/)).toBeVisible()
  await expect(blank).toBeInViewport()
  await expect(page.getByRole('button', { name: 'Print full size (PDF), as it is' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Cut: take it off the sheet' })).toBeDisabled()
  await page.waitForTimeout(900)
  const svg = await (
    await page.request.get(url((await page.getByRole('link', { name: 'Download SVG, as it is' }).getAttribute('href')) ?? ''))
  ).text()
  expect(svg).toContain('Cannot be cut as it lies: 1 off the sheet or inside the margin')
  await page.getByRole('button', { name: 'Place the blanks' }).click()
  await expect(page.getByText(/cannot be cut as/)).toBeHidden({ timeout: 25_000 })
  await page.waitForTimeout(900)

  await page.goto(url(`/layout/${first.jobId}`))
  await page.getByRole('button', { name: 'Cut: take it off the sheet' }).click()
  await expect(page.getByRole('dialog')).toContainText(
    /The largest piece left holds a rectangle of [\d.]+ × [\d.]+ mm and a disc [\d.]+ mm across/,
  )
  await page.getByRole('button', { name: 'Cut it' }).click()
  await expect(page.getByRole('region', { name: 'Cut already' })).toContainText('4 from S-1')

  await page.goto(url(`/layout/${second.jobId}`))
  await expect(page.getByRole('alert').filter({ hasText: 'Sheet S-1 was cut for “Whistle cap”' })).toBeVisible()
  await page
    .getByRole('button', { name: /^Move to S-1/ })
    .first()
    .click()
  await expect(page.getByRole('group', { name: 'Sheet with blanks' })).toBeVisible()
  await page.getByRole('button', { name: 'Place the blanks' }).click()
  await expect(page.getByText('3 of 3')).toBeVisible({ timeout: 25_000 })
  await page.getByRole('button', { name: 'Cut: take it off the sheet' }).click()
  await page.getByRole('button', { name: 'Cut it' }).click()
  await expect(page.getByRole('region', { name: 'Cut already' })).toContainText(/3 from S-1/)

  await page.goto(url(`/layout/${first.jobId}`))
  await expect(page.getByRole('region', { name: 'Cut already' }).getByRole('button', { name: 'Print it' })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Put it back' })).toBeHidden()
})

test('a route that was changed follows the size; a tray does not start on a change that no longer fits', async ({ page }) => {
  const ring = { insideDiameterMm: 'US 6', alloy: 'sterling-925', thicknessMm: 1.2, widthMm: 4 }
  const { id } = await act(page, 'addPiece', { name: 'Guard ring', form: 'ring-band', input: ring, quantity: 1 })
  await page.goto(url(`/pieces/${id}/route`))
  await changeStep(page, 'Clean the seam', 'later')
  await expect(page.getByRole('list', { name: 'Steps in order' }).getByRole('listitem').nth(11)).toContainText('Clean the seam')
  await page.waitForTimeout(600)
  await page.goto(url(`/pieces/${id}`))
  await page.getByLabel('Size', { exact: true }).fill('US 10')
  const answer = page.getByTestId('answer')
  await expect(answer).toHaveText(/^6[5-9](\.\d)? mm$/)
  const marked = Number.parseFloat(await answer.innerText())
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.goto(url(`/pieces/${id}/route`))
  await expect(page.getByRole('list', { name: 'Steps in order' }).getByRole('listitem').nth(11)).toContainText('Clean the seam')
  await page.getByRole('button', { name: /^Start a tray of/ }).click()
  await expect(page.getByRole('heading', { name: 'Measure' })).toBeVisible()
  await page.getByRole('button', { name: 'Done, next piece' }).click()
  await expect(page.getByRole('heading', { name: 'Saw the strip' })).toBeVisible()
  await expect(page.getByText(`${marked} mm`)).toBeVisible()
})

test('the simulated calipers are off until practice is switched on, and then say what they are', async ({ page }) => {
  await page.goto(url('/bench'))
  await page.getByRole('link', { name: 'Continue' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  expect((await page.request.get(url('/api/instruments/calipers?near=10'))).status()).toBe(404)
  await page.goto(url('/settings'))
  await page.getByLabel('Simulated instruments').selectOption('true')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  const stream = await page.evaluate(async () => {
    const left = new AbortController()
    const response = await fetch('/api/instruments/calipers?near=10', { signal: left.signal })
    const status = response.status
    left.abort()
    return status
  })
  expect(stream).toBe(200)
})

test('a search shows what it has come to, and stopped it keeps that', async ({ page }) => {
  await act(page, 'addStock', { kind: 'sheet', alloy: 'red-brass-c230', thickness: '0.8', length: '300', width: '100' })
  const piece = await act(page, 'addPiece', {
    name: 'Crowded token',
    form: 'disc',
    input: { diameterMm: 23.4, alloy: 'red-brass-c230', thicknessMm: 0.8 },
    quantity: 70,
  })
  await page.goto(url(`/layout/${piece.jobId}`))
  const region = page.getByRole('region', { name: 'Layout' })
  await region.getByRole('button', { name: 'Place the blanks' }).click()
  await expect(region.getByText(/\d+ placed so far, \d+ % of the sheet/)).toBeVisible()
  const stop = region.getByRole('button', { name: 'Stop' })
  await expect(region.getByRole('button', { name: 'Cut: take it off the sheet' })).toBeHidden()
  await stop.click()
  await expect(stop).toBeHidden()
  const [, count] = /(\d+) placed in [\d.]+ s, \d+ % of the sheet; stopped/.exec(await region.innerText()) ?? []
  expect(Number(count)).toBeGreaterThan(5)
  await expect(region.getByText(`${count} of 70`)).toBeVisible()
  await expect(region.getByText('saved', { exact: true })).toBeVisible()
  await page.reload()
  await expect(region.getByText(`${count} of 70`)).toBeVisible()
  await region.getByRole('button', { name: 'Take all blanks off' }).click()
  await expect(region.getByText('saved', { exact: true })).toBeVisible()
})
