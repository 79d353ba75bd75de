import { DEMO } from './places'
import { trayFacts, work } from './start'
import { expect, type Page, test } from './test'

const panel = 'Finish'

/** Everything before an operation is done on the tray that is looked at. */
async function upTo(page: Page, op: string): Promise<void> {
  const facts = await trayFacts(DEMO, Number(page.url().split('/').at(-1)))
  const at = facts.steps.findIndex((step) => step.op === op)
  expect(new Set(await work(DEMO, facts, 0, at))).toEqual(new Set([200]))
  await page.reload()
}

test('a face is planned: its papers, its minutes, where they stop, and a metal that is not sanded says so', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/36/finish`)
  const finish = page.getByRole('region', { name: panel, exact: true })
  await finish.getByLabel('Finish').selectOption('mirror')
  await expect(page.getByRole('img', { name: /Papers for the face/ })).toHaveAccessibleName(/P400, 35 µm/)
  await expect(page.getByText('Compounds take out what P1500 leaves')).toBeVisible()
  await finish.getByLabel('Finish').selectOption('as-formed')
  await expect(page.getByText('No paper')).toBeVisible()
  await finish.getByLabel('Face', { exact: true }).selectOption('2')
  await expect(page.getByRole('img', { name: /Papers for the edges/ })).toBeVisible()
  await expect(finish.getByText('saved', { exact: true })).toBeVisible()
})

test('a colour runs from clean to sealed, is not worn where it must not be, and goes on the route', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/3/finish`)
  const finish = page.getByRole('region', { name: panel, exact: true })
  await finish.getByRole('button', { name: 'Plan its finish' }).click()
  await finish.getByLabel('Colour').selectOption('verdigris')
  await finish.getByLabel('Worn on the skin, or eaten from').check()
  await expect(finish.getByRole('list', { name: 'What to look at' })).toContainText('not on skin, nor for food')
  await finish.getByLabel('Colour').selectOption('sulphurated-potash')
  await expect(page.getByRole('img', { name: /Colours the film goes through/ })).toBeVisible()
  await finish.getByLabel('Dips').fill('4')
  await expect(finish.getByRole('list', { name: 'Steps' })).toContainText('Dip, 4 of 4')
  await expect(finish.getByText(/does not have it as planned here yet/)).toContainText('Dip in the patina')
  await finish.getByRole('button', { name: 'Put it on the route' }).click()
  await expect(finish.getByText(/does not have it as planned here yet/)).toHaveCount(0)
  await expect(finish.getByText('saved', { exact: true })).toBeVisible()
  await page.goto(`${DEMO}/pieces/3/route`)
  await expect(page.getByText('Dip in the patina, 4 times').first()).toBeVisible()
  await expect(page.getByText('Relieve the high places').first()).toBeVisible()
})

test('at the bench each dip says what the colour was, a pickle next to it holds it back, and U takes one back', async ({ page }) => {
  // the bangles go into the pickle now
  await page.goto(`${DEMO}/bench`)
  await page
    .getByRole('article', { name: /, Lamp-room bangle/ })
    .getByRole('link', { name: 'Continue' })
    .click({ timeout: 20_000 })
  const title = page.getByRole('heading', { level: 1 })
  await expect(page.getByRole('button', { name: 'Take back' })).toBeVisible()
  for (const key of ['u', 'Space']) {
    const sent = page.waitForResponse(/\/api\/v1\/entries/)
    await page.keyboard.press(key)
    await sent
  }
  await expect(title).not.toContainText('Pickle')
  await page.goto(`${DEMO}/pieces/37/route`)
  await page.getByRole('button', { name: /Start a tray/ }).click()
  await page.waitForURL(/\/bench\/\d+/)
  await expect(title).toContainText('Saw')
  await expect(async () => {
    await page.keyboard.press('Space')
    await expect(title).toContainText('Dip in the patina', { timeout: 150 })
  }).toPass({ intervals: [1], timeout: 90_000 })
  await expect(page.getByRole('alert').filter({ hasText: 'hydrogen sulphide' })).toContainText('Lamp-room bangle')
  await expect(page.getByRole('button', { name: /^Done/ })).toHaveCount(0)
  await page.clock.install({ time: Date.now() + 20 * 60_000 })
  await page.reload()
  await expect(page.getByRole('button', { name: /^Done/ })).toBeVisible()
  await expect(page.getByRole('img', { name: /Colours the film goes through/ })).toBeVisible()
  await page.keyboard.press('m')
  await expect(page.getByRole('heading', { name: /what does the colour say/ })).toBeVisible()
  await page.keyboard.press('2')
  await expect(page.getByRole('status').filter({ hasText: 'Dip 1' })).toContainText('Dip 1, brown or purple')
  await page.keyboard.press('m')
  await expect(page.getByRole('heading', { name: /what does the colour say/ })).toBeVisible()
  await page.getByRole('button', { name: 'even and dark' }).click()
  await expect(page.getByRole('button', { name: /^Dip 3 of 3/ })).toBeVisible()
  await page.keyboard.press('u')
  await expect(page.getByRole('button', { name: /^Dip 2 of 3/ })).toBeVisible()
})

test('a texture before the last cut: the sheet and the rough piece to begin with, on the route and at Size', { tag: '@more' }, async ({
  page,
}) => {
  await page.goto(`${DEMO}/pieces/5/finish`)
  const finish = page.getByRole('region', { name: panel, exact: true })
  await finish.getByRole('button', { name: 'Plan its finish' }).click()
  await finish.getByLabel('Texture').selectOption('mill')
  const texture = finish.getByRole('region', { name: 'Texture' })
  await texture.getByLabel('Made of sheet').fill('1.2')
  await expect(texture.locator('b').filter({ hasText: '1.1 mm' })).toBeVisible()
  const rough = (await texture.getByText(/mm of 1.2 mm sheet/).textContent()) ?? ''
  await texture.getByRole('button', { name: 'Put the texture on the route' }).click()
  await expect(texture.getByRole('button', { name: 'Put the texture on the route' })).toHaveCount(0)
  await expect(finish.getByText('saved', { exact: true })).toBeVisible()
  await page.goto(`${DEMO}/pieces/5`)
  await expect(page.getByText(`begin with ${rough}`)).toBeVisible()
  await page.goto(`${DEMO}/pieces/5/route`)
  await expect(page.getByText('Saw it roughly to size').first()).toBeVisible()
  await expect(page.getByText('Roll to 1.1 mm').first()).toBeVisible()
})

test('lamp numbers inside a bangle: struck on the flat strip, and shown where they end once it is closed', { tag: '@more' }, async ({
  page,
}) => {
  await page.goto(`${DEMO}/pieces/32/mark`)
  const marks = page.getByRole('region', { name: 'Marks', exact: true })
  const list = marks.getByRole('list', { name: 'Marks' }).getByRole('listitem')
  await expect(list).toHaveCount(2)
  const kept = page.waitForResponse('**/api/act/saveDesign')
  await marks.getByLabel('Words, a new line for each row').fill('17 42 58 71')
  await kept
  await page.goto(`${DEMO}/pieces/32/route`)
  await page.getByRole('button', { name: /Start a tray/ }).click()
  await page.waitForURL(/\/bench\/\d+/)
  await upTo(page, 'letter')
  await expect(page.getByRole('img', { name: 'Where each of 8 goes on the blank' })).toBeVisible()
  await page.goto(`${DEMO}/pieces/32/mark`)
  await page.getByLabel('As long as it is on the ring').check()
  await expect(page.getByTestId('formed')).toHaveCount(8)
})

test('a mask is antiqued by a mist: planned, on its route, sprayed three times at the bench', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/pieces/34/finish`)
  const finish = page.getByRole('region', { name: panel, exact: true })
  await expect(finish.getByLabel('Put on')).toHaveValue('spray')
  await expect(finish.getByRole('list', { name: 'Steps' })).toContainText('Spray, 3 of 3')
  await expect(finish.getByRole('list', { name: 'How it is held' })).toContainText('three points')
  await page.goto(`${DEMO}/pieces/34/route`)
  await expect(page.getByText('Spray the patina, 3 times').first()).toBeVisible()
  await expect(page.getByText('Dip in the patina')).toHaveCount(0)
})

test('verdigris is sprayed and dried for a working day, and the clock says when to look again', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/36/route`)
  await page.getByRole('button', { name: /Start a tray/ }).click()
  await page.waitForURL(/\/bench\/\d+/)
  await upTo(page, 'verdigris')
  await page.keyboard.press('m')
  await expect(page.getByRole('heading', { name: /what does the colour say/ })).toBeVisible()
  await page.keyboard.press('1')
  await expect(page.getByText(/verdigris: 7 h \d+ min to go/)).toBeVisible()
  await page.goto(`${DEMO}/bench`)
  await expect(page.getByRole('article', { name: /Weathered nameplate/ }).first()).toContainText(/to go/)
})
