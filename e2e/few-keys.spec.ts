import { folderOf, kill, type Started, start } from './start'
import { expect, type Page, test } from './test'

const PORT = 4330
let server: Started
const url = (path: string) => `${server.base}${path}`

// a workshop that nobody has opened before
test.beforeAll(async () => {
  server = await start(folderOf('few-keys'), PORT, { FOLD_ANVIL_OPEN: 'workshop' })
})
test.afterAll(() => kill(server))

/** A hand that counts what it presses. */
function hand(page: Page) {
  const pressed = { keys: 0, presses: 0 }
  return {
    pressed,
    async key(name: string) {
      pressed.keys++
      await page.keyboard.press(name)
    },
    async type(text: string) {
      pressed.keys += text.length
      await page.keyboard.type(text, { delay: 15 })
    },
    /** One press of the pointer; what it opens is a card with something on it. */
    async printsCard() {
      pressed.presses++
      const [card] = await Promise.all([page.waitForEvent('popup'), page.getByRole('link', { name: 'Print the card' }).click()])
      const answer = await page.request.get(card.url())
      expect(answer.headers()['content-type']).toBe('application/pdf')
      expect((await answer.body()).byteLength).toBeGreaterThan(5000)
      await card.close()
    },
  }
}

test('a first start asks four things, and the ring to try leaves with one press and comes back', async ({ page }) => {
  await page.goto(url('/jobs'))
  const start = page.getByRole('region', { name: 'First start' })
  await expect(start.getByRole('combobox')).toHaveCount(4)
  await start.getByLabel('Ring sizes').selectOption('US')
  await start.getByLabel('Metal on the shelf').selectOption('copper-c110')
  await start.getByLabel('Blade in the saw').selectOption('4/0')
  await start.getByRole('button', { name: 'Start' }).click()
  await expect(start).toBeHidden()
  const trial = page.getByRole('article', { name: 'To try out' })
  await expect(trial).toContainText('for practice')
  await trial.getByRole('button', { name: 'Remove it' }).click()
  await expect(trial).toBeHidden()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(trial).toBeVisible()
  await trial.getByRole('button', { name: 'Remove it' }).click()
  await expect(trial).toBeHidden()

  // the answers stand in Settings, and the questions do not come back
  await page.goto(url('/settings'))
  await expect(page.getByLabel('Usual metal')).toHaveValue('copper-c110')
  await expect(page.getByLabel('Saw kerf')).not.toHaveValue('0.3')
  await page.goto(url('/jobs'))
  await expect(page.getByText('No jobs yet')).toBeVisible()
  await expect(start).toBeHidden()
})

test('a ring blank from a cold start to the printed card: twelve keys and one press; the second piece of its job eight', async ({
  page,
}) => {
  const first = hand(page)
  await page.goto(url('/'))
  await expect(page.getByLabel('Ask the bench')).toBeVisible()
  await page.waitForTimeout(500)
  await first.key('/')
  await first.type('ring 8 18g')
  await expect(page.getByTestId('ask-answer')).toBeVisible()
  await first.key('Enter')
  await expect(page.getByRole('heading', { name: 'Ring band' })).toBeVisible()
  // US 8 is 18.14 mm inside (the US scale: 11.63 mm and 0.8128 mm a size), 18 ga is 1.024 mm: π × 19.16 is 60.2 mm
  await expect(page.getByTestId('answer')).toHaveText(/^60\.\d+ mm|^60 mm/)
  await first.printsCard()
  expect(first.pressed).toEqual({ keys: 12, presses: 1 })

  const job = await page.getByText(/ for Ring band$/).innerText()
  const second = hand(page)
  await second.key('/')
  await second.type('ring 9')
  await expect(page.getByRole('button', { name: 'Add it to Ring band' })).toBeVisible()
  await second.key('Enter')
  await expect(page.getByLabel('Size', { exact: true })).toHaveValue('size 9')
  await expect(page.getByLabel('Thickness', { exact: true })).toHaveValue('18g')
  expect(await page.getByText(/ for Ring band$/).innerText()).toBe(job)
  await second.printsCard()
  expect(second.pressed).toEqual({ keys: 8, presses: 1 })
})

test('an existing job is offered before a new one is made, and what was worked on last stands there before anything is typed', async ({
  page,
}) => {
  await page.goto(url('/jobs'))
  await page.waitForTimeout(500)
  await page.keyboard.press('/')
  const answer = page.getByRole('status', { name: 'Answer' })
  await expect(answer).toContainText('Worked on last')
  await page.keyboard.type('disc 20 1mm thick')
  const offer = answer.getByRole('button', { name: 'Ring band' })
  await expect(offer).toBeVisible()
  await offer.click()
  await expect(page.getByRole('heading', { name: 'Flat disc' })).toBeVisible()
  await expect(page.getByText(/ for Ring band$/)).toBeVisible()
})
