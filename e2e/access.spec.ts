import { seriousFaults } from './axe'
import { ALL } from './parts.mjs'
import { ALIKE, DEMO, VIEWS } from './places'
import { expect, type Page, test } from './test'

/** A phone; with E2E=all also 1280 looked at twice as large, and a large screen. */
const WIDTHS = ALL ? [390, 640, 1920] : [390]

async function tooWide(page: Page): Promise<number> {
  return page.evaluate(() => Math.max(0, document.documentElement.scrollWidth - window.innerWidth - 1))
}

/** The colours of the dark come from one theme: each fourth view is looked at in it, all with E2E=all. */
const isSeenDark = (at: number) => ALL || at % 4 === 0

for (const [at, view] of VIEWS.filter((view) => ALL || !ALIKE.includes(view)).entries()) {
  const dark = isSeenDark(at) ? ', none of contrast in dark' : ''
  test(`${view}: no serious fault by axe in light${dark}, and nothing scrolls sideways`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' })
    await page.goto(DEMO + view)
    await page.waitForLoadState('load')
    await page.waitForTimeout(100)
    expect(await seriousFaults(page)).toEqual([])
    if (isSeenDark(at)) {
      await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' })
      await expect(page.locator('html')).toHaveAttribute('data-scheme', 'dark')
      expect(await seriousFaults(page, { rules: ['color-contrast'], within: 'body' })).toEqual([])
    }
    expect(await tooWide(page)).toBe(0)
    for (const width of WIDTHS) {
      await page.setViewportSize({ width, height: width === 390 ? 844 : 900 })
      // a table measures itself anew a moment after the window has changed
      await expect.poll(async () => `${width}: ${await tooWide(page)} px too wide`).toBe(`${width}: 0 px too wide`)
    }
  })
}

for (const [view, within] of [
  ['/bench', 'article'],
  ['/bench/2', 'main'],
  ['/bench/5', 'main'],
] as const)
  test(`every word of ${view} stands out 7 to 1`, async ({ page }) => {
    await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' })
    await page.goto(DEMO + view)
    await page.waitForTimeout(600)
    expect(await seriousFaults(page, { rules: ['color-contrast-enhanced'], within })).toEqual([])
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
