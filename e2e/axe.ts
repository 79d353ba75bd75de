import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** Serious and critical faults of accessibility on the page as it stands, each with where it was found. */
export async function seriousFaults(page: Page): Promise<string[]> {
  await page.evaluate(axe)
  return page.evaluate(async () => {
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
}
