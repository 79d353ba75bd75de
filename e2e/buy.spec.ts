import { DEMO } from './places'
import { expect, test } from './test'

test('the smallest metal to buy for all open jobs, after what the drawer takes', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/buy`)
  await expect(page.getByText(/blanks of open jobs lie on no sheet yet/)).toBeVisible()
  // tags of which a layout holds some: the rest must be bought
  const brass = page.getByRole('region', { name: 'Yellow brass, 0.91 mm' })
  await expect(brass).toBeVisible({ timeout: 60_000 })
  await expect(brass).toContainText(/Buy \d+ × \d+ mm for the \d+ that are left/)
  await expect(brass).toContainText(/[\d.]+ g, about [\d.]+ EUR/)
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByText(/Looking at/)).toBeHidden()
})

test('tools that open jobs want and the wall lacks, with what they cost, each and in all', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/buy`)
  const tools = page.getByRole('region', { name: 'Tools that are wanted' })
  await expect(
    tools
      .getByRole('listitem')
      .filter({ hasText: / mm bit; / })
      .first(),
  ).toContainText(/about [\d.]+ EUR/)
  await expect(tools).toContainText(/All of them new: about [\d.]+ EUR/)
})

test('what can still be made of an offcut: blanks of its metal, as many as it takes', async ({ page }) => {
  await page.goto(`${DEMO}/drawer`)
  await page.getByRole('button', { name: 'More of S-3', exact: true }).click()
  await page.getByRole('menuitem', { name: 'What can be made of it?' }).click()
  const list = page.getByRole('list', { name: 'What can be made of it' })
  await expect(list.getByRole('listitem').first()).toContainText(/at least \d+ × /, { timeout: 25_000 })
  await expect(list.getByRole('img').first()).toBeVisible()
})
