import { DEMO } from './places'
import { expect, test } from './test'

test('a blade breaks and is counted; a measured punch wins over what it was sold as', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/tools`)
  await page.getByRole('button', { name: /^5\/0, / }).click()
  await expect(page.getByTestId('on-hand')).toHaveText('12')
  await page.getByRole('button', { name: 'One broke' }).click()
  await expect(page.getByTestId('on-hand')).toHaveText('11')
  await expect(page.getByText('1 broken so far')).toBeVisible()

  await page
    .getByRole('button', { name: /^28 mm, 28 mm$/ })
    .first()
    .click()
  await page.getByLabel('Ball, as measured').fill('27.82')
  await page.getByRole('button', { name: 'Save' }).first().click()
  await expect(page.getByRole('button', { name: '28 mm, 27.82 mm, measured' })).toBeVisible()
})

test('a tool with only a maker’s label hangs there, and is picked for nothing until it is measured', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/tools`)
  await page.getByRole('button', { name: /lamp-room punch C, not measured: plans cannot use it/ }).click()
  await expect(page.getByText('Only its label is known.')).toBeVisible()
  await page.getByLabel('Ball, as measured').fill('round')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert').filter({ hasText: '"round" is not a size' })).toBeVisible()
})

test('a new drill by hand and a set by tick; the adviser takes it at once', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/tools`)
  await page.getByRole('button', { name: 'Hang tools up' }).click()
  await page.getByLabel('Name').fill('fine metric bit')
  await page.getByLabel('Diameter, as sold').fill('wide')
  await page.getByRole('button', { name: 'Hang it up' }).click()
  await expect(page.getByRole('alert').filter({ hasText: '"wide" is not a size' })).toBeVisible()
  await expect(page.getByLabel('Name')).toHaveValue('fine metric bit')
  await page.getByLabel('Diameter, as sold').fill('1.84')
  await page.getByRole('button', { name: 'Hang it up' }).click()
  await expect(page.getByRole('button', { name: /fine metric bit, 1.84 mm/ })).toBeVisible()
  await page.goto(`${DEMO}/tables/advice/drill`)
  await page.getByLabel('Wire, tube or post').fill('13 ga')
  await expect(page.getByTestId('advice')).toHaveText('fine metric bit, 1.84 mm')

  await page.goto(`${DEMO}/drawer/tools`)
  await page.getByRole('button', { name: 'Hang tools up' }).click()
  await page.getByLabel('Screw and plier punches').check()
  await page.getByRole('button', { name: 'Hang up what is ticked' }).click()
  await expect(page.getByText('8 tools hung up.')).toBeVisible()
})

test('a mandrel is read by its own calibration', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/drawer/tools`)
  await page.getByRole('button', { name: /^ring mandrel/ }).click()
  await page.getByLabel('Mark', { exact: true }).fill('US 8')
  await page.getByLabel('Measured', { exact: true }).fill('18.19')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('region', { name: /^ring mandrel/ })).toContainText('18.19')
  await page.goto(`${DEMO}/tables/advice/mandrel`)
  await page.getByLabel('Ring').fill('18.19')
  await expect(page.getByTestId('advice')).toHaveText('ring mandrel, US 1 to 15: at US 8')
})

test('the route says which of one’s own tools a step takes', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/pieces/6/route`)
  await expect(page.getByText(/Yours: 6\/0 blade/)).toBeVisible()
  await page
    .getByRole('button', { name: /^Dome with the 36 mm/ })
    .first()
    .click()
  await expect(page.getByText(/Yours: the 38 mm cup/).first()).toBeVisible()
})
