import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { expect, test } from '@playwright/test'
import { DEMO, VIEWS } from './places'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

for (const view of VIEWS) {
  test(`axe finds no serious fault on ${view}`, async ({ page }) => {
    await page.goto(DEMO + view)
    await page.waitForLoadState('load')
    await page.waitForTimeout(400)
    await page.evaluate(axe)
    const faults = await page.evaluate(async () => {
      const { violations } = await (
        window as unknown as { axe: { run: () => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }> } }
      ).axe.run()
      return violations
        .filter((item) => item.impact === 'serious' || item.impact === 'critical')
        .map(
          (item) =>
            `${item.id}: ${item.nodes
              .map((node) => node.html.slice(0, 140))
              .slice(0, 3)
              .join(' | ')}`,
        )
    })
    expect(faults).toEqual([])
  })
}

for (const width of [390, 1280, 1920]) {
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

test('the places can be walked by keyboard, with the focus in sight', async ({ page }) => {
  await page.goto(`${DEMO}/jobs`)
  for (let n = 0; n < 4; n++) await page.keyboard.press('Tab')
  const focused = page.locator(':focus')
  await expect(focused).toHaveText('Drawer')
  expect(await focused.evaluate((node) => getComputedStyle(node).outlineStyle)).toBe('solid')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(`${DEMO}/drawer`)
})
