import { DEMO } from './places'
import { expect, test } from './test'

test('what cracked and what held says how far a metal goes; that is worked with, and given back', async ({ page }) => {
  await page.goto(`${DEMO}/book`)
  await page.getByRole('link', { name: 'Metals' }).click()
  const metal = page.getByRole('region', { name: 'Nickel silver' })
  await expect(metal).toContainText(/1 of \d+ pieces cracked/)
  await expect(metal).toContainText('something else must have broken it: a notch, a burr, a hidden crack')
  await expect(metal).toContainText('The table’s 45 % is worked with')
  const use = metal.getByRole('button', { name: /^Work with \d+ %$/ })
  const own = /\d+/.exec((await use.textContent()) ?? '')?.[0]
  await use.click()
  await expect(metal).toContainText(`Your ${own} % is worked with`)
  await expect(use).toBeHidden()
  await metal.getByRole('button', { name: 'Leave out my figure' }).click()
  await expect(metal).toContainText('The table’s 45 % is worked with')
})
