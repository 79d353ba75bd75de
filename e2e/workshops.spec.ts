import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { DEMO, WORKSHOP } from './places'
import { expect, test } from './test'

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
  const made = page.url()
  await page.goto(`${DEMO}/settings`)
  await page.getByRole('button', { name: 'Restore' }).first().click()
  const dialog = page.getByRole('dialog')
  await expect(dialog.getByRole('row', { name: /^Jobs/ })).toContainText(/\d+\s*\d+/)
  const [held = 0, now = 0] = (await dialog.getByRole('row', { name: /^Jobs/ }).getByRole('cell').allInnerTexts()).map(Number)
  expect(now).toBe(held + 1)
  await dialog.getByRole('button', { name: 'Restore it' }).click()
  await expect(page.getByText(/What was there before is kept as/)).toBeVisible()
  await page.goto(made)
  await expect(page.getByRole('article').first()).toBeVisible()
  await expect(page.getByRole('article', { name: 'Made after the backup' })).toBeHidden()
})

test('a backup kept elsewhere is brought in, looked through, and stands to be restored; a file that is none is refused', async ({
  page,
}) => {
  await page.goto(`${WORKSHOP}/settings`)
  await page.getByRole('button', { name: 'Back up now' }).click()
  await expect(page.getByText(/^Backed up as /)).toBeVisible()
  const name = (await page.getByText(/^Backed up as /).innerText()).replace(/^Backed up as (.*)\.$/, '$1')
  const kept = readFileSync(join(process.env.E2E_DATA ?? '', 'workshop', 'backups', name))
  const field = page.getByLabel('Backup file')
  await field.setInputFiles({ name: 'notes.txt', mimeType: 'text/plain', buffer: Buffer.from('no workshop') })
  await expect(page.getByRole('alert').filter({ hasText: 'It was not accepted' })).toBeVisible()
  const before = await page.getByRole('button', { name: 'Restore' }).count()
  await field.setInputFiles({ name: 'from-the-other-machine.db', mimeType: 'application/octet-stream', buffer: kept })
  await expect(page.getByRole('dialog').getByRole('row', { name: /^Jobs/ })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('button', { name: 'Restore' })).toHaveCount(before + 1)
})

test('a backup under way says so with a bar and Cancel; one that is called off leaves nothing', async ({ page }) => {
  await page.goto(`${WORKSHOP}/settings`)
  await page.getByRole('button', { name: 'Back up now' }).waitFor()
  const before = await page.getByRole('button', { name: 'Restore' }).count()
  const asked: string[] = []
  page.on('request', (request) => {
    if (request.url().includes('/api/under-way/')) asked.push(request.method())
  })
  let letGo: () => void = () => undefined
  const held = new Promise<void>((resolve) => {
    letGo = resolve
  })
  await page.route('**/api/act/backUp', async (route) => {
    await held
    await route.abort()
  })
  await page.getByRole('button', { name: 'Back up now' }).click()
  await expect(page.getByRole('progressbar')).toBeVisible()
  await expect(page.getByRole('button', { name: 'Back up now' })).toBeDisabled()
  await expect.poll(() => asked).toContain('GET')
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect.poll(() => asked).toContain('DELETE')
  letGo()
  await expect(page.getByText('The program is not responding.')).toBeVisible()
  await expect(page.getByRole('progressbar')).toBeHidden()
  await expect(page.getByRole('button', { name: 'Restore' })).toHaveCount(before)
})
