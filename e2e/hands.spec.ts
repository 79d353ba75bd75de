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

/** The blank that lies farthest to the right, the lowest of those. */
async function rightmost(page: Page): Promise<number> {
  const places = await Promise.all(Array.from({ length: 13 }, async (_, i) => ({ n: i + 1, at: await where(page, i + 1) })))
  const far = Math.max(...places.map(({ at }) => at[0]))
  const last = places.filter(({ at }) => at[0] > far - 0.5).sort((a, b) => a.at[1] - b.at[1])
  return last[0]?.n ?? 1
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
  const n = await rightmost(page)
  const before = await where(page, n)
  const sheet = await page.getByTestId('grain').boundingBox()
  const box = await blank(page, n).boundingBox()
  if (!sheet || !box) throw new Error('no sheet')
  const toEdge = sheet.x + sheet.width - (box.x + box.width)
  await drag(page, n, toEdge - 11, 0)
  await expect(page.getByTestId('rests-touching').first()).toBeVisible()
  await page.mouse.up()
  await expect(page.getByTestId('rests-touching')).toHaveCount(0)
  const after = await where(page, n)
  expect(after[0]).toBeGreaterThan(before[0] + 5)
  const now = await blank(page, n).boundingBox()
  if (!now) throw new Error('no blank')
  const [from, to] = [box.x + box.width / 2, now.x + now.width / 2]
  // as many pixels to the millimetre as it went; its middle lies 13.7 mm and the margin from the edge
  const pxPerMm = (to - from) / (after[0] - before[0])
  expect((sheet.x + sheet.width - to) / pxPerMm).toBeCloseTo(14.7, 1)
  await undoAll(page)
  expect(await where(page, n)).toEqual(before)
})

test('what overlaps while it is moved is hatched and named, and cannot be cut', async ({ page }) => {
  await open(page)
  // on to its neighbour, half the way
  const [own, next] = [await blank(page, 1).boundingBox(), await blank(page, 2).boundingBox()]
  if (!own || !next) throw new Error('no blanks')
  await drag(page, 1, next.x - own.x, next.y - own.y + 20)
  await expect(page.getByText(/cannot be cut as they lie/)).toBeVisible()
  await expect(blank(page, 1)).toHaveAttribute('aria-label', /too near another/)
  await page.mouse.up()
  await expect(page.getByRole('button', { name: 'Cut: take it off the sheet' })).toBeDisabled()
  await undoAll(page)
  await expect(page.getByText(/cannot be cut as they lie/)).toBeHidden()
})

test('blanks framed together are pinned, and the rest is laid round them', async ({ page }) => {
  await open(page)
  const n = await rightmost(page)
  const other = n === 1 ? 2 : 1
  const first = await blank(page, n).boundingBox()
  const second = await blank(page, other).boundingBox()
  if (!first || !second) throw new Error('no blanks')
  const stood = [await where(page, n), await where(page, other)]
  await page.mouse.move(first.x + first.width + 5, first.y - 3)
  await page.mouse.down()
  await page.mouse.move(first.x - 2, first.y + first.height + 4, { steps: 6 })
  await page.mouse.up()
  await page.keyboard.down('Shift')
  await page.mouse.click(second.x + second.width / 2, second.y + second.height * 0.3)
  await page.keyboard.up('Shift')
  const selected = page.getByRole('region', { name: 'Selected' })
  await expect(selected).toContainText('2 blanks selected')
  await selected.getByRole('button', { name: 'Fit the rest round them' }).click()
  await expect(page.getByText(/13 placed in/)).toBeVisible({ timeout: 25_000 })
  await expect(page.getByTestId('pin')).toHaveCount(2)
  expect([await where(page, n), await where(page, other)]).toEqual(stood)
  await expect(page.getByText(/cannot be cut as they lie/)).toBeHidden()
  await page.reload()
  await expect(page.getByTestId('pin')).toHaveCount(2)
  await blank(page, n).focus()
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
  await expect(page.getByRole('region', { name: 'The whole plan' })).toContainText(
    /pairs of blanks lie too near for the way they are cut: that needs 2 mm/,
  )
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.goto(`${DEMO}/layout/3`)
  await expect(page.getByText(/2 mm between blanks for the way they are cut/)).toBeVisible()
  await page.goto(`${DEMO}/layout/3/saw`)
  await card.getByLabel('Cut by').selectOption('saw')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
})

test('a blank is turned by its handle about its middle, comes to rest at a quarter or stays where Alt leaves it, and a key turns it further', async ({
  page,
}) => {
  await page.goto(`${DEMO}/layout/11`)
  const tag = page.getByRole('button', { name: /^Tag 1,/ })
  await tag.focus()
  const handle = page.getByRole('slider', { name: 'Turned by' })
  const turned = async () => Number(await handle.getAttribute('aria-valuenow'))
  const stood = await turned()
  const middle = async () => {
    const box = await tag.boundingBox()
    if (!box) throw new Error('no tag')
    return [box.x + box.width / 2, box.y + box.height / 2] as const
  }
  const [cx, cy] = await middle()
  const grip = await handle.locator('circle').last().boundingBox()
  if (!grip) throw new Error('no handle')
  const [hx, hy] = [grip.x + grip.width / 2, grip.y + grip.height / 2]
  await page.mouse.move(hx, hy)
  await page.mouse.down()
  // 88 degrees counter-clockwise about the middle of the tag
  const turn = (deg: number): [number, number] => {
    const [cos, sin] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)]
    return [cx + (hx - cx) * cos + (hy - cy) * sin, cy - (hx - cx) * sin + (hy - cy) * cos]
  }
  for (const deg of [20, 40, 60, 80, 88]) await page.mouse.move(...turn(deg))
  await page.mouse.up()
  await expect.poll(turned).toBe((stood + 90) % 360)
  const [nx, ny] = await middle()
  expect(Math.hypot(nx - cx, ny - cy)).toBeLessThan(1.5)
  await handle.focus()
  await page.keyboard.press('ArrowUp')
  await expect.poll(turned).toBe((stood + 91) % 360)
  await page.keyboard.press('Shift+ArrowDown')
  await expect.poll(turned).toBe((stood + 86) % 360)
  await undoAll(page)
  await expect.poll(turned).toBe(stood)
  // with Alt it stays where the hand leaves it
  await page.mouse.move(hx, hy)
  await page.mouse.down()
  await page.keyboard.down('Alt')
  for (const deg of [20, 40, 52]) await page.mouse.move(...turn(deg))
  await page.mouse.up()
  await page.keyboard.up('Alt')
  await expect.poll(turned).toBe((stood + 52) % 360)
  await undoAll(page)
  await expect.poll(turned).toBe(stood)
})
