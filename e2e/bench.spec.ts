import { DEMO, WORKSHOP } from './places'
import { trayAt, trayFacts } from './start'
import { expect, type Page, test } from './test'

test('the calipers stream into the band, M keeps the reading, X takes a piece out, Esc leaves', async ({ page }) => {
  await page.goto(`${DEMO}/bench/5`)
  await expect(page.getByRole('heading', { name: 'True up on the bangle mandrel' })).toBeVisible()
  await expect(page.getByText(/from the simulated calipers/)).toBeVisible()
  await page.waitForTimeout(1800)
  const live = Number.parseFloat(await page.getByTestId('live-reading').innerText())
  expect(Math.abs(live - 61.9)).toBeLessThan(0.3)
  await page.keyboard.press('m')
  await expect(page.getByText(/Kept: 6\d\.\d+ mm/)).toBeVisible()

  await page.keyboard.press('x')
  await expect(page.getByRole('heading', { name: 'What went wrong with this piece' })).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByRole('heading', { name: 'What went wrong with this piece' })).toBeHidden()
  await page.keyboard.press('x')
  await page.keyboard.press('1')
  await expect(page.getByTestId('piece-number')).toHaveText('2')
  await page.keyboard.press('u')
  await expect(page.getByText(/Taken back: lost, piece 1/)).toBeVisible()
  await expect(page.getByTestId('piece-number')).toHaveText('1')
  await page.keyboard.press('x')
  await page.getByRole('button', { name: 'Scrap this piece' }).click()
  await expect(page.getByRole('alert').filter({ hasText: 'Say in a word' })).toBeVisible()
  await page.getByLabel('Or in your own words').fill('bent askew')
  await page.getByRole('button', { name: 'Scrap this piece' }).click()
  await expect(page.getByTestId('piece-number')).toHaveText('2')
  await page.keyboard.press('Escape')
  await expect(page).toHaveURL(`${DEMO}/bench`)
  await expect(page.getByRole('article', { name: /Tray 5/ })).toContainText('1 lost')
})

test('a key that is held does its work once', async ({ page }) => {
  await page.goto(`${DEMO}/bench/2`)
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  // The keys are heard from the moment the page is alive, which is a little after it is drawn.
  await page.waitForTimeout(1500)
  const before = await page.getByText(/step \d+ of/).innerText()
  await page.keyboard.down('u')
  for (let n = 0; n < 5; n++) await page.keyboard.down('u')
  await page.keyboard.up('u')
  await expect(page.getByText(/^Taken back:/)).toBeVisible()
  await expect(page.getByTestId('piece-number')).toHaveText('26')
  await page.keyboard.down(' ')
  for (let n = 0; n < 5; n++) await page.keyboard.down(' ')
  await page.keyboard.up(' ')
  await expect(page.getByText(before)).toBeVisible()
})

test('a reading far from the target is asked about, and either answer can be kept', async ({ page, request }) => {
  await page.goto(`${DEMO}/bench/6`)
  const type = async (value: string) => {
    await page.getByRole('button', { name: 'Type it' }).click()
    await page.getByLabel('Height', { exact: true }).fill(value)
    await page.keyboard.press('Enter')
  }
  await type('132')
  const question = page.getByRole('alertdialog')
  await expect(question).toContainText('13.2 or 132?')
  await page.keyboard.press('Escape')
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue('132')
  await page.keyboard.press('Escape')
  await type('132')
  await page.keyboard.press('1')
  await expect(page.getByText('Kept: 13.2 mm.')).toBeVisible()
  await type('14.6')
  await page.getByRole('button', { name: '14.6 is right' }).click()
  await expect(page.getByText('Kept: 14.6 mm.')).toBeVisible()
  await expect(async () => {
    const { entries } = (await (await request.get(`${DEMO}/api/v1/trays/6/entries`)).json()) as { entries: { value: number | null }[] }
    expect(entries.flatMap((entry) => entry.value ?? []).slice(-2)).toEqual([13.2, 14.6])
  }).toPass()
})

test('an entry the program will not take stays in sight until it is let go', async ({ page }) => {
  await page.goto(`${DEMO}/bench/6`)
  await page.route('**/api/v1/entries', (route) =>
    route.fulfill({
      status: 422,
      contentType: 'application/json',
      body: JSON.stringify({ error: { code: 'bad-input', message: 'not today' } }),
    }),
  )
  await page.getByRole('button', { name: 'Type it' }).click()
  await page.getByLabel('Height', { exact: true }).fill('13.3')
  await page.keyboard.press('Enter')
  const waiting = page.getByRole('status', { name: 'Waiting entries' })
  await expect(waiting).toContainText('was not accepted: not today')
  await page.reload()
  await expect(waiting).toContainText('was not accepted: not today')
  await waiting.getByRole('button', { name: 'Discard it' }).click()
  await expect(waiting).toBeHidden()
})

/** Opens tray 2 from the list of trays; gives its row there, and the step it stands at by that. */
async function openSecond(page: Page) {
  await page.goto(`${DEMO}/bench`)
  const tray = page.getByRole('article', { name: /^Tray 2,/ })
  const step = async () => Number((await tray.innerText()).match(/step (\d+) of/)?.[1])
  const before = await step()
  await tray.getByRole('link', { name: 'Continue' }).click()
  await expect(page.getByRole('button', { name: 'It went wrong' })).toBeVisible()
  return { tray, step, before }
}

test('what waits on the device when a tray is left is sent from the list of trays', async ({ page }) => {
  const { step, before } = await openSecond(page)
  await page.route('**/api/v1/entries', (route) => route.abort())
  // the last piece of a step, or the whole tray: either way the next step follows
  await page.keyboard.press(' ')
  await expect(page.getByText(/1 entry is kept on this device/)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByText(/Press once more to leave/)).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page).toHaveURL(`${DEMO}/bench`)
  await expect(page.getByRole('status', { name: 'Waiting entries' })).toContainText('1 entry is kept on this device')
  expect(await step()).toBe(before)
  await page.unroute('**/api/v1/entries')
  await expect.poll(step, { timeout: 90_000 }).toBe(before + 1)
  await expect(page.getByRole('status', { name: 'Waiting entries' })).toBeHidden()
})

test('what is still on its way when a tray is left arrives on the list of trays without asking again', { tag: '@more' }, async ({
  page,
}) => {
  const { tray, step, before } = await openSecond(page)
  // an answer that takes longer than leaving waits for it
  let arrive = () => {}
  const arrives = new Promise<void>((settle) => {
    arrive = settle
  })
  await page.route('**/api/v1/entries', async (route) => {
    await arrives
    await route.continue()
  })
  const asked = page.waitForRequest('**/api/v1/entries')
  await page.keyboard.press(' ')
  await asked
  await page.keyboard.press('Escape')
  await expect(page).toHaveURL(`${DEMO}/bench`)
  expect(await step()).toBe(before)
  arrive()
  await expect.poll(step).toBe(before + 1)
  // taken back, and one goes back by the browser: what it drew before is older than what arrived since
  await tray.getByRole('link', { name: 'Continue' }).click()
  await expect(page.getByRole('button', { name: 'It went wrong' })).toBeVisible()
  const answered = page.waitForResponse('**/api/v1/entries')
  await page.keyboard.press('u')
  await answered
  await page.goBack()
  await expect(page).toHaveURL(`${DEMO}/bench`)
  await expect.poll(step).toBe(before)
})

test('a piece that is done stays done, in whatever order the answers of the program come', async ({ page }) => {
  await page.goto(`${DEMO}/bench/2`)
  const number = page.getByTestId('piece-number')
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible()
  await page.waitForTimeout(1500)
  for (let back = 0; back < 5; back++) {
    await page.keyboard.press('u')
    await page.waitForTimeout(400)
  }
  const first = Number(await number.innerText())
  /** Every place the page shows from now on. */
  await number.evaluate((node) => {
    const seen: string[] = [node.textContent ?? '']
    Object.assign(window, { seen })
    new MutationObserver(() => seen.push(document.querySelector('[data-testid="piece-number"]')?.textContent ?? '')).observe(
      document.body,
      {
        subtree: true,
        characterData: true,
        childList: true,
      },
    )
  })
  // the first answer of what the tray holds is read now and comes last
  const late: (() => Promise<void>)[] = []
  await page.route('**/api/v1/trays/2/entries', async (route) => {
    const response = await route.fetch()
    if (late.length > 0) return route.fulfill({ response })
    await new Promise<void>((release) => late.push(async () => release(await route.fulfill({ response }))))
  })
  for (const next of [1, 2, 3]) {
    await page.keyboard.press(' ')
    await expect(number).toHaveText(`${first + next}`)
    await page.waitForTimeout(600)
  }
  await late[0]?.()
  await page.waitForTimeout(3000)
  const seen = await page.evaluate(() => (window as unknown as { seen: string[] }).seen)
  expect(seen.filter((place, i) => place !== seen[i - 1])).toEqual([0, 1, 2, 3].map((next) => `${first + next}`))
})

test('a press made before the device has been looked at counts, once', async ({ page }) => {
  // a device whose storage takes its time
  await page.addInitScript(() => {
    const { open } = IDBFactory.prototype
    IDBFactory.prototype.open = function (...asked) {
      const request = open.apply(this, asked)
      const listen = request.addEventListener.bind(request) as (kind: string, listener: (event: Event) => void) => void
      const slowly = (kind: string, listener: (event: Event) => void) =>
        listen(kind, kind === 'success' ? (event) => setTimeout(() => listener(event), 2000) : listener)
      return Object.assign(request, { addEventListener: slowly })
    }
  })
  await page.goto(`${DEMO}/bench/5`)
  const number = page.getByTestId('piece-number')
  const before = Number(await number.innerText())
  await page.keyboard.press(' ')
  await page.waitForTimeout(300)
  await expect(number).toHaveText(`${before}`)
  await expect(number).toHaveText(`${before + 1}`)
  await page.waitForTimeout(1000)
  await expect(number).toHaveText(`${before + 1}`)
  await page.keyboard.press('u')
  await expect(number).toHaveText(`${before}`)
})

test('an own workshop has no simulated calipers until practice is switched on, and counts nothing they read', async ({ page, request }) => {
  expect((await request.get(`${WORKSHOP}/api/instruments/calipers?near=10`)).status()).toBe(404)
  await page.goto(`${WORKSHOP}/settings`)
  await expect(page.getByLabel('Simulated instruments')).toHaveValue('false')
})

test('bench type is large and targets are for gloves', async ({ page }) => {
  await page.goto(`${DEMO}/bench/2`)
  const title = page.getByRole('heading', { level: 1 })
  expect(await title.evaluate((node) => Number.parseFloat(getComputedStyle(node).fontSize))).toBeGreaterThan(40)
  // all at one moment: what offers to connect an instrument goes as soon as one reads
  const heights = await page.getByRole('button').evaluateAll((buttons) => buttons.map((button) => button.getBoundingClientRect().height))
  expect(Math.min(...heights)).toBeGreaterThanOrEqual(56)
  const smallest = await page.evaluate(() =>
    Math.min(
      ...[...document.querySelectorAll('main *')]
        .filter((node) => [...node.childNodes].some((child) => child.nodeType === 3 && child.textContent?.trim()))
        .map((node) => Number.parseFloat(getComputedStyle(node).fontSize)),
    ),
  )
  expect(smallest).toBeGreaterThanOrEqual(16)
})

test('calipers that read too much on the check piece say so, until they read right; the band is as unsure as they are', async ({
  page,
}) => {
  await page.goto(`${DEMO}/bench/6`)
  const piece = page.getByRole('group', { name: 'Check piece' })
  await expect(piece).toContainText('The calipers were not checked today.')
  const check = async (shown: string) => {
    await piece.getByRole('button', { name: 'Check the calipers' }).click()
    await page.getByLabel('On the check piece of 10 mm they show').fill(shown)
    await page.keyboard.press('Enter')
  }
  await check('25')
  await expect(page.getByText('25 mm is not of a check piece of 10 mm')).toBeVisible()
  await page.keyboard.press('Escape')
  await check('10.04')
  await expect(piece).toContainText('They read 0.04 mm too much: wipe the jaws, set them to zero, and check them again.')
  // the stand-in on the very same piece shows it, give or take a hand’s noise, and is set to zero with its jaws closed
  await piece.getByRole('button', { name: 'Check the calipers' }).click()
  await page.getByRole('button', { name: 'Set them to zero' }).click()
  await expect(page.getByText('The simulated calipers are set to zero, their jaws closed.')).toBeVisible()
  await page.getByRole('button', { name: /^Take (9\.9[89]|10|10\.0[12]) mm$/ }).click()
  await expect(page.getByText(/^Kept: .* mm on the check piece\.$/)).toBeVisible()
  const next = page.waitForResponse('**/api/v1/entries')
  await check('10.01')
  await next
  await expect(piece).toContainText(/^Checked at .+\d\d.*\. They read 0.01 mm too much, within what they tell\./)
  await page.reload()
  await expect(piece).toContainText('They read 0.01 mm too much')
})

test('a heat is watched by the thermometer: what is left, when it is there, what is wrong with it, and what is kept of it', async ({
  page,
}) => {
  const id = await trayAt(page, DEMO, 4, 'anneal')
  await expect(page.getByRole('heading', { name: 'Anneal' })).toBeVisible()
  const thermometer = page.getByRole('region', { name: 'Thermometer' })
  const says = thermometer.getByRole('status', { name: 'What the thermometer says' })
  await thermometer.getByRole('button', { name: 'Flame on' }).click()
  await expect(says).toContainText(/^\d+ °C to go\./)
  await thermometer.getByRole('button', { name: 'a broken wire', exact: true }).click()
  await expect(says).toContainText('It shows nothing: a wire has come off')
  await thermometer.getByRole('button', { name: 'mend: a broken wire' }).click()
  await expect(says).toContainText(/It is there: hold it, \d+ s of \d+ s|Draw the heat back|Take the flame away/)
  await thermometer.getByRole('button', { name: 'Flame away' }).click()
  await expect(says).toContainText('The heat is off.')
  await expect
    .poll(async () => (await trayFacts(DEMO, id)).entries.filter(({ kind }) => kind === 'note').length, { timeout: 10_000 })
    .toBe(1)
})
