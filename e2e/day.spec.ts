import { DEMO } from './places'
import { expect, test } from './test'

test('the day puts all trays in one order, says when each is done, and goes to the bench from there', async ({ page }) => {
  await page.goto(`${DEMO}/bench`)
  await page.getByRole('navigation', { name: 'Bench' }).getByRole('link', { name: 'The day' }).click()
  const order = page.getByRole('region', { name: 'In this order' })
  await expect(order.getByRole('listitem').first()).toBeVisible()
  const done = page.getByRole('region', { name: 'When it is done' })
  await expect(done).toContainText('No order is quicker than')
  await expect(done).toContainText(/in time on \d+ days of a hundred/)
  const trays = Number.parseInt(await page.getByText('trays through one bench').innerText(), 10)
  expect(await done.getByText(/^between/).count()).toBe(trays)
  await expect(page.getByRole('img', { name: /The day at \d+ stations/ })).toBeVisible()
  await order.getByRole('button', { name: /All \d+ steps/ }).click()
  const steps = await order.getByRole('listitem').count()
  expect(steps).toBeGreaterThan(10)
  await order.getByRole('listitem').first().getByRole('link').click()
  await expect(page).toHaveURL(/\/bench\/\d+$/)
})

test('a piece that is not begun is promised, or not, by the plan of the bench', async ({ page }) => {
  await page.goto(`${DEMO}/bench/day`)
  const ask = page.getByRole('region', { name: 'Can I promise it?' })
  await ask.getByLabel('For the day').fill('soon')
  await ask.getByRole('button', { name: 'Ask the plan' }).click()
  await expect(ask).toContainText('a date such as 2027-03-01; "soon" was given')
  const day = (on: number) => new Date(Date.now() + on * 86_400_000).toISOString().slice(0, 10)
  await ask.getByLabel('For the day').fill(day(40))
  await ask.getByRole('button', { name: 'Ask the plan' }).click()
  await expect(ask).toContainText(/You can promise it: done in time on 99 days of a hundred/)
  await ask.getByLabel('For the day').fill(day(-1))
  await ask.getByRole('button', { name: 'Ask the plan' }).click()
  await expect(ask).toContainText('No: done in time on less than one day of a hundred')
})

test('the day goes onto paper and into a calendar', { tag: '@more' }, async ({ page }) => {
  const sheet = await page.request.get(`${DEMO}/api/day/sheet`)
  expect(sheet.headers()['content-type']).toBe('application/pdf')
  const calendar = await (await page.request.get(`${DEMO}/api/day/ics`)).text()
  expect(calendar).toMatch(/^BEGIN:VCALENDAR\r\n/)
  const [begun, ended] = [calendar.match(/BEGIN:VEVENT/g)?.length, calendar.match(/DTEND:\d{8}T\d{6}Z/g)?.length]
  expect(begun).toBeGreaterThan(2)
  expect(ended).toBe(begun)
})
