import { expect, test } from '@playwright/test'
import { DEMO } from './places'

test('the calipers stream into the band, M keeps the reading, X takes a piece out, Esc leaves', async ({ page }) => {
  await page.goto(`${DEMO}/bench/5`)
  await expect(page.getByRole('heading', { name: 'True up on the bangle mandrel' })).toBeVisible()
  await expect(page.getByText(/from the simulated calipers/)).toBeVisible()
  await page.waitForTimeout(1800)
  const live = Number.parseFloat(await page.getByTestId('live-reading').innerText())
  expect(Math.abs(live - 61.9)).toBeLessThan(0.3)
  await page.keyboard.press('m')
  await expect(page.getByText(/Kept: 6\d\.\d+ mm/)).toBeVisible()

  await page.keyboard.press('x')
  await expect(page.getByRole('heading', { name: 'What went wrong with this piece' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'What went wrong with this piece' })).toBeHidden()
  await page.keyboard.press('x')
  await page.getByRole('button', { name: 'split or cracked' }).click()
  await expect(page.getByTestId('piece-number')).toHaveText('2')
  await page.keyboard.press('Escape')
  await expect(page).toHaveURL(`${DEMO}/bench`)
  await expect(page.getByRole('article', { name: /Tray 5/ })).toContainText('1 lost')
})

test('a reading taken while nothing answers waits in the page and is kept once', async ({ page, request }) => {
  await page.goto(`${DEMO}/bench/6`)
  await expect(page.getByText(/from the simulated calipers/)).toBeVisible()
  await page.route('**/api/v1/trays/6/readings', (route) => route.abort())
  await page.getByRole('button', { name: 'Type a reading' }).click()
  await page.getByLabel('Height', { exact: true }).fill('12.34')
  await page.keyboard.press('Enter')
  await expect(page.getByText(/kept on this page and sent again/)).toBeVisible()
  await page.unroute('**/api/v1/trays/6/readings')
  await expect(page.getByText('The waiting readings are kept now.')).toBeVisible()
  const kept = (await (await request.get(`${DEMO}/api/v1/trays/6/readings`)).json()) as { valueMm: number }[]
  expect(kept.filter((reading) => reading.valueMm === 12.34)).toHaveLength(1)
})

test('bench type is large and targets are for gloves', async ({ page }) => {
  await page.goto(`${DEMO}/bench/2`)
  const title = page.getByRole('heading', { level: 1 })
  expect(await title.evaluate((node) => Number.parseFloat(getComputedStyle(node).fontSize))).toBeGreaterThan(40)
  for (const button of await page.getByRole('button').all()) expect((await button.boundingBox())?.height ?? 0).toBeGreaterThanOrEqual(56)
  const smallest = await page.evaluate(() =>
    Math.min(
      ...[...document.querySelectorAll('main *')]
        .filter((node) => [...node.childNodes].some((child) => child.nodeType === 3 && child.textContent?.trim()))
        .map((node) => Number.parseFloat(getComputedStyle(node).fontSize)),
    ),
  )
  expect(smallest).toBeGreaterThanOrEqual(16)
})
