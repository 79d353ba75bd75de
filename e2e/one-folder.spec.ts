import { spawn } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { ALL } from './parts.mjs'
import { folderOf, kill, seed, start } from './start'
import { expect, test } from './test'

const PORT = 4327

/** Starts the program to its end; gives what it said and how it ended. */
function startAndEnd(folder: string, port: number): Promise<{ code: number | null; said: string }> {
  const env = { ...process.env, PORT: String(port), FOLD_ANVIL_DATA: folder, NEXT_TELEMETRY_DISABLED: '1' }
  const server = spawn('node', ['dist/server.mjs'], { env, stdio: ['ignore', 'pipe', 'pipe'] })
  let said = ''
  for (const stream of [server.stdout, server.stderr]) stream.on('data', (text) => (said += text))
  return new Promise((resolve) => server.on('exit', (code) => resolve({ code, said })))
}

test('a second start on one folder says who has it; after a kill the folder is free again', async () => {
  const folder = folderOf('one-folder')
  await seed(folder)
  const first = await start(folder, PORT)
  const second = await startAndEnd(folder, PORT + 1)
  expect(second.code).toBe(3)
  expect(second.said).toContain(`Open ${first.base} in a browser`)
  await kill(first)
  const third = await start(folder, PORT)
  expect((await fetch(`${third.base}/jobs`)).status).toBe(200)
  await kill(third)
})

test('a data folder that cannot be written says so at the start', async () => {
  const file = folderOf('a-file-and-no-folder')
  writeFileSync(file, '')
  const { code, said } = await startAndEnd(join(file, 'data'), PORT)
  expect(code).toBe(1)
  expect(said).toContain(`The data folder ${join(file, 'data')} cannot be written`)
})

test('a workshop whose file is broken says so on every page, and takes a backup all the same', async ({ page }) => {
  const folder = folderOf('broken')
  await seed(folder)
  let server = await start(folder, PORT)
  await page.goto(`${server.base}/settings`)
  await page.getByRole('button', { name: 'Back up now' }).click()
  await expect(page.getByText(/Backed up as demo-/)).toBeVisible()
  await kill(server)
  writeFileSync(join(folder, 'demo.db'), 'written over by something else')
  server = await start(folder, PORT)
  for (const path of ALL ? ['/jobs', '/bench', '/settings'] : ['/bench', '/settings']) {
    await page.goto(server.base + path)
    await expect(page.getByRole('heading', { name: 'This workshop cannot be opened' })).toBeVisible()
    await expect(page.getByRole('alert').filter({ hasText: 'damaged' })).toBeVisible()
  }
  await page.getByRole('button', { name: 'Restore' }).click()
  await expect(page.getByRole('dialog').getByRole('row', { name: /^Jobs/ })).toContainText('12')
  await page.getByRole('button', { name: 'Restore it' }).click()
  await expect(page.getByText(/^Restored demo-.*is kept as demo-.*\.broken/)).toBeVisible({ timeout: 45_000 })
  await page.goto(`${server.base}/jobs`)
  await expect(page.getByRole('article', { name: 'Winter coats' })).toBeVisible()
  await kill(server)
})
