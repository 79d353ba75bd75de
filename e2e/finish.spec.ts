import { DEMO } from './places'
import { expect, test } from './test'

const panel = 'Finish'

test('a face is planned: its papers, its minutes, where they stop, and a metal that is not sanded says so', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/36/finish`)
  const finish = page.getByRole('region', { name: panel, exact: true })
  await finish.getByLabel('Finish').selectOption('mirror')
  await expect(page.getByRole('img', { name: /Papers for the face/ })).toHaveAccessibleName(/P400, 35 µm/)
  await expect(page.getByText('Compounds take out what P1500 leaves')).toBeVisible()
  await finish.getByLabel('Finish').selectOption('as-formed')
  await expect(page.getByText('No paper')).toBeVisible()
  await finish.getByLabel('Face', { exact: true }).selectOption('2')
  await expect(page.getByRole('img', { name: /Papers for the edges/ })).toBeVisible()
  await expect(finish.getByText('saved')).toBeVisible()
})

test('a colour runs from clean to sealed, is not worn where it must not be, and goes on the route', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/3/finish`)
  const finish = page.getByRole('region', { name: panel, exact: true })
  await finish.getByRole('button', { name: 'Plan its finish' }).click()
  await finish.getByLabel('Colour').selectOption('verdigris')
  await finish.getByLabel('Worn on the skin, or eaten from').check()
  await expect(finish.getByRole('list', { name: 'What to look at' })).toContainText('not on skin, nor for food')
  await finish.getByLabel('Colour').selectOption('sulphurated-potash')
  await expect(page.getByRole('img', { name: /Colours the film goes through/ })).toBeVisible()
  await finish.getByLabel('Dips').fill('4')
  await expect(finish.getByRole('list', { name: 'Steps' })).toContainText('Dip, 4 of 4')
  await expect(finish.getByText(/does not have it as planned here yet/)).toContainText('Dip in the patina')
  await finish.getByRole('button', { name: 'Put it on the route' }).click()
  await expect(finish.getByText(/does not have it as planned here yet/)).toHaveCount(0)
  await expect(finish.getByText('saved')).toBeVisible()
  await page.goto(`${DEMO}/pieces/3/route`)
  await expect(page.getByText('Dip in the patina, 4 times').first()).toBeVisible()
  await expect(page.getByText('Relieve the high places').first()).toBeVisible()
})

test('at the bench each dip says what the colour was, a pickle next to it holds it back, and U takes one back', async ({ page }) => {
  // the bangles go into the pickle now
  await page.goto(`${DEMO}/bench`)
  await page
    .getByRole('article', { name: /, Lamp-room bangle/ })
    .getByRole('link', { name: 'Continue' })
    .click({ timeout: 20_000 })
  const title = page.getByRole('heading', { level: 1 })
  await expect(page.getByRole('button', { name: 'Take back' })).toBeVisible()
  for (const key of ['u', 'Space']) {
    const sent = page.waitForResponse(/\/api\/v1\/entries/)
    await page.keyboard.press(key)
    await sent
  }
  await expect(title).not.toContainText('Pickle')
  await page.goto(`${DEMO}/pieces/37/route`)
  await page.getByRole('button', { name: /Start a tray/ }).click()
  await page.waitForURL(/\/bench\/\d+/)
  await expect(title).toContainText('Saw')
  await expect(async () => {
    await page.keyboard.press('Space')
    await expect(title).toContainText('Dip in the patina', { timeout: 150 })
  }).toPass({ intervals: [1], timeout: 90_000 })
  await expect(page.getByRole('alert').filter({ hasText: 'hydrogen sulphide' })).toContainText('Lamp-room bangle')
  await expect(page.getByRole('button', { name: /^Done/ })).toHaveCount(0)
  await page.clock.install({ time: Date.now() + 20 * 60_000 })
  await page.reload()
  await expect(page.getByRole('button', { name: /^Done/ })).toBeVisible()
  await expect(page.getByRole('img', { name: /Colours the film goes through/ })).toBeVisible()
  await page.keyboard.press('m')
  await page.keyboard.press('2')
  await expect(page.getByRole('status').filter({ hasText: 'Dip 1' })).toContainText('Dip 1, brown or purple')
  await page.keyboard.press('m')
  await page.getByRole('button', { name: 'even and dark' }).click()
  await expect(page.getByRole('button', { name: /^Dip 3 of 3/ })).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByRole('button', { name: /^Dip 2 of 3/ })).toBeVisible()
})
