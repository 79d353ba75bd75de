import { addStep, changeStep, DEMO } from './places'
import { expect, test } from './test'

test('a line with how many, how wide and a hole becomes a piece of just that', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/drawer`)
  await page.getByLabel('Ask the bench').fill('6 washers 24 mm window 9 copper 18ga')
  await expect(page.getByText('6 of them')).toBeVisible()
  await page.getByRole('button', { name: 'Make a piece of it' }).click()
  await expect(page.getByRole('heading', { name: 'Washer' })).toBeVisible()
  await expect(page.getByLabel('How many', { exact: true })).toHaveValue('6')
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('18ga')
  await expect(page.getByTestId('mass')).toContainText('g in all')
  const [each = 0, all = 0] = (await page.getByTestId('mass').innerText()).match(/[\d.]+(?= g)/g)?.map(Number) ?? []
  expect(all / each).toBeCloseTo(6, 0)
})

test('a setting is drawn flat and set, and no torch comes after its stone without a reason written down', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/8`)
  await expect(page.getByRole('group', { name: /^Set: edge 3\.4, lap 1\.27$/ })).toBeVisible()
  await page.getByRole('link', { name: 'Route' }).click()
  await expect(page.getByRole('listitem').filter({ hasText: 'Set the stone, tabs over' }).first()).toBeVisible()
  await page.route('**/api/act/saveDesign', async (route) => {
    await new Promise((done) => setTimeout(done, 1500))
    await route.continue()
  })
  await addStep(page, 'Solder', 'the whole piece')
  await expect(page.getByText(/cannot take the flame/).first()).toBeVisible()
  await page.getByRole('button', { name: /Start a tray/ }).click()
  await expect(page.getByText(/^Not released to the bench: Stones, cement and plastics cannot take the flame/)).toBeVisible()
  await page.unroute('**/api/act/saveDesign')
  await changeStep(page, 'Solder the joint', 'out')
  await expect(page.getByText(/cannot take the flame/)).toBeHidden()
})

test('a rivet is drawn as it is cut and as it is headed, and heat after it is stopped', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/9`)
  await expect(page.getByRole('group', { name: /^Headed: head 2\.69$/ })).toBeVisible()
  await page.goto(`${DEMO}/pieces/9/route`)
  await expect(page.getByRole('listitem').filter({ hasText: 'Rivet both heads, a little each side' }).first()).toBeVisible()
  await addStep(page, 'Anneal', 'the whole piece')
  await expect(page.getByText(/Heat softens the head of a rivet/).first()).toBeVisible()
  await changeStep(page, 'Anneal', 'out')
  await expect(page.getByText(/Heat softens the head of a rivet/)).toBeHidden()
})

test('links say what your strip comes to, before anything is cut', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/pieces/10`)
  await page.getByLabel('Growth on rolling', { exact: true }).fill('12')
  await page.getByLabel('I already have a strip', { exact: true }).fill('9 in')
  await expect(page.getByText(/^Your strip would come to 240\.6 mm/)).toBeVisible()
  await page.getByLabel('I already have a strip', { exact: true }).fill('')
  await page.getByLabel('Growth on rolling', { exact: true }).fill('0')
  await expect(page.getByText(/Your strip would come to/)).toBeHidden()
})
