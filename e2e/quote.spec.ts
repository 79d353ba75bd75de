import { DEMO } from './places'
import { expect, test } from './test'

test('a job is quoted by its metal, minutes and losses; agreed and paid sums stand beside it, and paper says no more than the customer needs', async ({
  page,
}) => {
  await page.goto(`${DEMO}/jobs`)
  await page.getByRole('article').first().getByRole('link', { name: 'Quote' }).click()
  const total = page.getByTestId('quote-total')
  const sum = async () => Number((await total.innerText()).replace(/[^\d.]/g, ''))
  await expect(total).toBeVisible()
  const pieces = page.getByRole('region', { name: 'Pieces' }).getByRole('article')
  await pieces.first().getByRole('button', { name: 'Calculation' }).click()
  await expect(pieces.first()).toContainText('Cost of one that comes out: (M + S + L·(1 + o) + C)/(1 − v)')
  const before = await sum()
  expect(before).toBeGreaterThan(0)
  const job = Number(/jobs\/(\d+)\/quote/.exec(page.url())?.[1])
  await page.goto(`${DEMO}/jobs?job=${job}`)
  const card = page.getByRole('article').filter({ has: page.locator(`a[href="/jobs/${job}/quote"]`) })
  await card.getByRole('button', { name: 'Change the job' }).click()
  const form = card.getByRole('form')
  await form.getByLabel(/Price agreed/).fill('much')
  await form.getByRole('button', { name: 'Save the job' }).click()
  await expect(form).toContainText('Price agreed: a sum such as 120.50, or empty')
  await form.getByLabel(/Price agreed/).fill('400')
  await form.getByLabel(/Deposit paid/).fill('150.50')
  await form.getByLabel('Customer’s sizes').fill('third finger, 17.3 mm inside')
  await form.getByLabel('Customer’s sizes').press('Enter')
  await expect(form).toBeHidden()
  await page.goto(`${DEMO}/jobs/${job}/quote`)
  const all = page.getByRole('region', { name: 'In all' })
  await expect(all).toContainText('249.50')
  await expect(all).toContainText('third finger, 17.3 mm inside')
  await all.getByRole('button', { name: 'Take today’s prices' }).click()
  await expect(all).toContainText('the feed’s prices of')
  for (const paper of ['quote', 'sheet']) {
    const answer = await page.request.get(`${DEMO}/api/jobs/${job}/${paper}`)
    expect(answer.headers()['content-type']).toBe('application/pdf')
  }
})
