import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { Page } from './test'

const axe = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8')

/** By which rules alone a part of the page is looked at. */
interface Asked {
  readonly rules: readonly string[]
  readonly within: string
}

/** Serious and critical faults of accessibility on the page as it stands, each with where it was found. */
export async function seriousFaults(page: Page, asked?: Asked): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe)
  // what is still fading in has not its own colours yet
  await page.waitForFunction(() =>
    document.getAnimations().every((one) => one.playState !== 'running' || one.effect?.getComputedTiming().endTime === Infinity),
  )
  return page.evaluate(async (only) => {
    const context = only ? { include: [only.within] } : document
    // no rule that is asked reads style sheets
    const options = { preload: false, resultTypes: ['violations'], ...(only ? { runOnly: { type: 'rule', values: [...only.rules] } } : {}) }
    const { violations } = await (
      window as unknown as {
        axe: {
          run: (context: object, options: object) => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }>
        }
      }
    ).axe.run(context, options)
    return violations
      .filter((item) => item.impact === 'serious' || item.impact === 'critical')
      .map(
        (item) =>
          `${item.id}: ${item.nodes
            .map((node) => node.html.slice(0, 140))
            .slice(0, 3)
            .join(' | ')}`,
      )
  }, asked)
}
