import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from '@playwright/test'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** Serious and critical faults of accessibility on the page as it stands, each with where it was found. */
export async function seriousFaults(page: Page, rules: readonly string[] = []): Promise<string[]> {
  await page.evaluate(axe)
  return page.evaluate(async (only) => {
    const { violations } = await (
      window as unknown as {
        axe: { run: (options?: object) => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }> }
      }
    ).axe.run(only.length > 0 ? { runOnly: { type: 'rule', values: [...only] } } : {})
    return violations
      .filter((item) => item.impact === 'serious' || item.impact === 'critical')
      .map(
        (item) =>
          `${item.id}: ${item.nodes
            .map((node) => node.html.slice(0, 140))
            .slice(0, 3)
            .join(' | ')}`,
      )
  }, rules)
}
