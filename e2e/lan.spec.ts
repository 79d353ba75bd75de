import { type ChildProcess, spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { seriousFaults } from './axe'

const PORT = 4324
const BASE = `http://127.0.0.1:${PORT}`
let server: ChildProcess

test.beforeAll(async () => {
  const env = { ...process.env, FOLD_ANVIL_OPEN: 'workshop', FOLD_ANVIL_LAN: '1', FOLD_ANVIL_DATA: join(process.env.E2E_DATA ?? '', 'lan') }
  server = spawn('node', ['node_modules/next/dist/bin/next', 'start', '--hostname', '127.0.0.1', '--port', String(PORT)], {
    env,
    stdio: 'ignore',
    detached: true,
  })
  await expect(async () => expect((await fetch(`${BASE}/pair`)).status).toBe(200)).toPass({ timeout: 20000 })
})

test.afterAll(() => {
  if (server.pid) process.kill(-server.pid, 'SIGKILL')
})

test('on the network a device is let in only with the code, and shut out again', async ({ page, browser }) => {
  expect((await page.request.get(`${BASE}/api/v1/forms`)).status()).toBe(401)
  await page.goto(`${BASE}/jobs`)
  await expect(page.getByRole('heading', { name: 'Pair this device' })).toBeVisible()
  expect(await seriousFaults(page)).toEqual([])
  await page.getByLabel('Code').fill('12 34')
  await page.getByRole('button', { name: 'Pair' }).click()
  await expect(page.getByRole('alert')).toContainText('That is not the code; 4 more tries')

  const kept = JSON.parse(readFileSync(join(process.env.E2E_DATA ?? '', 'lan', 'paired-devices.json'), 'utf8')) as { code: string }
  await page.goto(`${BASE}/pair?code=${kept.code}`)
  await page.getByLabel('What this device is called').fill('tablet on the wall')
  await page.getByRole('button', { name: 'Pair' }).click()
  await expect(page.getByRole('navigation').first()).toBeVisible()
  await page.goto(`${BASE}/settings`)
  await expect(page.getByRole('list', { name: 'Paired devices' })).toContainText('tablet on the wall')
  const code = await page.getByTestId('pairing-code').innerText()
  expect(code).not.toBe(kept.code)

  const phone = await browser.newContext()
  const second = await phone.newPage()
  await second.goto(`${BASE}/pair?code=${code}`)
  await second.getByRole('button', { name: 'Pair' }).click()
  expect((await second.request.get(`${BASE}/api/v1/forms`)).status()).toBe(200)

  await page.getByRole('button', { name: 'Shut out all of them' }).click()
  await expect(page.getByRole('heading', { name: 'Pair this device' })).toBeVisible()
  expect((await second.request.get(`${BASE}/api/v1/forms`)).status()).toBe(401)
  await phone.close()
})
