import { expect, test } from '@playwright/test'
import { seriousFaults } from './axe'
import { DEMO, VIEWS } from './places'

for (const view of VIEWS) {
  test(`axe finds no serious fault on ${view}, light and dark`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' })
    await page.goto(DEMO + view)
    await page.waitForLoadState('load')
    await page.waitForTimeout(400)
    for (const colorScheme of ['light', 'dark'] as const) {
      await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' })
      await expect(page.locator('html')).toHaveAttribute('data-scheme', colorScheme)
      expect(await seriousFaults(page)).toEqual([])
    }
  })
}

// 640 is 1280 looked at twice as large
for (const width of [390, 640, 1280, 1920]) {
  test(`nothing scrolls sideways at ${width}`, async ({ page }) => {
    test.setTimeout(180000)
    await page.setViewportSize({ width, height: width === 390 ? 844 : 900 })
    for (const view of VIEWS) {
      await page.goto(DEMO + view)
      await page.waitForTimeout(250)
      const over = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth)
      expect(`${view} ${over <= 1 ? 'fits' : `is ${over} px too wide`}`).toBe(`${view} fits`)
    }
  })
}

for (const view of ['/bench', '/bench/2', '/bench/5'])
  test(`every word of ${view} stands out 7 to 1`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' })
    await page.goto(DEMO + view)
    await page.waitForTimeout(600)
    expect(await seriousFaults(page, ['color-contrast-enhanced'])).toEqual([])
  })

test('the places can be walked by keyboard, with the focus in sight', async ({ page }) => {
  await page.goto(`${DEMO}/jobs`)
  for (let n = 0; n < 4; n++) await page.keyboard.press('Tab')
  const focused = page.locator(':focus')
  await expect(focused).toHaveText('Drawer')
  expect(await focused.evaluate((node) => getComputedStyle(node).outlineStyle)).toBe('solid')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(`${DEMO}/drawer`)
})
