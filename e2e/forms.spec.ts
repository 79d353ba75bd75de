import { DEMO } from './places'
import { expect, test } from './test'

test('a cone is asked for in one line, and its two arcs are named', async ({ page }) => {
  await page.goto(`${DEMO}/drawer`)
  await page.getByLabel('Ask the bench').fill('cone 36 x 21 x 30 23ga copper')
  await expect(page.getByTestId('ask-answer')).toHaveText(/^\d+(\.\d)? mm$/)
  await page.getByRole('button', { name: 'Make a piece of it' }).click()
  await expect(page.getByRole('heading', { name: 'Cone' })).toBeVisible()
  await expect(page.getByText(/Strike both arcs from one centre/)).toBeVisible()
  await page.getByLabel('Small end outside').fill('36')
  await expect(page.getByText(/Strike both arcs from one centre/)).toBeHidden()
})

test('tabs: a school, a count that must be exact, and what stays over the stone', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/pieces/8`)
  await expect(page.getByText(/lies over the stone/)).toBeVisible()
  await page.getByRole('button', { name: /Edge and 3/ }).click()
  await expect(page.getByTestId('answer')).toHaveText('6.4 mm')
  await page.getByLabel('Tabs', { exact: true }).fill('3')
  await expect(page.getByText(/Three tabs hold, but each must stand exactly right/)).toBeVisible()
})

test('a rivet in a hole smaller than its wire is refused by name; a loose one makes a smaller head', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/9`)
  await expect(page.getByTestId('answer')).toHaveText('4.3 mm')
  await page.getByLabel('Hole', { exact: true }).fill('1.9')
  await expect(page.getByRole('region', { name: 'Finished piece' }).getByRole('alert')).toHaveText(
    'Hole: it is smaller than the wire; it must be as large at least',
  )
  await page.getByLabel('Hole', { exact: true }).fill('2.1')
  await expect(page.getByText(/The head comes out 2.69 mm/)).toBeVisible()
})

test('a job’s plate and its setting lie in one layout; wire and rivets are cut to length below it', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/7`)
  await expect(page.getByTestId('answer')).toHaveText('58.5 mm')
  await page.getByLabel('Between hole centres').fill('48')
  await expect(page.getByRole('status', { name: 'Answer' })).toContainText('Stop. The openings run over the edge')
  await page.goto(`${DEMO}/layout/7`)
  await expect(page.getByText(/Coach shield 4072/).first()).toBeVisible()
  await expect(page.getByRole('region', { name: 'Layout' }).getByText(/Plate rivet/)).toHaveCount(0)
  await expect(page.getByRole('region', { name: 'Cut to length' })).toContainText('Plate rivet, rivet')
})
