import { DEMO } from './places'
import { expect, type Page, test } from './test'

async function lookUp(page: Page, text: string): Promise<void> {
  await page.getByLabel('Look up').fill(text)
}

test('a bare number is asked back, a name is found, its neighbours stand beside it', async ({ page }) => {
  await page.goto(`${DEMO}/tables`)
  await lookUp(page, '18')
  await expect(page.getByText(/Which 18\? It stands on \d scales/)).toBeVisible()
  await page.getByRole('button', { name: /^18 ga SWG 1.219 mm/ }).click()
  await expect(page.getByTestId('row-value')).toHaveText('1.219 mm')
  await expect(page.getByRole('region', { name: 'What it is' })).toContainText('BS 3737')
  const beside = page.getByRole('region', { name: 'Neighbours' })
  await expect(beside.getByRole('button', { name: /^17 ga B&S/ })).toContainText('−0.070')
  await beside.getByRole('button', { name: /^17 ga B&S/ }).click()
  await expect(page.getByTestId('row-value')).toHaveText('1.150 mm')
})

test('drills, grits, rings and solders are found as they are said', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/tables`)
  for (const [typed, value] of [
    ['#60', '1.016 mm'],
    ['P600', '25.8 µm'],
    ['UK N½', '17.308 mm'],
    ['2-6', '60.325 mm'],
    ['cami 600', '16.0 µm'],
  ] as const) {
    await lookUp(page, typed)
    await expect(page.getByTestId('row-value')).toHaveText(value)
  }
  await lookUp(page, 'easy')
  await expect(page.getByText(/Which easy\?/)).toContainText('British easy')
  await lookUp(page, '7 oz')
  await expect(page.getByText(/Which ounce\?/)).toBeVisible()
  await lookUp(page, 'wobble')
  await expect(page.getByText(/is not a size/)).toBeVisible()
})

test('the ruler is walked by key, mark by mark, and looked at closer', async ({ page }) => {
  await page.goto(`${DEMO}/tables?q=US+7`)
  const ruler = page.getByRole('slider', { name: /Ring scales/ })
  await ruler.focus()
  await expect(ruler).toHaveAttribute('aria-valuetext', '17.323 mm')
  await page.keyboard.press('ArrowRight')
  const next = Number.parseFloat((await ruler.getAttribute('aria-valuetext')) ?? '0')
  expect(next).toBeGreaterThan(17.323)
  expect(next).toBeLessThan(17.4)
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowLeft')
  expect(Number.parseFloat((await ruler.getAttribute('aria-valuetext')) ?? '99')).toBeLessThan(17.323)
})

test('a table with no ruler is shown whole, with its cautions; a low value says it is a suggestion', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/tables`)
  await lookUp(page, '')
  await page.getByRole('button', { name: 'Incompatible materials' }).click()
  await expect(page.getByRole('grid', { name: 'Incompatible materials' })).toContainText('poisonous hydrogen sulphide')
  await page.getByRole('button', { name: 'Wide bands' }).click()
  await expect(page.getByRole('region', { name: 'What it is' })).toContainText('a suggestion')
})

test('a table leaves as CSV and as a one-page card', async ({ request }) => {
  const csv = await request.get(`${DEMO}/api/tables/drill-number/csv`)
  expect(csv.headers()['content-disposition']).toContain('drill-number.csv')
  expect(await csv.text()).toContain('#55,1.3208')
  const card = await request.get(`${DEMO}/api/tables/saw-blade/card`)
  expect(card.headers()['content-type']).toBe('application/pdf')
  expect((await request.get(`${DEMO}/api/tables/spoons/csv`)).status()).toBe(404)
})

test('the drill adviser names the missing bit and shows the fit', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/tables/advice/drill`)
  await page.getByLabel('Wire, tube or post').fill('14 ga')
  await expect(page.getByTestId('missing')).toHaveText('Use a 1.65 mm bit; the closest you have is #51, 0.07 mm over.')
  await expect(page.getByTestId('advice')).toHaveText('#51, 1.702 mm')
  await page.getByLabel('Wire, tube or post').fill('thick')
  await expect(page.getByRole('alert').first()).toContainText('"thick" is not a size')
  await expect(page.getByLabel('Wire, tube or post')).toHaveValue('thick')
})

test('blade, papers, solders and hammer: each adviser answers with its reason', async ({ page }) => {
  await page.goto(`${DEMO}/tables/advice/blade`)
  await page.getByLabel('Sheet', { exact: true }).fill('0.9')
  await expect(page.getByTestId('advice')).toContainText('5/0 blade: 2.5 teeth in the metal')
  await page.getByRole('link', { name: 'Abrasive ladder' }).click()
  await expect(page.getByTestId('advice')).toContainText('P220 → P400 → P800 → P1500')
  await page.getByLabel('Deepest scratch').fill('600')
  await expect(page.getByRole('alert').first()).toContainText('Which 600?')
  await page.getByRole('link', { name: 'Solder ladder' }).click()
  await page.getByLabel('Joints, one after another').fill('4')
  await expect(page.getByTestId('advice')).toHaveText(
    'Hard (75 % silver) → Medium (70 % silver) → Easy (65 % silver) → Extra easy (56 % silver)',
  )
  await expect(page.getByText(/very narrow margin/)).toBeVisible()
  await page.getByRole('link', { name: 'Hammer on tool' }).click()
  await page.getByLabel('Strikes').selectOption('steel-hammer')
  await expect(page.getByTestId('advice')).toContainText('No: hardened steel hammer')
  await page.getByRole('link', { name: 'Colour, from clean to sealed' }).click()
  await expect(page.getByTestId('advice')).toContainText('sulphurated potash on copper: yes')
  const steps = page.getByRole('list', { name: 'Steps' })
  await expect(steps).toContainText('Brush both faces, 3 of 3')
  await page.getByLabel('Dips or sprays').selectOption('two')
  await expect(steps).not.toContainText('3 of 3')
  await page.getByLabel('Pickle on the same bench').selectOption('yes')
  await expect(page.getByText(/poisonous hydrogen sulphide/)).toBeVisible()
})

test('the ask line knows the tables and the advisers', async ({ page }) => {
  await page.goto(`${DEMO}/jobs`)
  const ask = page.getByLabel('Ask the bench')
  await ask.fill('#55')
  await expect(page.getByTestId('ask-answer')).toContainText('1.321 mm')
  await ask.fill('easy')
  await expect(page.getByTestId('ask-answer')).toContainText('British easy')
  await ask.fill('blade for 22 ga')
  await expect(page.getByTestId('ask-answer')).toContainText('teeth in the metal')
  await ask.fill('drill for 14 ga wire')
  await expect(page.getByText('the closest you have is #51, 0.07 mm over')).toBeVisible()
  await ask.fill('brass hammer on stamp')
  await expect(page.getByTestId('ask-answer')).toContainText('Yes: brass hammer')
  await ask.fill('P600')
  await ask.press('Enter')
  await expect(page).toHaveURL(/\/tables\?q=P600/)
  await expect(page.getByTestId('row-value')).toHaveText('25.8 µm')
})

test('one’s own figure wins over the preset, in advice too, and can be taken back', async ({ page }) => {
  await page.goto(`${DEMO}/tables`)
  await lookUp(page, 'kerf over')
  await expect(page.getByTestId('row-value')).toContainText('0.03')
  await page.getByLabel('Your own figure').fill('9')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'allowed: 0 to 0.3 mm' })).toBeVisible()
  await page.getByLabel('Your own figure').fill('0.11')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('0.11 is used, not the preset').first()).toBeVisible()
  await page.goto(`${DEMO}/tables/advice/blade`)
  await expect(page.getByTestId('advice')).toContainText('kerf 0.29 mm')
  await page.goto(`${DEMO}/tables`)
  await lookUp(page, 'kerf over')
  await page.getByLabel('Your own figure').fill('')
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('The preset is used.').first()).toBeVisible()
})
