import { DEMO } from './places'
import { expect, test } from './test'

test('a bangle is seen closing on its former, and what it springs to when it is let go', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/4/form`)
  const picture = page.getByRole('img', { name: /^Strip on a former/ })
  const says = page.getByRole('status')
  await expect(picture).toHaveAccessibleName(/70 % of it bent/)
  const wheel = page.getByRole('slider', { name: 'Formed' })
  await wheel.focus()
  await page.keyboard.press('End')
  await expect(picture).toHaveAccessibleName(/100 % of it bent/)
  const opened = async () => Number(/opens to ([\d.]+) mm/.exec(await says.innerText())?.[1])
  const soft = await opened()
  await page.getByRole('button', { name: 'hard', exact: true }).click()
  await expect(says).not.toContainText(`opens to ${soft} mm`)
  // hard metal springs farther than the same metal as it comes from the anneal (common practice, no source)
  expect(await opened()).toBeGreaterThan(soft + 2)
  await page.getByRole('button', { name: 'so that it springs to size' }).click()
  const former = Number(/Bent on ([\d.]+) mm/.exec(await says.innerText())?.[1])
  expect(former).toBeLessThan(soft)
  await expect(picture).toHaveAccessibleName(new RegExp(`Strip on a former of ${former} mm`))
})

test('an anneal that is skipped is told in words and drawn over the ribbon', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/4/route`)
  await page.getByLabel('Temper', { exact: true }).selectOption('hard')
  await page.getByRole('list', { name: 'Steps in order' }).getByText('Anneal').first().click()
  await page.getByRole('button', { name: 'What if I skip it?' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Without it' })).toContainText('it pushes back')
  await expect(page.locator('.ribbon-without').first()).toBeVisible()
  await page.getByRole('button', { name: 'What if I skip it?' }).click()
  await expect(page.locator('.ribbon-without')).toHaveCount(0)
})
