import { DEMO } from './places'
import { expect, test } from './test'

test('which sheet takes the blanks: each of their metal is tried, the smallest first, and one is used', async ({ page }) => {
  // a small offcut beside the sheet that is there already
  await page.goto(`${DEMO}/drawer`)
  await page.getByRole('button', { name: 'Put metal in' }).click()
  await page.getByLabel('Metal', { exact: true }).selectOption('copper-c110')
  await page.getByLabel('Thickness as sold').fill('0.91 mm')
  await page.getByLabel('Length', { exact: true }).fill('60')
  await page.getByLabel('Width', { exact: true }).fill('12')
  await page.getByRole('button', { name: 'Put it in the drawer' }).click()
  const said = page.getByText(/It is in the drawer as S-\d+/)
  await expect(said).toBeVisible()
  const label = /S-\d+/.exec((await said.textContent()) ?? '')?.[0] ?? ''

  await page.goto(`${DEMO}/layout/3`)
  await page.getByRole('button', { name: 'Which sheet takes them?' }).click()
  const tried = page.getByRole('list', { name: 'What each sheet takes' }).getByRole('listitem')
  await expect(tried).toHaveCount(2)
  await expect(tried.first()).toContainText(label)
  await expect(tried.last()).toContainText('S-3')
  await expect(tried.last()).toContainText(/takes all \d+/)
  const count = /takes all (\d+)/.exec((await tried.last().textContent()) ?? '')?.[1] ?? ''
  await tried.last().getByRole('button', { name: 'Use S-3' }).click()
  await expect(page.getByLabel('Sheet').first()).toBeVisible()
  await expect(page.getByRole('region', { name: 'Layout' })).toContainText(`${count} of ${count}`)
})
