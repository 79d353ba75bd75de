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
