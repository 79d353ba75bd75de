import { PARTS, type PartName } from './parts.mjs'
import type { Page } from './test'

const [demo, workshop] = PARTS[(process.env.E2E_PART as PartName | undefined) ?? 'shared'].ports ?? []
export const DEMO = `http://127.0.0.1:${demo}`
export const WORKSHOP = `http://127.0.0.1:${workshop}`

/** Every view of the demonstration, by address. */
export const VIEWS = [
  '/jobs',
  '/pieces/1',
  '/pieces/2',
  '/pieces/3',
  '/pieces/4',
  '/pieces/12/compare',
  '/pieces/15',
  '/pieces/17',
  '/pieces/18',
  '/pieces/18/joints',
  '/pieces/24/route',
  '/pieces/1/form',
  '/pieces/3/mark',
  '/pieces/35/mark',
  '/pieces/3/finish',
  '/pieces/15/finish',
  '/pieces/4/form',
  '/bench/2/cautions',
  '/pieces/6/route',
  '/pieces/2/record',
  '/pieces/3/check',
  '/layout/3',
  '/layout/3/saw',
  '/drawer',
  '/drawer/tools',
  '/drawer/outline',
  '/drawer/scrap',
  '/drawer/baths',
  '/drawer/templates',
  '/drawer/buy',
  '/drawer/fits/1',
  '/tables',
  '/tables?q=18',
  '/tables?q=patina',
  '/tables/words',
  '/drawer?look=table',
  '/jobs?look=table',
  '/tables/advice/drill',
  '/tables/advice/solder',
  '/tables/advice/strike',
  '/tables/advice/colour-run',
  '/bench',
  '/bench/2',
  '/bench/5',
  '/bench/day',
  '/jobs/1/quote',
  '/book',
  '/book/trainer?seed=7&kind=size',
  '/book/lessons',
  '/book/metals',
  '/settings',
  '/archive',
  '/no-such-place',
] as const

/** Views of a kind that another stands for: looked at with E2E=all. */
export const ALIKE: readonly string[] = [
  '/pieces/2',
  '/pieces/3',
  '/pieces/4',
  '/pieces/15',
  '/pieces/17',
  '/pieces/1/form',
  '/pieces/35/mark',
  '/pieces/15/finish',
  '/tables?q=patina',
  '/tables/advice/solder',
  '/tables/advice/strike',
  '/bench/5',
  '/pieces/24/route',
  '/pieces/3/check',
  '/drawer/fits/1',
  '/drawer?look=table',
  '/jobs?look=table',
  '/tables/words',
  '/tables/advice/colour-run',
]

/** Puts a step at the end of a route, as a smith would: by the first letters of what it is. */
export async function addStep(page: Page, title: string, on?: string): Promise<void> {
  await page.getByRole('combobox', { name: 'Add a step' }).fill(title)
  await page.getByRole('option', { name: title, exact: true }).click()
  if (on) await page.getByRole('region', { name: 'Add a step' }).getByLabel('Done to').selectOption(on)
  await page.getByRole('button', { name: 'Add it at the end' }).click()
}

const STEP_WORDS = { earlier: 'Do it earlier', later: 'Do it later', out: 'Take it out' } as const

/** Does something with a step of a route by its menu, as a smith would; of several alike the last. */
export async function changeStep(page: Page, title: string, what: keyof typeof STEP_WORDS): Promise<void> {
  await page
    .getByRole('button', { name: `Change ${title}`, exact: true })
    .last()
    .click()
  await page.getByRole('menuitem', { name: STEP_WORDS[what] }).click()
}
