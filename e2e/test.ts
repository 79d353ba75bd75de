import { test as base, type Page } from '@playwright/test'

export { expect, type Locator, type Page } from '@playwright/test'

/** A page of the program is used once it answers to hands: it says so itself. Other pages, a PDF among them, are taken as they come. */
async function answers(page: Page): Promise<void> {
  const isProgram = await page.evaluate(() => document.querySelector('script[src*="/_next/"]') !== null).catch(() => false)
  if (isProgram) await page.locator('html[data-ready]').waitFor({ state: 'attached' })
}

function patient(page: Page): void {
  const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)]
  page.goto = async (...asked) => {
    const response = await goto(...asked)
    await answers(page)
    return response
  }
  page.reload = async (...asked) => {
    const response = await reload(...asked)
    await answers(page)
    return response
  }
}

/** Tests whose pages are waited for until they answer, whoever opens them. */
export const test = base.extend({
  context: async ({ context }, use) => {
    context.on('page', patient)
    await use(context)
  },
})
