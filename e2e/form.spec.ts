import { DEMO } from './places'
import { expect, test } from './test'

test('the Form station shows a dome stage by stage, and what an anneal that is left out comes to', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/1`)
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Form' }).click()
  const section = page.getByRole('img', { name: /^Section after the/ })
  await expect(section).toBeVisible()
  const stages = page.getByRole('region', { name: 'Stages' })
  const punches = stages.getByRole('button', { name: /^Punch/ })
  const last = await section.getAttribute('aria-label')
  await punches.first().click()
  await expect(section).not.toHaveAttribute('aria-label', last ?? '')
  const used = () => punches.last().innerText()
  const before = await used()
  const anneal = stages.getByRole('checkbox').first()
  await anneal.setChecked(!(await anneal.isChecked()))
  await expect.poll(used).not.toBe(before)
  await stages.getByRole('button', { name: 'driven home' }).click()
  await expect(stages.getByRole('status')).toContainText('Against splitting')
})

test('a piece of which nothing is domed or bent has no Form station', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/3`)
  await expect(page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Route' })).toBeVisible()
  await expect(page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Form' })).toHaveCount(0)
})
