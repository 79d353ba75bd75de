import { expect, test } from '@playwright/test'
import { DEMO } from './places'

test('the demonstration says so, and one click starts an own workshop in a file of its own', async ({ page }) => {
  await page.goto(`${DEMO}/jobs`)
  await expect(page.getByRole('note')).toContainText('Demonstration')
  await page.getByRole('button', { name: 'Start my own workshop' }).click()
  await expect(page.getByText('No jobs yet')).toBeVisible()
  await expect(page.getByRole('note')).toBeHidden()
  await page.goto(`${DEMO}/settings`)
  await expect(page.getByText(/workshop\.db/)).toBeVisible()
  await page.getByRole('button', { name: 'Open the demonstration' }).click()
  await expect(page.getByRole('note')).toContainText('Demonstration')
  await expect(page.getByRole('article', { name: 'Winter coats' })).toBeVisible()
})

test('a backup can be put back, and what was there before is kept', async ({ page }) => {
  await page.goto(`${DEMO}/settings`)
  await page.getByRole('button', { name: 'Back up now' }).click()
  await expect(page.getByText(/Backed up as demo-/)).toBeVisible()
  await page.goto(`${DEMO}/jobs`)
  await page.getByRole('button', { name: 'New job' }).click()
  await page.getByLabel('Job', { exact: true }).fill('Made after the backup')
  await page.getByRole('button', { name: 'Save the job' }).click()
  await expect(page.getByRole('article', { name: 'Made after the backup' })).toBeVisible()
  await page.goto(`${DEMO}/settings`)
  await page.getByRole('button', { name: 'Restore' }).first().click()
  await expect(page.getByText(/What was there before is kept as/)).toBeVisible()
  await page.goto(`${DEMO}/jobs`)
  await expect(page.getByRole('article', { name: 'Made after the backup' })).toBeHidden()
})
