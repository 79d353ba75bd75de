import { seriousFaults } from './axe'
import { changeStep, DEMO } from './places'
import { expect, test } from './test'

test('keys: ? lists those of the view, / goes to the ask line, and neither fights typing', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/2`)
  await page.waitForTimeout(500)
  await page.keyboard.press('?')
  const dialog = page.getByRole('dialog', { name: 'Keys of this view' })
  await expect(dialog).toContainText('take back the last change')
  expect(await seriousFaults(page)).toEqual([])
  await page.keyboard.press('Escape')
  await expect(dialog).toBeHidden()
  await page.keyboard.press('/')
  await expect(page.getByLabel('Ask the bench')).toBeFocused()
  await page.keyboard.type('5/16 in?')
  await expect(page.getByLabel('Ask the bench')).toHaveValue('5/16 in?')
  await expect(dialog).toBeHidden()
})

test('a change of a size is taken back by key and done again, also while its field has the focus', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/4`)
  const thickness = page.getByLabel('Thickness', { exact: true })
  const before = await thickness.inputValue()
  await thickness.fill('0.77')
  await page.keyboard.press('Control+z')
  await expect(thickness).toHaveValue(before)
  await page.keyboard.press('Control+Shift+z')
  await expect(thickness).toHaveValue('0.77')
  await page.keyboard.press('Control+z')
  await expect(thickness).toHaveValue(before)
})

test('a step taken out of a route can be put back, from the notice and by key', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/6/route`)
  const steps = page.getByRole('list', { name: 'Steps in order' }).getByRole('listitem')
  const count = await steps.count()
  await changeStep(page, 'Pickle', 'out')
  await expect(steps).toHaveCount(count - 1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(steps).toHaveCount(count)
  await changeStep(page, 'Pickle', 'out')
  await expect(steps).toHaveCount(count - 1)
  await page.keyboard.press('Control+z')
  await expect(steps).toHaveCount(count)
})

test('a job is put into the archive after what hangs on it was said, and comes back by Undo or from the archive', { tag: '@more' }, async ({
  page,
}) => {
  await page.goto(`${DEMO}/jobs`)
  const job = page.getByRole('article', { name: 'Ticket tokens' })
  const putAway = async () => {
    await page.getByRole('button', { name: 'More of Ticket tokens' }).click()
    await page.getByRole('menuitem', { name: 'Archive' }).click()
    const dialog = page.getByRole('dialog', { name: 'Put Ticket tokens into the archive?' })
    await expect(dialog).toContainText('With it: 1 piece')
    await dialog.getByRole('button', { name: 'Archive' }).click()
    await expect(job).toBeHidden()
  }
  await putAway()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(job).toBeVisible()
  await putAway()
  await page.goto(`${DEMO}/archive`)
  const row = page.getByRole('row', { name: /Ticket tokens/ })
  await row.getByRole('button', { name: 'Delete for good' }).click()
  await expect(page.getByRole('dialog')).toContainText('cannot be brought back')
  expect(await seriousFaults(page)).toEqual([])
  await page.getByRole('dialog').getByRole('button', { name: 'Cancel' }).click()
  await row.getByRole('button', { name: 'Take out' }).click()
  await expect(row).toBeHidden()
  await page.goto(`${DEMO}/jobs`)
  await expect(job).toBeVisible()
})

test('light or dark is chosen on this device and kept', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'light' })
  await page.goto(`${DEMO}/settings`)
  await expect(async () => {
    await page.getByLabel('Light or dark, on this device').selectOption('dark')
    await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark', { timeout: 500 })
  }).toPass()
  await page.goto(`${DEMO}/jobs`)
  await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark')
  await expect(page).toHaveTitle('Jobs · Fold Anvil')
})

test('the ask line finds a piece of the workshop by its name, and Enter goes there', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/book`)
  await page.waitForTimeout(500)
  // a hand quicker than the answer: what half the name found stands there first, and the answer to all of it comes late
  await page.route('**/api/find?*q=coat%20butt*', async (route) => {
    await new Promise((done) => setTimeout(done, 1500))
    await route.continue()
  })
  await page.keyboard.press('/')
  await page.keyboard.type('coat')
  const found = page.getByRole('list', { name: 'In this workshop' })
  await expect(found.getByRole('link', { name: /Winter coats/ }).first()).toBeVisible()
  await page.keyboard.type(' butt')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/pieces\/1$/)
  await expect(page).toHaveTitle('Guard’s coat button · Fold Anvil')
})
