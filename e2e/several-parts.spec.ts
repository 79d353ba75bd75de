import { addStep, DEMO } from './places'
import { expect, type Locator, type Page, test } from './test'

/** A hand that counts what it enters: a press, a choice, a field filled in. */
function counting(page: Page) {
  const entered = { inputs: 0 }
  return {
    entered,
    async press(what: Locator) {
      entered.inputs++
      await what.click()
    },
    async fill(label: string, text: string) {
      entered.inputs++
      const field = page.getByLabel(label, { exact: true })
      await field.fill(text)
      await field.blur()
    },
    async choose(label: string, option: string) {
      entered.inputs++
      await page.getByLabel(label, { exact: true }).selectOption(option)
    },
  }
}

test('a bezel on its plate, from a kit with open sizes to a legal route and printed torch cards, in 25 inputs at most', async ({
  page,
}) => {
  await page.goto(`${DEMO}/jobs`)
  const hand = counting(page)
  const job = page.getByRole('article', { name: 'Keyhole covers' })
  await hand.press(job.getByRole('button', { name: 'Add a piece' }))
  await hand.press(page.getByRole('button', { name: 'Bezel pendant with balls', exact: true }))
  await hand.press(page.getByRole('button', { name: 'Add it and size it' }))

  await expect(page.getByRole('list', { name: 'Parts' })).toContainText('sizes still open')
  const part = async (name: string) => {
    await hand.press(page.getByRole('navigation', { name: 'Parts' }).getByRole('link', { name, exact: true }))
    await expect(page.getByRole('navigation', { name: 'Parts' }).getByRole('link', { name, exact: true })).toHaveAttribute(
      'aria-current',
      'page',
    )
  }
  await hand.press(page.getByRole('link', { name: 'Size it' }))
  await expect(page.getByLabel('Stone length', { exact: true })).toBeVisible()
  await hand.fill('Stone length', '15.5')
  await hand.fill('Stone width', '11.5')
  await hand.choose('Metal', 'fine-silver')
  await hand.fill('Wall', '27ga')
  await expect(page.getByTestId('answer')).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await part('Plate')
  await hand.choose('Metal', 'sterling-925')
  await hand.fill('Thickness', '21ga')
  await expect(page.getByTestId('answer')).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await part('Balls')
  await hand.fill('Ball', '2.2')
  await hand.choose('Metal', 'sterling-925')
  await hand.fill('Wire', '17ga')
  await expect(page.getByTestId('answer')).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  await part('Bail')
  await hand.fill('Rod diameter, inside of the ring', '5')
  await hand.choose('Metal', 'sterling-925')
  await hand.fill('Wire', '16ga')
  await expect(page.getByTestId('answer')).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  await hand.press(page.getByRole('link', { name: 'Joints' }))
  await expect(page.getByRole('group', { name: 'Heats in order, by temperature' })).toBeVisible()
  await expect(page.getByRole('list', { name: 'Solder' })).toContainText('flows at 788 °C')
  hand.entered.inputs++
  const [cards] = await Promise.all([page.waitForEvent('popup'), page.getByRole('link', { name: 'Print the torch cards' }).click()])
  const answer = await page.request.get(cards.url())
  expect(answer.headers()['content-type']).toBe('application/pdf')
  await cards.close()
  expect(hand.entered.inputs).toBeLessThanOrEqual(25)

  // the route it has is legal: nothing is said against it
  await page.getByRole('link', { name: 'Route' }).click()
  await expect(page.getByRole('list', { name: 'Steps in order' }).getByRole('listitem')).not.toHaveCount(0)
  await expect(page.getByRole('list', { name: 'Rules that are broken' }).getByRole('listitem')).toHaveCount(0)
})

test('an assembly stands together, is taken apart, and a part is picked in the drawing', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/18`)
  await expect(page.getByRole('group', { name: 'Section', exact: true })).toBeVisible()
  await expect(page.getByRole('group', { name: 'From above', exact: true })).toContainText('Bezel')
  await page.getByRole('button', { name: 'Taken apart' }).click()
  await expect(page.getByRole('group', { name: 'Section, taken apart' })).toBeVisible()
  await page
    .getByRole('list', { name: 'Joints' })
    .getByRole('button', { name: /bezel on plate/ })
    .click()
  await expect(page.getByRole('region', { name: 'What was picked' }).getByLabel('Kind of joint')).toHaveValue('tee')
  await page.getByRole('list', { name: 'Parts' }).getByRole('button', { name: /Plate/ }).click()
  await page.getByRole('link', { name: 'Size it' }).click()
  // said once: the plate takes the stone's size from the bezel
  await expect(page.getByLabel('Stone length', { exact: true })).toHaveValue('= bezel.stoneLengthMm')
})

test('a piece of one part is joined to another, and its route grows by the joint', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/pieces/3`)
  await expect(page.getByRole('navigation', { name: 'Parts' })).toBeHidden()
  await page.getByRole('link', { name: 'Join it to something' }).click()
  await page.getByLabel('A part, or what goes on it').fill('Jump rings')
  await page.getByRole('option', { name: 'Jump rings', exact: true }).click()
  await expect(page.getByRole('list', { name: 'Parts' }).getByRole('listitem')).toHaveCount(2)
  const add = page.getByRole('region', { name: 'Add to the piece' })
  await add.getByLabel('Kind of joint').selectOption('point')
  await add.getByRole('button', { name: 'Join them' }).click()
  await expect(page.getByRole('list', { name: 'Joints' }).getByRole('listitem')).toHaveCount(1)
  await page.getByRole('link', { name: 'Route' }).click()
  await expect(page.getByRole('list', { name: 'Steps in order' })).toContainText('Solder')
  await expect(page.getByRole('list', { name: 'Steps in order' })).toContainText('Wind the coil')
})

test('a step out of order is told by its rule, put right by one press, or lifted by a reason', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/26/route`)
  const rules = page.getByRole('list', { name: 'Rules that are broken' })
  await addStep(page, 'Anneal', 'the whole piece')
  const broken = rules.getByRole('listitem').filter({ hasText: /P0\d/ })
  await expect(broken.first()).toBeVisible()
  await page.getByRole('button', { name: 'Put it in order' }).click()
  const order = page.getByRole('region', { name: 'Put in order' })
  await expect(order).toContainText('Anneal')
  await order.getByRole('button', { name: 'Move them' }).click()
  await expect(broken).toHaveCount(0)
})

test('a step is dragged along the route: while it is held its broken rules are drawn, and keys move it as a pointer does', async ({
  page,
}) => {
  await page.goto(`${DEMO}/pieces/4/route`)
  await page.locator('html[data-ready]').waitFor({ state: 'attached' })
  const board = page.getByRole('region', { name: 'Steps', exact: true })
  const tag = (title: string) => board.getByRole('button', { name: `Drag ${title}`, exact: true }).first()
  const titles = () =>
    board.getByRole('button', { name: /^Drag / }).evaluateAll((tags) => tags.map((one) => one.getAttribute('aria-label')?.slice(5)))
  const before = await titles()
  const ruleOnBoard = board.locator('svg text').filter({ hasText: /^P\d+$/ })
  await expect(ruleOnBoard).toHaveCount(0)

  // held over the place before it is bent round, the joint is soldered too early
  const solder = tag('Solder the joint')
  await solder.scrollIntoViewIfNeeded()
  const at = await solder.boundingBox()
  const before4 = await tag('Bend it round').boundingBox()
  if (!at || !before4) throw new Error('the steps are not in view')
  const [x, y] = [at.x + at.width / 2, at.y + at.height / 2]
  await page.mouse.move(x, y)
  await page.mouse.down()
  await page.mouse.move(x - 10, y)
  await page.mouse.move(before4.x + before4.width / 2, y, { steps: 5 })
  await expect(ruleOnBoard.first()).toBeVisible()
  await expect(page.getByRole('status').filter({ hasText: 'Solder the joint would be number 6.' })).toBeAttached()
  await page.keyboard.press('Escape')
  await page.mouse.up()
  await expect(ruleOnBoard).toHaveCount(0)
  expect(await titles()).toEqual(before)

  await tag('Saw the strip').focus()
  await page.keyboard.press('Space')
  await expect(page.getByRole('status').filter({ hasText: 'Saw the strip, number 2, is taken up.' })).toBeAttached()
  await page.keyboard.press('ArrowRight')
  await expect(page.getByRole('status').filter({ hasText: 'Saw the strip would be number 3.' })).toBeAttached()
  await page.keyboard.press('ArrowLeft')
  await page.keyboard.press('ArrowLeft')
  await expect(page.getByRole('status').filter({ hasText: 'Saw the strip would be number 1.' })).toBeAttached()
  await page.keyboard.press('Space')
  await expect.poll(titles).toEqual(['Saw the strip', 'Measure', ...before.slice(2)])
  await page.keyboard.press('Control+z')
  await expect.poll(titles).toEqual(before)
})

test('the parts of a piece are worked apart: another is taken up, one is made again, and the piece stays', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/31/route`)
  await page.getByRole('button', { name: /Start a tray/ }).click()
  const bar = page.getByRole('region', { name: 'Sub-trays' })
  const inHand = bar.locator('b')
  const first = await inHand.innerText()
  await page.keyboard.press('s')
  await expect(inHand).not.toHaveText(first)
  const taken = await inHand.innerText()
  await page.keyboard.press(' ')
  await expect(page.getByTestId('piece-number')).toHaveText('2')
  await expect(inHand).toHaveText(taken)
  await page.keyboard.press('x')
  const alone = page.getByRole('radio', { name: `${taken} alone, made again` })
  await expect(alone).toBeChecked()
  await page.keyboard.press('4')
  await expect(page.getByText('It is made again, from its first step.')).toBeVisible()
  await expect(page.getByTestId('piece-number')).toHaveText('2')
  await page.getByRole('button', { name: 'leave the bench' }).click()
  await expect(page.getByRole('heading', { name: 'Bench' })).toBeVisible()
})

test('a tray of several parts names what each step is done to, and a failed joint goes round again', async ({ page }) => {
  await page.goto(`${DEMO}/pieces/31/route`)
  await page.getByRole('button', { name: /Start a tray/ }).click()
  await expect(page.getByText(/^step \d+ of \d+$/)).toBeVisible()
  // read at one moment: a step of the whole tray has no number of a piece to wait for
  const standing = () =>
    page.locator('main').evaluate((main) => {
      const step = main.textContent?.match(/step \d+ of \d+/)?.[0]
      return `${step} ${main.querySelector('[data-testid="piece-number"]')?.textContent ?? 'all'}`
    })
  const next = async () => {
    const before = await standing()
    await page.keyboard.press(' ')
    await expect.poll(standing).not.toBe(before)
  }
  const flames = new Set<string>()
  for (let n = 0; n < 60 && !(await page.getByRole('button', { name: 'It failed' }).isVisible()); n++) {
    const flame = page.getByText('Flame.', { exact: true }).locator('..')
    if (await flame.isVisible()) flames.add(await flame.innerText())
    await next()
  }
  // at a heat the bench says where the flame goes, as the card for the torch side does
  expect([...flames].join(' ')).toMatch(/Heat the .+, from below|Heat the whole piece evenly|Both sides take about the same heat/)
  await expect(page.getByRole('button', { name: 'It holds' })).toBeVisible()
  const before = Number((await page.getByText(/^step \d+ of \d+$/).innerText()).split(' ').at(-1))
  await page.getByRole('button', { name: 'It failed' }).click()
  await page.keyboard.press('1')
  await expect(page.getByText(new RegExp(`of ${before + 5}$`))).toBeVisible()
})
