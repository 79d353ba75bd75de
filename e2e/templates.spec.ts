import { DEMO } from './places'
import { expect, test } from './test'

test('a template is mirrored, divided, printed, and laid on its pair to see how they differ', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/templates`)
  const left = page.getByRole('article', { name: 'Signal arm, left', exact: true })
  await expect(left).toContainText('52 × 44 mm')
  await left.getByRole('button', { name: 'Scale, mirror' }).click()
  await left.getByLabel('Change').selectOption('compare')
  const difference = left.getByRole('status', { name: 'Difference' })
  await expect(difference).toContainText(/At most 0\.\d+ mm apart/)
  await expect(difference).toContainText(/Signal arm, right is \d+\.\d+ % (larger|smaller) in area/)
  // the same way round they do not lie on one another
  await left.getByLabel('They are').selectOption('same')
  await expect(difference).toContainText(/At most \d{1,2}(\.\d+)? mm apart/)
  await expect(difference).not.toContainText(/At most 0\./)
  await left.getByLabel('Change').selectOption('scale')
  await left.getByLabel('To, % of this').fill('3')
  await expect(left.getByRole('alert')).toContainText('A scale of 5 to 2000 %')
  await left.getByLabel('To, % of this').fill('150')
  await left.getByRole('button', { name: 'Keep it as a template' }).click()
  const large = page.getByRole('article', { name: 'Signal arm, left, 150 %' })
  await expect(large).toContainText('78 × 66 mm')
  for (const kind of ['Print', 'SVG', 'DXF']) {
    const href = await large.getByRole('link', { name: kind }).getAttribute('href')
    expect((await page.request.get(new URL(href ?? '', DEMO).href)).ok()).toBe(true)
  }
})

test('a measured outline becomes the stone of a bezel and of tabs', { tag: '@more' }, async ({ page }) => {
  const stone = page.getByRole('article', { name: 'Signal arm, left', exact: true })
  await page.goto(`${DEMO}/drawer/templates`)
  await stone.getByRole('button', { name: 'Set it as a stone' }).click()
  await stone.getByRole('button', { name: 'A bezel round it' }).click()
  await expect(page.getByRole('heading', { name: 'Bezel for Signal arm, left' })).toBeVisible()
  // a strip round it is longer than its longer side there and back, and shorter than round its box
  const round = Number(await page.getByLabel('Round the stone').inputValue())
  const [long, wide] = [await page.getByLabel('Stone length').inputValue(), await page.getByLabel('Stone width').inputValue()].map(Number)
  expect(round).toBeGreaterThan(2 * (long ?? 0))
  expect(round).toBeLessThanOrEqual(2 * ((long ?? 0) + (wide ?? 0)))
  await page.goto(`${DEMO}/drawer/templates`)
  await stone.getByRole('button', { name: 'Set it as a stone' }).click()
  await stone.getByRole('button', { name: 'Tabs round it' }).click()
  await expect(page.getByRole('heading', { name: 'Tabs for Signal arm, left' })).toBeVisible()
  await expect(page.getByLabel('Corners of a free outline')).toHaveValue(/^-?\d+(\.\d+)? -?\d+(\.\d+)?; /)
})
