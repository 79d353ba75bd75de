import { DEMO } from './places'
import { expect, test } from './test'

test('an offcut as an L goes into the drawer; a slip of the point is asked about, and what is meant is taken', async ({ page }) => {
  await page.goto(`${DEMO}/drawer`)
  await page.getByRole('button', { name: 'Put metal in' }).click()
  await page.getByLabel('Metal', { exact: true }).selectOption('copper-c110')
  await page.getByLabel('Thickness as sold').fill('22 ga')
  await page.getByLabel('As measured').fill('6.2')
  await page.getByLabel('Shape').selectOption('l-shape')
  await page.getByLabel('Length', { exact: true }).fill('100')
  await page.getByLabel('Width', { exact: true }).fill('60')
  await page.getByLabel('Missing corner, along the length').fill('40')
  await page.getByLabel('Missing corner, along the width').fill('25')
  // 22 ga B&S is 0.644 mm (ASTM B258); the L holds 100 × 60 − 40 × 25 = 5000 mm²
  await page.getByRole('button', { name: 'Put it in the drawer' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'far off. Is it 0.62 mm?' })).toBeVisible()
  await expect(page.getByLabel('As measured')).toBeFocused()
  await page.getByLabel('As measured').fill('0.62')
  // copper 8.94 g/cm³: 5000 × 0.62 mm³ weigh 27.7 g
  await expect(page.getByRole('form', { name: 'Put metal in' })).toContainText('27.7 g')
  await page.getByRole('button', { name: 'Put it in the drawer' }).click()
  const sheet = page.getByRole('article', { name: /^S-7, Copper/ })
  await expect(sheet).toContainText('measured 0.62')

  await page.getByRole('button', { name: 'More of S-7' }).click()
  await page.getByRole('menuitem', { name: 'Correct or rename' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Label').fill('window L')
  await dialog.getByLabel('Temper').selectOption('hard')
  await dialog.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('article', { name: /^window L/ })).toContainText('hard')
  await page.getByRole('button', { name: 'More of window L' }).click()
  await page.getByRole('menuitem', { name: 'Correct or rename' }).click()
  await expect(page.getByRole('dialog')).toContainText('Label: S-7 is window L')
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByRole('article', { name: /^S-7, Copper/ })).toBeVisible()
  await page.getByRole('button', { name: 'More of S-7' }).click()
  await page.getByRole('menuitem', { name: 'Archive' }).click()
  await expect(page.getByRole('article', { name: /^S-7, Copper/ })).toBeHidden()
})

test('sheet as wide as the blanks of a job is a strip: they are cut from it to length', async ({ page }) => {
  await page.goto(`${DEMO}/drawer`)
  await page.getByRole('button', { name: 'Put metal in' }).click()
  await page.getByLabel('Metal', { exact: true }).selectOption('sterling-925')
  await page.getByLabel('Thickness as sold').fill('17 ga')
  await page.getByLabel('Length', { exact: true }).fill('400')
  await page.getByLabel('Width', { exact: true }).fill('3.5')
  await page.getByRole('button', { name: 'Put it in the drawer' }).click()
  const strip = page.getByRole('article').filter({ hasText: 'strip 400 × 3.5' })
  await expect(strip).toBeVisible()
  const label = (await strip.getAttribute('aria-label'))?.split(',')[0] ?? ''

  await page.goto(`${DEMO}/layout/2`)
  const group = page.getByRole('region', { name: 'Sterling silver, strip 3.5 mm wide, 1.15 mm thick' })
  await expect(group).toContainText('6 × 64 mm (Thirty-year ring, band)')
  // six of 64 mm and six cuts by a blade of 0.29 mm: 385.7 of the 400 mm
  await expect(group.getByRole('img', { name: new RegExp(`^${label}: .*from 0 to 64.*; 14\\.\\d mm are left$`) })).toBeVisible()
  await expect(group).toContainText('no choice of bars under 400 mm in all takes the 385.8 mm that pieces and cuts need')

  await page.goto(`${DEMO}/drawer`)
  await page.getByRole('button', { name: `More of ${label}` }).click()
  await page.getByRole('menuitem', { name: 'Archive' }).click()
  await expect(strip).toBeHidden()
})

test('the drawer as a table is searched, sorted and leads to a piece of metal; the look stands in the address', async ({ page }) => {
  await page.goto(`${DEMO}/drawer?look=table`)
  const grid = page.getByRole('grid', { name: 'Metal in the drawer' })
  await expect(grid.getByRole('row', { name: /T-1 tube Yellow brass/ })).toContainText('⌀ 7.4, 420 long')
  await grid.getByRole('columnheader', { name: 'Mass, g' }).click()
  const masses = async () => (await grid.locator('[data-field="mass"][role="gridcell"]').allInnerTexts()).map(Number)
  await expect(async () => {
    const shown = await masses()
    expect(shown).toEqual([...shown].sort((a, b) => a - b))
  }).toPass()
  await page.getByRole('button', { name: 'To scale' }).click()
  await expect(page).toHaveURL(`${DEMO}/drawer`)
  await expect(page.getByRole('article', { name: /^T-1/ })).toBeVisible()
})
