import { DEMO } from './places'
import { expect, type Page, test } from './test'

const blank = (page: Page, n: number) => page.getByRole('button', { name: new RegExp(`^Third-class token ${n},`) })
const where = async (page: Page, n: number) => {
  const [, x, y] = /at ([\d.-]+) and ([\d.-]+) mm/.exec((await blank(page, n).getAttribute('aria-label')) ?? '') ?? []
  return [Number(x), Number(y)] as const
}
const undoAll = async (page: Page) => {
  const undo = page.getByRole('button', { name: 'Undo' })
  await expect(undo).toBeEnabled()
  while (await undo.isEnabled()) await undo.click()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
}

async function open(page: Page): Promise<void> {
  await page.goto(`${DEMO}/layout/3`)
  await expect(blank(page, 1)).toBeVisible()
  // drawn as large as there is room, once the room is known
  await expect.poll(async () => (await page.getByTestId('grain').boundingBox())?.width).toBeGreaterThan(780)
}

/** Takes hold of a blank and brings it so far, px. */
async function drag(page: Page, n: number, dx: number, dy: number): Promise<void> {
  const box = await blank(page, n).boundingBox()
  if (!box) throw new Error('no blank')
  const [x, y] = [box.x + box.width / 2, box.y + box.height * 0.3]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 4 })
  await page.mouse.move(x + dx, y + dy, { steps: 6 })
}

test('a dragged blank comes to rest at the margin, shows on what, and not where it would be held back', async ({ page }) => {
  await open(page)
  const before = await where(page, 10)
  const sheet = await page.getByTestId('grain').boundingBox()
  const box = await blank(page, 10).boundingBox()
  if (!sheet || !box) throw new Error('no sheet')
  const toEdge = sheet.x + sheet.width - (box.x + box.width)
  await drag(page, 10, toEdge - 11, 0)
  await expect(page.getByTestId('rests-touching').first()).toBeVisible()
  await page.mouse.up()
  await expect(page.getByTestId('rests-touching')).toHaveCount(0)
  const after = await where(page, 10)
  expect(after[0]).toBeGreaterThan(before[0] + 20)
  const now = await blank(page, 10).boundingBox()
  if (!now) throw new Error('no blank')
  const [from, to] = [box.x + box.width / 2, now.x + now.width / 2]
  // as many pixels to the millimetre as it went; its middle lies 13.7 mm and the margin from the edge
  const pxPerMm = (to - from) / (after[0] - before[0])
  expect((sheet.x + sheet.width - to) / pxPerMm).toBeCloseTo(14.7, 1)
  await undoAll(page)
  expect(await where(page, 10)).toEqual(before)
})

test('what overlaps while it is moved is hatched and named, and cannot be cut', async ({ page }) => {
  await open(page)
  await drag(page, 1, 0, -60)
  await expect(page.getByText(/cannot be cut as they lie/)).toBeVisible()
  await expect(blank(page, 1)).toHaveAttribute('aria-label', /too near another/)
  await page.mouse.up()
  await expect(page.getByRole('button', { name: 'Cut: take it off the sheet' })).toBeDisabled()
  await undoAll(page)
  await expect(page.getByText(/cannot be cut as they lie/)).toBeHidden()
})

test('blanks framed together are pinned, and the rest is laid round them', async ({ page }) => {
  await open(page)
  const boxes = await Promise.all([4, 7].map((n) => blank(page, n).boundingBox()))
  const [first, second] = boxes
  if (!first || !second) throw new Error('no blanks')
  const stood = [await where(page, 4), await where(page, 7)]
  await page.mouse.move(first.x + first.width + 12, first.y - 4)
  await page.mouse.down()
  await page.mouse.move(second.x - 3, second.y + second.height + 8, { steps: 6 })
  await page.mouse.up()
  const selected = page.getByRole('region', { name: 'Selected' })
  await expect(selected).toContainText('2 blanks selected')
  await selected.getByRole('button', { name: 'Fit the rest round them' }).click()
  await expect(page.getByText(/13 placed in/)).toBeVisible({ timeout: 25_000 })
  await expect(page.getByTestId('pin')).toHaveCount(2)
  expect([await where(page, 4), await where(page, 7)]).toEqual(stood)
  await expect(page.getByText(/cannot be cut as they lie/)).toBeHidden()
  await page.reload()
  await expect(page.getByTestId('pin')).toHaveCount(2)
  await blank(page, 4).focus()
  await page.keyboard.press('Control+a')
  await page.keyboard.press('p')
  await page.keyboard.press('p')
  await expect(page.getByTestId('pin')).toHaveCount(0)
})

test('the saw plan is stepped through, and its lines are chosen', async ({ page }) => {
  await open(page)
  await page.getByRole('navigation', { name: 'Layout' }).getByRole('link', { name: 'Saw' }).click()
  await expect(page.getByText('Cut 1 of 13')).toBeVisible()
  await expect(page.getByRole('region', { name: 'The whole plan' })).toContainText('13 by saw')
  const card = page.getByRole('region', { name: 'This cut' })
  await expect(card).toContainText('Saw out Third-class token')
  await card.getByRole('button', { name: 'Done, the next' }).click()
  await expect(page.getByText('Cut 2 of 13')).toBeVisible()
  await card.getByRole('button', { name: 'Back' }).click()
  await expect(page.getByText('Cut 1 of 13')).toBeVisible()
  await card.getByLabel('Blade', { exact: true }).selectOption('inside')
  await expect(card).toContainText(/comes out 0\.\d+ mm smaller all round than drawn/)
  await page.getByRole('button', { name: 'Undo' }).click()
  await card.getByLabel('Cut by').selectOption('die')
  await expect(card).toContainText('Press Third-class token through the die')
  await expect(card).toContainText('Leaves a small tab')
  await expect(card).toContainText('never strike a die that is cracked')
  await expect(page.getByRole('region', { name: 'The whole plan' })).toContainText('neighbours need 2 mm between them')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.goto(`${DEMO}/layout/3`)
  await expect(page.getByText(/2 mm between blanks for the way they are cut/)).toBeVisible()
  await page.goto(`${DEMO}/layout/3/saw`)
  await card.getByLabel('Cut by').selectOption('saw')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
})
