import { DEMO } from './places'
import { expect, test } from './test'

test('scrap goes into its own jar; other metal is kept out until one insists, and the slip tells what there is', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/scrap`)
  const sterling = page.getByRole('article', { name: 'Sterling silver, clean scrap' })
  await expect(sterling).toContainText('18.3 g')
  // 18.3 g at 925 parts in a thousand
  await expect(sterling).toContainText('16.93 g fine')
  await page.getByRole('button', { name: 'Put scrap in' }).click()
  const form = page.getByRole('form', { name: 'Put scrap in a jar' })
  await form.getByLabel('Metal', { exact: true }).selectOption('copper-c110')
  await form.getByLabel('Weighs').fill('3.2')
  await form.getByLabel('Into').selectOption({ label: 'Sterling silver, clean scrap' })
  await form.getByRole('button', { name: 'Put it in', exact: true }).click()
  await expect(form).toContainText('with copper in it neither can be melted again here')
  await expect(sterling).toContainText('18.3 g')
  await form.getByLabel('Into').selectOption({ label: 'the jar of its own' })
  await form.getByRole('button', { name: 'Put it in', exact: true }).click()
  await expect(page.getByRole('article', { name: 'Copper, clean scrap' })).toContainText('91.6 g')
  await expect(page.getByText('Mixed: other metal was put in.')).toHaveCount(0)
  const slip = await page.request.get(
    new URL((await page.getByRole('link', { name: 'Print the refining slip' }).getAttribute('href')) ?? '', DEMO).href,
  )
  expect(slip.headers()['content-type']).toBe('application/pdf')
  await sterling.getByRole('button', { name: 'Read the scale' }).click()
  const read = sterling.getByLabel('In the jar')
  expect(Number(await read.inputValue())).toBeCloseTo(18.3, 0)
  await sterling.getByRole('button', { name: 'Cancel' }).click()
})

test('the scale is tried on its check weight: what it is found off by is kept, and taken back by Undo', async ({ page }) => {
  await page.goto(`${DEMO}/drawer/scrap`)
  const scale = page.getByRole('group', { name: 'Scale' })
  await expect(scale).toContainText('It reads 0.01 g too much, within what it tells. It tells within 0.02 g.')
  await scale.getByRole('button', { name: 'Check the scale' }).click()
  await scale.getByRole('button', { name: 'Set it to zero' }).click()
  await scale.getByRole('button', { name: 'Read the scale' }).click()
  const shows = scale.getByLabel('On the check weight of 50 g it shows')
  await expect(shows).toHaveValue(/^(49\.9|50)/)
  await shows.fill('18.3 g')
  await scale.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(scale.getByRole('alert')).toContainText('18.3 g is not of a check weight of 50 g')
  await shows.fill('49.93')
  await scale.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(scale).toContainText(
    'It reads 0.07 g too little: empty the pan, set it to zero, and check it again. It tells within 0.07 g.',
  )
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(scale).toContainText('It tells within 0.02 g.')
})

test('the drawer shows one metal and one thickness when asked, with what it is worth', async ({ page }) => {
  await page.goto(`${DEMO}/drawer`)
  await expect(page.getByRole('region', { name: 'Copper' })).toContainText(/worth [\d.]+ EUR at 0\.03 EUR a gram/)
  await page.getByLabel('Metal shown').selectOption({ label: 'sterling silver' })
  await expect(page.getByRole('region', { name: 'Copper' })).toHaveCount(0)
  await expect(page.getByRole('article', { name: 'S-4, Sterling silver' })).toBeVisible()
  await page.getByLabel('Thickness shown').selectOption('1.16')
  await expect(page.getByRole('article')).toHaveCount(1)
})
