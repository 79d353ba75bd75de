import { DEMO } from './places'
import { expect, test } from './test'

test('two pieces of a job stand side by side, with what differs', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/12/compare`)
  await expect(page.getByRole('region', { name: 'Shade', exact: true })).toBeVisible()
  const table = page.getByRole('table', { name: 'Comparison' })
  await expect(table.getByRole('row', { name: /^Metal each\b.*g \+ 11\.01 g$/ })).toBeVisible()
  await expect(table.getByRole('row', { name: /^Height 66 mm 81 mm differs$/ })).toBeVisible()
})

test('a variant is made, changed and compared', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/2/compare`)
  await page.getByRole('button', { name: 'Make a variant' }).click()
  await expect(page.getByRole('heading', { name: 'Thirty-year ring, variant' })).toBeVisible()
  await page.getByLabel('Width', { exact: true }).fill('6')
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await page.getByRole('link', { name: 'Compare' }).click()
  const table = page.getByRole('table', { name: 'Comparison' })
  await expect(table.getByRole('row', { name: /^Width 6 mm 3\.5 mm differs$/ })).toBeVisible()
  await page.goto(`${DEMO}/pieces/2`)
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue('3.5')
})

test('the drawer says what it holds, and what to buy where it is short', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/pieces/2`)
  await expect(page.getByTestId('supply')).toContainText('Holds all 6, on S-4.')
  await expect(page.getByTestId('cost')).toContainText('metal cost')
  await page.goto(`${DEMO}/pieces/15`)
  await expect(page.getByTestId('supply')).toContainText('Buy Nickel silver wire, 2.5 mm, half hard, 300 mm of it')
})

test('corners that cross are refused by name, and what was typed stays', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/pieces/17`)
  const corners = page.getByLabel('Corners of a free outline')
  await expect(async () => {
    await corners.fill('0 0; 40 30; 40 0; 0 30')
    await expect(corners).toHaveValue('0 0; 40 30; 40 0; 0 30', { timeout: 500 })
  }).toPass()
  await expect(page.getByRole('region', { name: 'Finished piece' }).getByRole('alert')).toContainText('two of its sides cross or touch')
  await expect(corners).toHaveValue('0 0; 40 30; 40 0; 0 30')
  await corners.fill('0 0; 46 0; 58 8; 58 24; 46 32; 0 32')
  await expect(page.getByTestId('answer')).toHaveText('64.5 mm')
  await expect(page.getByLabel('Sides', { exact: true })).toBeHidden()
  await page.getByLabel('Shape').selectOption('Polygon, sides alike')
  await expect(page.getByLabel('Sides', { exact: true })).toBeVisible()
  await expect(corners).toBeHidden()
})
