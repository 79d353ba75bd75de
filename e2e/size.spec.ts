import type { Locator } from '@playwright/test'
import { changeStep, DEMO } from './places'
import { expect, test } from './test'

test('bad input names the field and what is possible, and nothing typed is lost', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/1`)
  const height = page.getByLabel('Dome height', { exact: true })
  await height.fill('tall')
  await expect(page.getByRole('alert').first()).toContainText('"tall" is not a size')
  await expect(height).toHaveValue('tall')
  await height.fill('15')
  await expect(page.getByRole('alert').first()).toContainText('is a hemisphere at 11.5 mm')
  await page.getByLabel('Thickness', { exact: true }).fill('0')
  await expect(page.getByRole('alert').filter({ hasText: 'Thickness' })).toContainText('it can be 0.05 to 8 mm')
  await expect(height).toHaveValue('15')
  await height.fill('7')
  await page.getByLabel('Thickness', { exact: true }).fill('21 ga')
  await expect(page.getByTestId('answer')).toHaveText('26.5 mm')
})

test('a handle on the drawing changes the field, by key and by mouse', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/1`)
  const handle = page.getByRole('slider', { name: /dome height/ })
  await handle.focus()
  await page.keyboard.press('ArrowUp')
  await expect(page.getByLabel('Dome height', { exact: true })).toHaveValue('7.1')
  const box = await handle.boundingBox()
  if (!box) throw new Error('no handle')
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 20, { steps: 5 })
  await page.mouse.up()
  expect(Number(await page.getByLabel('Dome height', { exact: true }).inputValue())).toBeGreaterThan(7.5)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByLabel('Dome height', { exact: true })).not.toHaveValue('8.1')
})

test('another school, another answer, with its reason', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/1`)
  await page.getByLabel('Dome height', { exact: true }).fill('7')
  await page.getByRole('button', { name: /Along the arc/ }).click()
  await expect(page.getByText('Nothing stretches from rim to rim')).toBeVisible()
  await expect(page.getByTestId('answer')).not.toHaveText('26.5 mm')
  await page.getByRole('button', { name: /Equal area/ }).click()
  await expect(page.getByTestId('answer')).toHaveText('26.5 mm')
})

test('the ask line answers as it is typed and makes a piece', async ({ page }) => {
  await page.goto(`${DEMO}/drawer`)
  await page.getByLabel('Ask the bench').fill('5/16 in in mm')
  await expect(page.getByTestId('ask-answer')).toHaveText('7.9375 mm')
  await page.getByLabel('Ask the bench').fill('ring 7 17ga copper')
  await expect(page.getByTestId('ask-answer')).toHaveText('58.25 mm')
  await page.getByRole('button', { name: 'Make a piece of it' }).click()
  await expect(page.getByRole('heading', { name: 'Ring band' })).toBeVisible()
  await expect(page.getByTestId('answer')).toHaveText('58.25 mm')
})

test('the route is reordered by key, the ribbon follows, and an anneal is offered', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/6/route`)
  await changeStep(page, 'Anneal', 'out')
  await expect(page.getByText(/work left and may split/)).toBeVisible()
  const bars = page.locator('.ribbon-bar')
  const worst = async () =>
    Math.max(...(await bars.evaluateAll((nodes) => nodes.map((node) => Number((node as HTMLElement).dataset.work)))))
  const before = await worst()
  expect(before).toBeGreaterThan(0.85)
  await page.getByRole('button', { name: 'Put an anneal before it' }).click()
  await expect(page.getByText(/work left and may split/)).toBeHidden()
  expect(await worst()).toBeLessThan(before)
  await changeStep(page, 'Sand flat', 'later')
  await expect(page.getByRole('listitem').filter({ hasText: 'Sand and finish' }).first()).toBeVisible()
})

test('a blank moved by key onto another is hatched, named, and cannot be cut', async ({ page }) => {
  await page.goto(`${DEMO}/layout/3`)
  const blank = page.getByRole('button', { name: /Third-class token 1,/ })
  const middleOf = async (which: Locator): Promise<{ x: number; y: number }> => {
    const box = await which.boundingBox()
    return { x: (box?.x ?? 0) + (box?.width ?? 0) / 2, y: (box?.y ?? 0) + (box?.height ?? 0) / 2 }
  }
  // towards the one that lies nearest
  const own = await middleOf(blank)
  const others = await Promise.all((await page.getByRole('button', { name: /Third-class token ([2-9]|1\d),/ }).all()).map(middleOf))
  const far = (to: { x: number; y: number }) => Math.hypot(to.x - own.x, to.y - own.y)
  const nearest = others.reduce((best, to) => (far(to) < far(best) ? to : best))
  const [dx, dy] = [nearest.x - own.x, nearest.y - own.y]
  const isAcross = Math.abs(dx) > Math.abs(dy)
  const [there, back] = isAcross ? (['Right', 'Left'] as const) : (['Down', 'Up'] as const)
  const isOnwards = (isAcross ? dx : dy) > 0
  await blank.focus()
  for (let n = 0; n < 3; n++) await page.keyboard.press(`Shift+Arrow${isOnwards ? there : back}`)
  await expect(page.getByText(/cannot be cut as/)).toBeVisible()
  await expect(blank).toHaveAccessibleName(/too near another/)
  await expect(page.getByRole('button', { name: 'Cut: take it off the sheet' })).toBeDisabled()
  for (let n = 0; n < 3; n++) await page.keyboard.press(`Shift+Arrow${isOnwards ? back : there}`)
  await expect(page.getByText(/cannot be cut as/)).toBeHidden()
})

test('how far one size may be off is typed for that size alone, kept, and taken back by leaving it empty', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/4`)
  const measures = page.getByRole('region', { name: 'What it is to measure' })
  const inside = measures.getByLabel(/^Inside diameter/)
  const usual = (await inside.getAttribute('placeholder')) ?? ''
  expect(usual).toMatch(/^± 0\.\d+$/)
  await inside.fill('wide')
  await expect(measures.getByRole('alert')).toContainText('it can be 0.005 to 20 mm')
  await expect(inside).toHaveValue('wide')
  const saved = page.waitForResponse('**/api/act/saveDesign')
  await inside.fill('0,03')
  await expect(inside).toHaveAttribute('placeholder', '± 0.03')
  await saved
  await expect(page.getByText(/would put it out of its ± 0\.03 mm, inside diameter/)).toBeVisible()
  await page.goto(`${DEMO}/pieces/4`)
  await expect(inside).toHaveValue('0,03')
  const again = page.waitForResponse('**/api/act/saveDesign')
  await inside.fill('')
  await expect(inside).toHaveAttribute('placeholder', usual)
  await again
})

test('a piece after an original says where it is a copy, where it is off, and where it is stronger on purpose', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/4`)
  await page.getByRole('button', { name: 'It is made after an original' }).click()
  const beside = page.getByRole('region', { name: 'After an original' })
  const inside = beside.getByLabel('Inside diameter', { exact: true })
  const here = (await inside.getAttribute('placeholder')) ?? ''
  await inside.fill(here)
  await expect(beside.getByText(/^as the original, within ± 0\.\d+ mm$/)).toBeVisible()
  await inside.fill(String(Number(here) + 3))
  await expect(beside.getByText(/^3 mm less than the original’s [\d.]+ mm, where ± 0\.\d+ mm is allowed$/)).toBeVisible()
  await expect(page.getByText(/^Inside diameter: 3 mm less than the original’s/)).toBeVisible()
  await inside.fill('as the other')
  await expect(beside.getByRole('alert')).toContainText('it can be 0.05 to 5000 mm')
  await inside.fill('')
  const sheet = beside.getByLabel('Thickness', { exact: true })
  const thick = Number(await sheet.getAttribute('placeholder'))
  await sheet.fill(String(Math.round(80 * thick) / 100))
  await expect(page.getByText(/^Thickness: [\d.]+ mm more than the original’s/)).toBeVisible()
  const saved = page.waitForResponse(
    (answer) => answer.url().endsWith('/saveDesign') && /"stronger":true/.test(answer.request().postData() ?? ''),
  )
  await beside.getByLabel('Thickness: larger on purpose, for strength').check()
  await expect(beside.getByText(/more than the original’s [\d.]+ mm, on purpose$/)).toBeVisible()
  await expect(page.getByText(/^Thickness: [\d.]+ mm more/)).toBeHidden()
  await saved
  await page.goto(`${DEMO}/pieces/4`)
  await expect(beside.getByText(/on purpose$/)).toBeVisible()
  const taken = page.waitForResponse('**/api/act/saveDesign')
  await sheet.fill('')
  await taken
  await page.goto(`${DEMO}/pieces/4`)
  await expect(page.getByRole('button', { name: 'It is made after an original' })).toBeVisible()
})
