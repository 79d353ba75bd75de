import { KEY_REGISTRY, type KeyId } from '../src/ui/keys/registry'
import { folderOf, kill, type Started, seed, start } from './start'
import { expect, type Page, test } from './test'

const PORT = 4331
let server: Started
const url = (path: string) => `${server.base}${path}`

test.beforeAll(async () => {
  await seed(folderOf('keys'))
  server = await start(folderOf('keys'), PORT)
})
test.afterAll(() => kill(server))

const alive = (page: Page, path: string) => page.goto(url(path))

const thickness = (page: Page) => page.getByLabel('Thickness', { exact: true })
const blank = (page: Page) => page.getByRole('button', { name: /^Third-class token 12/ })

/** Losses of the tray as the program knows them; none while nothing has reached it. */
async function losses(page: Page): Promise<number> {
  const { entries } = (await (await page.request.get(url('/api/v1/trays/5/entries'))).json()) as { entries: { kind: string }[] }
  return entries.filter((entry) => entry.kind === 'loss').length
}

/** Presses the number of a reason at the bench, sees the piece gone, and takes it back. */
const reason = (digit: string) => async (page: Page) => {
  await alive(page, '/bench/5')
  const before = await page.getByTestId('piece-number').innerText()
  await page.keyboard.press('x')
  await page.keyboard.press(digit)
  await expect(page.getByTestId('piece-number')).not.toHaveText(before)
  await expect.poll(() => losses(page)).toBe(1)
  await page.keyboard.press('u')
  await expect(page.getByTestId('piece-number')).toHaveText(before)
  // a device keeps what is not sent yet, but a test's own device is gone with it
  await expect.poll(() => losses(page)).toBe(0)
}

/** Every key of the registry, pressed where it works, and what comes of it. */
const TRIES: Readonly<Record<KeyId, (page: Page) => Promise<void>>> = {
  find: async (page) => {
    await alive(page, '/jobs')
    await page.keyboard.press('/')
    await expect(page.getByLabel('Ask the bench')).toBeFocused()
  },
  help: async (page) => {
    await alive(page, '/layout/3')
    await page.keyboard.press('?')
    const dialog = page.getByRole('dialog', { name: 'Keys of this view' })
    for (const { does } of [KEY_REGISTRY.undo, KEY_REGISTRY.turnBlank]) await expect(dialog).toContainText(does)
  },
  undo: async (page) => {
    await alive(page, '/pieces/4')
    const before = await thickness(page).inputValue()
    await thickness(page).fill('0.71')
    await page.keyboard.press('Control+z')
    await expect(thickness(page)).toHaveValue(before)
  },
  redo: async (page) => {
    await alive(page, '/pieces/4')
    const before = await thickness(page).inputValue()
    await thickness(page).fill('0.69')
    await page.keyboard.press('Control+z')
    await expect(thickness(page)).toHaveValue(before)
    await page.keyboard.press('Control+Shift+z')
    await expect(thickness(page)).toHaveValue('0.69')
    await page.keyboard.press('Control+z')
    await expect(thickness(page)).toHaveValue(before)
  },
  nudge: async (page) => {
    await alive(page, '/pieces/1')
    const mark = page.getByRole('slider', { name: /arrow keys/ }).first()
    const before = await mark.getAttribute('aria-valuenow')
    await mark.press('ArrowUp')
    await expect(mark).not.toHaveAttribute('aria-valuenow', before ?? '')
    await page.keyboard.press('Control+z')
  },
  moveBlank: async (page) => {
    await alive(page, '/layout/3')
    await blank(page).focus()
    const before = await blank(page).boundingBox()
    await page.keyboard.press('ArrowLeft')
    await expect(async () => expect((await blank(page).boundingBox())?.x).not.toBe(before?.x)).toPass()
    await page.keyboard.press('Control+z')
    await expect(async () => expect((await blank(page).boundingBox())?.x).toBeCloseTo(before?.x ?? 0, 3)).toPass()
    await page.keyboard.press('Control+Shift+z')
    await expect(async () => expect((await blank(page).boundingBox())?.x).not.toBe(before?.x)).toPass()
    await page.keyboard.press('Control+z')
  },
  turnBlank: async (page) => {
    await alive(page, '/layout/3')
    await blank(page).press('r')
    await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled()
    await page.keyboard.press('Control+z')
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled()
  },
  pinBlank: async (page) => {
    await alive(page, '/layout/3')
    await blank(page).press('p')
    await expect(page.getByTestId('pin')).toHaveCount(1)
    const before = await blank(page).boundingBox()
    await page.keyboard.press('ArrowLeft')
    await page.keyboard.press('p')
    await expect(page.getByTestId('pin')).toHaveCount(0)
    expect((await blank(page).boundingBox())?.x).toBeCloseTo(before?.x ?? 0, 3)
    // two presses soon after one another are one step back, on a slow machine two
    await expect(async () => {
      await page.keyboard.press('Control+z')
      await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled({ timeout: 2000 })
    }).toPass()
  },
  takeOffBlank: async (page) => {
    await alive(page, '/layout/3')
    await expect(blank(page)).toBeVisible()
    const blanks = page.getByRole('group', { name: 'Sheet with blanks' }).getByRole('button')
    const before = await blanks.count()
    await blank(page).press('Delete')
    await expect(blanks).toHaveCount(before - 1)
    await page.keyboard.press('Control+z')
    await expect(blanks).toHaveCount(before)
    // and so it is kept
    await expect(async () => {
      await page.reload()
      await expect(blanks).toHaveCount(before, { timeout: 3000 })
    }).toPass()
  },
  allBlanks: async (page) => {
    await alive(page, '/layout/3')
    await expect(blank(page)).toBeVisible()
    const blanks = page.getByRole('group', { name: 'Sheet with blanks' }).getByRole('button')
    const count = await blanks.count()
    await blank(page).press('Control+a')
    await expect(page.getByRole('region', { name: 'Selected' })).toContainText(`${count} blanks selected`)
    await page.keyboard.press('Escape')
    await expect(page.getByRole('region', { name: 'Selected' })).toBeHidden()
  },
  nextCut: async (page) => {
    await alive(page, '/layout/3/saw')
    await expect(page.getByText(/^Cut 1 of/)).toBeVisible()
    await page.keyboard.press('Space')
    await expect(page.getByText(/^Cut 2 of/)).toBeVisible()
    await page.reload()
    await expect(page.getByText(/^Cut 2 of/)).toBeVisible()
  },
  backCut: async (page) => {
    await alive(page, '/layout/3/saw')
    await page.keyboard.press('Space')
    await expect(page.getByText(/^Cut 2 of/)).toBeVisible()
    await page.keyboard.press('u')
    await expect(page.getByText(/^Cut 1 of/)).toBeVisible()
  },
  done: async (page) => {
    await alive(page, '/bench/5')
    const before = await page.getByTestId('piece-number').innerText()
    await page.keyboard.press('Space')
    await expect(page.getByTestId('piece-number')).not.toHaveText(before)
    // what was done is taken back as any other change is
    await page.keyboard.press('Control+z')
    await expect(page.getByTestId('piece-number')).toHaveText(before)
  },
  measure: async (page) => {
    await alive(page, '/bench/5')
    await expect(page.getByText(/from the simulated calipers/)).toBeVisible()
    await page.keyboard.press('m')
    await expect(page.getByText(/Kept: 6\d\.\d+ mm/)).toBeVisible()
  },
  subTray: async (page) => {
    await alive(page, '/bench/7')
    const bar = page.getByRole('region', { name: 'Sub-trays' })
    const inHand = bar.locator('b')
    const before = await inHand.innerText()
    await page.keyboard.press('s')
    await expect(inHand).not.toHaveText(before)
  },
  wrong: async (page) => {
    await alive(page, '/bench/5')
    await page.keyboard.press('x')
    await expect(page.getByRole('heading', { name: 'What went wrong with this piece' })).toBeVisible()
  },
  words: async (page) => {
    await alive(page, '/bench/5')
    await page.keyboard.press('x')
    await page.keyboard.press('w')
    await expect(page.getByLabel('Or in your own words')).toBeFocused()
  },
  takeBack: async (page) => {
    await alive(page, '/bench/5')
    const before = await page.getByTestId('piece-number').innerText()
    await page.keyboard.press('Space')
    await expect(page.getByTestId('piece-number')).not.toHaveText(before)
    await page.keyboard.press('u')
    await expect(page.getByText(/^Taken back: done/)).toBeVisible()
  },
  choose1: reason('1'),
  choose2: reason('2'),
  choose3: reason('3'),
  choose4: reason('4'),
  choose5: reason('5'),
  back: async (page) => {
    await alive(page, '/bench/5')
    await page.keyboard.press('x')
    await page.keyboard.press('Escape')
    await expect(page.getByRole('heading', { name: 'What went wrong with this piece' })).toBeHidden()
    await page.keyboard.press('Escape')
    await expect(page).toHaveURL(url('/bench'))
    await expect(page.getByRole('article', { name: /Tray 5/ })).not.toContainText('lost')
  },
}

for (const [id, attempt] of Object.entries(TRIES))
  test(
    `${id}: ${KEY_REGISTRY[id as KeyId].shown} does "${KEY_REGISTRY[id as KeyId].does}"`,
    // the five reasons are one key with five figures; of the others left out each is pressed in a journey of its own view
    {
      tag: /^(choose[2-5]|find|help|undo|redo|nudge|moveBlank|allBlanks|backCut|subTray|words|takeBack|turnBlank|pinBlank)$/.test(id)
        ? '@more'
        : [],
    },
    async ({ page }) => attempt(page),
  )

test('every key of the registry is tried', () => expect(Object.keys(TRIES).sort()).toEqual(Object.keys(KEY_REGISTRY).sort()))
