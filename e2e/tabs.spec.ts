import { join } from 'node:path'
import Database from 'better-sqlite3'
import { ACTION_NAMES, type ActionName } from '../src/server/actions/names'
import { ALL } from './parts.mjs'
import { folderOf, kill, type Started, seed, start } from './start'
import { expect, type Locator, type Page, test } from './test'

const PORT = 4325
let server: Started
const url = (path: string) => `${server.base}${path}`

test.beforeAll(async () => {
  await seed(folderOf('tabs'))
  server = await start(folderOf('tabs'), PORT)
})
test.afterAll(() => kill(server))

/** Opens a workshop, as another tab would. */
async function open(page: Page, name: 'demo' | 'workshop'): Promise<void> {
  const answer = await page.request.post(url('/api/act/openWorkshop'), { data: { workshop: '', revision: null, input: { name } } })
  expect(await answer.json()).toMatchObject({ ok: true, name })
}

interface Write {
  readonly path: string
  /** Brings the page to where only the last press is missing, and gives that press. */
  readonly ready: (page: Page) => Promise<() => Promise<unknown>>
  /** The same thing changed in another tab of the same workshop; none where the write changes nothing that is there. */
  readonly meanwhile?: (page: Page) => Promise<unknown>
}

const press = (locator: Locator) => async () => () => locator.click()
const tool = async (page: Page, name: RegExp) => page.getByRole('button', { name }).first().click()

async function changeJob(page: Page, note: string) {
  const job = page.getByRole('article', { name: 'Winter coats' })
  await job.getByRole('button', { name: 'Change the job' }).click()
  await job.getByLabel('Note').fill(note)
  return job.getByRole('button', { name: 'Save the job' })
}

/** The first sheet being corrected, its label typed anew. */
async function correctSheet(page: Page, label: string): Promise<Locator> {
  await page.getByRole('button', { name: /^More of S-1/ }).click()
  await page.getByRole('menuitem', { name: 'Correct or rename' }).click()
  const dialog = page.getByRole('dialog')
  await dialog.getByLabel('Label').fill(label)
  return dialog
}

/** A punch being corrected, its name typed anew. */
async function correctPunch(page: Page, name: string): Promise<Locator> {
  await tool(page, /^(60 mm|lamp punch.*), 60 mm/)
  await page.getByRole('button', { name: 'Correct or rename' }).click()
  const form = page.getByRole('form', { name: /^Correct/ })
  await form.getByLabel('Name').fill(name)
  return form
}

async function typeHeight(page: Page, text: string) {
  await page.getByLabel('Dome height', { exact: true }).fill(text)
}

async function howMany(page: Page, text: string) {
  await page.getByLabel('How many', { exact: true }).fill(text)
  await page.getByLabel('How many', { exact: true }).blur()
}

/** The row of a punch in the archive; it is put there first where it hangs on the wall. */
async function putAwayPunch(page: Page): Promise<Locator> {
  await page.goto(url('/drawer/tools'))
  const punch = page.getByRole('button', { name: /lamp-room punch C/ }).first()
  await expect(page.getByRole('button', { name: /drill|bit|#/ }).first()).toBeVisible()
  if (await punch.isVisible()) {
    await punch.click()
    await page.getByRole('button', { name: 'Take it off the wall' }).click()
    await expect(page.getByText('lamp-room punch C is in the archive.')).toBeVisible()
  }
  await page.goto(url('/archive'))
  return page.getByRole('row', { name: /lamp-room punch C/ })
}

const template = (page: Page) => page.getByRole('article', { name: 'Signal arm, left', exact: true })

/** The jar of clean sterling scrap. */
const jar = (page: Page) => page.getByRole('article', { name: 'Sterling silver, clean scrap' })

/** The smallest picture there is. */
const DOT = Buffer.from('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==', 'base64')

const bath = (page: Page) => page.getByRole('article', { name: 'Salt, trials' })

async function weigh(page: Page, text: string): Promise<void> {
  await jar(page).getByRole('button', { name: 'Weigh it' }).click()
  await jar(page).getByLabel('In the jar').fill(text)
  await jar(page).getByRole('button', { name: 'Save' }).click()
  await expect(jar(page)).toContainText(`${text} g`)
}

/** The answer to the next action that a page asks for. */
const answered = (page: Page) => page.waitForResponse(/\/api\/act\//)

const saved = (page: Page) => expect(page.getByText('saved', { exact: true })).toBeVisible()

/** What a bangle is said to open to when its former is out of it, mm. */
const openedTo = async (page: Page) =>
  Number(/opens to ([\d.]+) mm/.exec(await page.getByRole('status').filter({ hasText: 'let go' }).innerText())?.[1])

/** Every action that writes, through the page on which a smith does it. */
const WRITES: Readonly<Record<Exclude<ActionName, 'openWorkshop' | 'restoreBackup' | 'sendAwayDevice'>, Write>> = {
  addPiece: {
    path: '/jobs',
    ready: async (page) => {
      await page.getByLabel('Ask the bench').fill('disc 31 brass 18ga')
      return () => page.getByRole('button', { name: 'Make a piece of it' }).click()
    },
  },
  addStartingSets: {
    path: '/drawer/tools',
    ready: async (page) => {
      await page.getByRole('button', { name: 'Hang tools up' }).click()
      await page.getByLabel('Screw and plier punches').check()
      return () => page.getByRole('button', { name: 'Hang up what is ticked' }).click()
    },
  },
  addStock: {
    path: '/drawer',
    ready: async (page) => {
      await page.getByRole('button', { name: 'Put metal in' }).click()
      await page.getByLabel('Thickness as sold').fill('0.8')
      await page.getByLabel('Length', { exact: true }).fill('80')
      await page.getByLabel('Width', { exact: true }).fill('60')
      return () => page.getByRole('button', { name: 'Put it in the drawer' }).click()
    },
  },
  addTool: {
    path: '/drawer/tools',
    ready: async (page) => {
      await page.getByRole('button', { name: 'Hang tools up' }).click()
      await page.getByLabel('Name').fill('test drill')
      return () => page.getByRole('button', { name: 'Hang it up' }).click()
    },
  },
  answerRecord: { path: '/book', ready: (page) => press(page.getByRole('button', { name: 'It is right' }).first())() },
  backUp: { path: '/settings', ready: (page) => press(page.getByRole('button', { name: 'Back up now' }))() },
  chooseCuts: {
    path: '/layout/3/saw',
    ready: async (page) => {
      await expect(page.getByLabel('Blade', { exact: true })).toBeVisible()
      return () => page.getByLabel('Blade', { exact: true }).selectOption('on')
    },
    meanwhile: async (page) => {
      await page.getByLabel('Left to file', { exact: true }).selectOption('0.30')
      await saved(page)
    },
  },
  correctStock: {
    path: '/drawer',
    ready: async (page) => {
      const dialog = await correctSheet(page, 'S-1, the long one')
      return () => dialog.getByRole('button', { name: 'Save' }).click()
    },
    meanwhile: async (page) => {
      await (await correctSheet(page, 'S-1, by the door')).getByRole('button', { name: 'Save' }).click()
      await expect(page.getByText('S-1, by the door is corrected.')).toBeVisible()
    },
  },
  correctTool: {
    path: '/drawer/tools',
    ready: async (page) => {
      const form = await correctPunch(page, 'lamp punch, first tab')
      return () => form.getByRole('button', { name: 'Save' }).click()
    },
    meanwhile: async (page) => {
      await (await correctPunch(page, 'lamp punch, second tab')).getByRole('button', { name: 'Save' }).click()
      await expect(page.getByText('It is lamp punch, second tab now.')).toBeVisible()
    },
  },
  countTemplate: {
    path: '/drawer/templates',
    ready: async (page) => press(template(page).getByRole('button', { name: 'Made again' }))(),
    meanwhile: async (page) => {
      await template(page).getByRole('button', { name: 'Made again' }).click()
      await expect(template(page)).toContainText(/made 1 time/)
    },
  },
  countTool: {
    path: '/drawer/tools',
    ready: async (page) => {
      await tool(page, /^5\/0, /)
      return () => page.getByRole('button', { name: 'One broke' }).click()
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await tool(page, /^5\/0, /)
      await page.getByRole('button', { name: 'One broke' }).click()
      await kept
    },
  },
  cutLayout: {
    path: '/layout/3',
    ready: async (page) => {
      const cut = page.getByRole('button', { name: 'Cut: take it off the sheet' })
      // blanks that an earlier test has pushed together are placed anew
      if (await cut.isDisabled()) await page.getByRole('button', { name: 'Place the blanks' }).click()
      await cut.click({ timeout: 20_000 })
      return () => page.getByRole('button', { name: 'Cut it' }).click()
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await page.getByRole('button', { name: /^Third-class token 13/ }).focus()
      await page.keyboard.press('ArrowRight')
      await kept
    },
  },
  describePiece: {
    path: '/pieces/1',
    ready: async (page) => {
      await page.getByLabel('How many', { exact: true }).fill('31')
      return () => page.getByLabel('How many', { exact: true }).blur()
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await howMany(page, '27')
      await kept
    },
  },
  dropTemplate: {
    path: '/drawer/templates',
    ready: async (page) => {
      await template(page)
        .getByRole('button', { name: /^Take Signal arm, left out/ })
        .click()
      return () => page.getByRole('dialog').getByRole('button', { name: 'Take it out' }).click()
    },
    meanwhile: async (page) => {
      await template(page).getByRole('button', { name: 'Made again' }).click()
      await expect(template(page)).toContainText(/made [1-9] time/)
    },
  },
  duplicateJob: {
    path: '/jobs',
    ready: async (page) => {
      await page.getByRole('button', { name: 'More of Winter coats' }).click()
      return () => page.getByRole('menuitem', { name: 'Duplicate' }).click()
    },
  },
  duplicateStock: {
    path: '/drawer',
    ready: async (page) => {
      await page.getByRole('button', { name: 'More of S-3', exact: true }).click()
      return () => page.getByRole('menuitem', { name: 'Another like it' }).click()
    },
  },
  duplicatePiece: { path: '/pieces/12/compare', ready: (page) => press(page.getByRole('button', { name: 'Make a variant' }))() },
  keepFigure: {
    path: '/tables?q=kerf over',
    ready: async (page) => {
      await page.getByLabel('Your own figure').fill('0.05')
      return () => page.getByRole('button', { name: 'Save' }).first().click()
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await page.getByLabel('Your own figure').fill('0.07')
      await page.getByRole('button', { name: 'Save' }).first().click()
      await kept
    },
  },
  keepTemplate: {
    path: '/drawer/templates',
    ready: async (page) => {
      await template(page).getByRole('button', { name: 'Scale, mirror' }).click()
      return () => template(page).getByRole('button', { name: 'Keep it as a template' }).click()
    },
  },
  keepTrials: {
    path: '/pieces/4/form',
    ready: async (page) => {
      await page.getByLabel('It opened to, inside').fill(String(await openedTo(page)))
      return () => page.getByRole('button', { name: 'Count this trial' }).click()
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await page.getByLabel('It opened to, inside').fill(String((await openedTo(page)) + 0.3))
      await page.getByRole('button', { name: 'Count this trial' }).click()
      await kept
    },
  },
  markMandrel: {
    path: '/drawer/tools',
    ready: async (page) => {
      await tool(page, /^ring mandrel/)
      await page.getByLabel('Mark', { exact: true }).fill('US 7')
      await page.getByLabel('Measured', { exact: true }).fill('17.4')
      return () => page.getByRole('button', { name: 'Save' }).last().click()
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await tool(page, /^ring mandrel/)
      await page.getByLabel('Mark', { exact: true }).fill('US 7')
      await page.getByLabel('Measured', { exact: true }).fill('17.5')
      await page.getByRole('button', { name: 'Save' }).last().click()
      await kept
    },
  },
  measureStamp: {
    path: '/drawer/tools',
    ready: async (page) => {
      await tool(page, /letters 2 mm/)
      await page.getByLabel('Letter', { exact: true }).fill('W')
      await page.getByLabel('Measured', { exact: true }).fill('2.2')
      return () => page.getByRole('button', { name: 'Save' }).last().click()
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await tool(page, /letters 2 mm/)
      await page.getByLabel('Letter', { exact: true }).fill('W')
      await page.getByLabel('Measured', { exact: true }).fill('2.3')
      await page.getByRole('button', { name: 'Save' }).last().click()
      await kept
    },
  },
  measureStock: {
    path: '/drawer',
    ready: async (page) => {
      const sheet = page.getByRole('article', { name: /^S-1[ ,]/ })
      await sheet.getByRole('button', { name: 'Enter the measured thickness' }).click()
      await sheet.getByLabel('As measured').fill('0.71')
      return () => sheet.getByRole('button', { name: 'Save' }).click()
    },
    meanwhile: async (page) => {
      const sheet = page.getByRole('article', { name: /^S-1[ ,]/ })
      await sheet.getByRole('button', { name: 'Enter the measured thickness' }).click()
      await sheet.getByLabel('As measured').fill('0.74')
      await sheet.getByRole('button', { name: 'Save' }).click()
      await expect(sheet).toContainText('measured 0.74')
    },
  },
  measureTool: {
    path: '/drawer/tools',
    ready: async (page) => {
      await tool(page, /^28 mm, /)
      await page.getByLabel('Ball, as measured').fill('29.9')
      return () => page.getByRole('button', { name: 'Save' }).first().click()
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await tool(page, /^28 mm, /)
      await page.getByLabel('Ball, as measured').fill('29.8')
      await page.getByRole('button', { name: 'Save' }).first().click()
      await kept
    },
  },
  moveRevision: {
    path: '/pieces/1',
    ready: (page) => press(page.getByRole('button', { name: 'Undo' }))(),
    meanwhile: async (page) => {
      const kept = answered(page)
      await howMany(page, '28')
      await kept
    },
  },
  putBackCut: {
    path: '/layout/3',
    ready: (page) => press(page.getByRole('button', { name: 'Put it back' }))(),
  },
  putInJar: {
    path: '/drawer/scrap',
    ready: async (page) => {
      await page.getByRole('button', { name: 'Put scrap in' }).click()
      await page.getByLabel('Weighs').fill('2.4')
      return () => page.getByRole('button', { name: 'Put it in', exact: true }).click()
    },
  },
  keepBath: {
    path: '/drawer/baths',
    ready: async (page) => {
      await page.getByRole('button', { name: 'Make up a bath' }).click()
      await page.getByLabel('Name on the label').fill('Small pan')
      return () => page.getByRole('button', { name: 'Save', exact: true }).click()
    },
  },
  keepSwatch: {
    path: '/pieces/37/finish',
    ready: async (page) => {
      await page.getByLabel('How it was made').fill('one long dip')
      return () => page.getByRole('button', { name: 'Put it in' }).click()
    },
  },
  addLesson: {
    path: '/book/lessons',
    ready: async (page) => {
      await page.getByLabel('Name of the lesson').fill('A ring, from its size')
      return () => page.getByRole('button', { name: 'Prepare it' }).click()
    },
  },
  dropLesson: {
    path: '/book/lessons',
    ready: async (page) => {
      await page.getByLabel('Name of the lesson').fill('A lesson to delete')
      const kept = answered(page)
      await page.getByRole('button', { name: 'Prepare it' }).click()
      await kept
      await page.getByRole('button', { name: 'Delete A lesson to delete' }).first().click()
      return () => page.getByRole('dialog').getByRole('button', { name: 'Delete it' }).click()
    },
  },
  keepPrediction: {
    path: '/book/trainer?seed=4&kind=gauge',
    ready: async (page) => {
      await page.getByLabel('Your name').fill('Wren')
      await page.getByLabel('Your prediction').fill('1.3')
      return () => page.getByRole('button', { name: 'That is what I think' }).click()
    },
  },
  addPicture: {
    path: '/pieces/2/record',
    ready: async (page) => () =>
      page.getByLabel('Picture of the piece').setInputFiles({ name: 'signal lamp.png', mimeType: 'image/png', buffer: DOT }),
  },
  takePrices: {
    path: '/jobs/1/quote',
    ready: async (page) => () => page.getByRole('button', { name: 'Take today’s prices' }).click(),
  },
  dropPicture: {
    path: '/pieces/2/record',
    ready: async (page) => {
      await page.getByLabel('Picture of the piece').setInputFiles({ name: 'tail lamp.png', mimeType: 'image/png', buffer: DOT })
      await page.getByRole('button', { name: 'Delete the picture tail lamp' }).first().click()
      return () => page.getByRole('dialog').getByRole('button', { name: 'Delete it' }).click()
    },
  },
  dropSwatch: {
    path: '/pieces/37/finish',
    ready: async (page) => {
      await page.getByRole('button', { name: /^Take out one dip/ }).click()
      return () => page.getByRole('dialog').getByRole('button', { name: 'Take it out' }).click()
    },
  },
  noteBath: {
    path: '/drawer/baths',
    ready: async (page) => {
      await bath(page).getByRole('button', { name: 'Put out of use' }).click()
      return () => page.getByRole('dialog').getByRole('button', { name: 'It is out of use' }).click()
    },
    meanwhile: async (page) => {
      await bath(page).getByRole('button', { name: 'It was filtered' }).click()
      await expect(page.getByText('Salt, trials is filtered.')).toBeVisible()
    },
  },
  sendJar: {
    path: '/drawer/scrap',
    ready: async (page) => {
      await jar(page).getByRole('button', { name: 'Send to refine' }).click()
      return () => page.getByRole('dialog').getByRole('button', { name: 'It is sent' }).click()
    },
    meanwhile: (page) => weigh(page, '17.8'),
  },
  weighJar: {
    path: '/drawer/scrap',
    ready: async (page) => {
      await jar(page).getByRole('button', { name: 'Weigh it' }).click()
      await jar(page).getByLabel('In the jar').fill('18.1')
      return () => jar(page).getByRole('button', { name: 'Save' }).click()
    },
    meanwhile: (page) => weigh(page, '17.9'),
  },
  saveDesign: {
    path: '/pieces/1',
    ready: async (page) => async () => {
      await typeHeight(page, (await page.getByLabel('Dome height', { exact: true }).inputValue()) === '7.3' ? '7.9' : '7.3')
      await page.getByLabel('Dome height', { exact: true }).blur()
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await typeHeight(page, '7.6')
      await page.getByLabel('Dome height', { exact: true }).blur()
      await kept
      await saved(page)
    },
  },
  saveJob: {
    path: '/jobs',
    ready: async (page) => {
      const save = await changeJob(page, 'typed in the first tab')
      return () => save.click()
    },
    meanwhile: async (page) => {
      await (await changeJob(page, 'typed in the second tab')).click()
      await expect(page.getByText('typed in the second tab')).toBeVisible()
    },
  },
  saveLayout: {
    path: '/layout/3',
    ready: async (page) => async () => {
      await page.getByRole('button', { name: /^Third-class token 12/ }).focus()
      await page.keyboard.press('ArrowUp')
    },
    meanwhile: async (page) => {
      const kept = answered(page)
      await page.getByRole('button', { name: /^Third-class token 13/ }).focus()
      await page.keyboard.press('ArrowDown')
      await kept
    },
  },
  saveSettings: {
    path: '/settings',
    ready: async (page) => {
      await page.getByLabel('Name', { exact: true }).fill('First tab')
      return () => page.getByRole('button', { name: 'Save', exact: true }).click()
    },
    meanwhile: async (page) => {
      await page.getByLabel('Name', { exact: true }).fill('Second tab')
      await page.getByRole('button', { name: 'Save', exact: true }).click()
      await expect(page.getByText('The settings are saved.')).toBeVisible()
    },
  },
  startTray: {
    path: '/pieces/2/route',
    ready: (page) => press(page.getByRole('button', { name: /^Start a tray of/ }))(),
    meanwhile: async (page) => {
      const kept = page.waitForResponse(/\/api\/act\/saveDesign/)
      await page.getByLabel('Temper', { exact: true }).selectOption('hard')
      await kept
    },
  },
  archiveThing: {
    path: '/jobs',
    ready: async (page) => {
      await page.getByRole('button', { name: 'More of Winter coats' }).click()
      await page.getByRole('menuitem', { name: 'Archive' }).click()
      const dialog = page.getByRole('dialog', { name: 'Put Winter coats into the archive?' })
      await expect(dialog).toContainText('With it: 1 piece')
      return () => dialog.getByRole('button', { name: 'Archive' }).click()
    },
    meanwhile: async (page) => (await changeJob(page, 'while it was being put away')).click(),
  },
  takeOutOfArchive: {
    path: '/archive',
    ready: async (page) => {
      const row = await putAwayPunch(page)
      return () => row.getByRole('button', { name: 'Take out' }).click()
    },
    meanwhile: async (page) => {
      await (await putAwayPunch(page)).getByRole('button', { name: 'Take out' }).click()
      await putAwayPunch(page)
    },
  },
  deleteForGood: {
    path: '/archive',
    ready: async (page) => {
      await (await putAwayPunch(page)).getByRole('button', { name: 'Delete for good' }).click()
      return () => page.getByRole('dialog').getByRole('button', { name: 'Delete for good' }).click()
    },
    meanwhile: async (page) => {
      await (await putAwayPunch(page)).getByRole('button', { name: 'Take out' }).click()
      await putAwayPunch(page)
    },
  },
}

test('every action that writes is tried here', () => {
  const exempt = ['openWorkshop', 'restoreBackup', 'sendAwayDevice']
  expect([...Object.keys(WRITES), ...exempt].sort()).toEqual([...ACTION_NAMES].sort())
})

/** What the page of a write tells of the workshop; a piece’s own page says besides what can be done again, so that of its job is asked. */
async function saidOn(page: Page, path: string): Promise<string> {
  const html = await (await page.request.get(url(path.startsWith('/pieces/') ? '/jobs' : path))).text()
  return html.replace(/<(script|style)[\s\S]*?<\/\1>/g, '').replace(/<[^>]+>/g, ' ')
}

/** Every row of a workshop's file. */
function rowsOf(name: 'demo' | 'workshop'): unknown {
  const db = new Database(join(folderOf('tabs'), `${name}.db`), { readonly: true })
  const tables = db.prepare<[], { name: string }>("select name from sqlite_master where type = 'table' order by name").all()
  const rows = tables.map((table) => [table.name, db.prepare(`select * from "${table.name}"`).all()])
  db.close()
  return rows
}

/** How each write is taken back: by Undo there and then, after it was asked about, or not at all because it only adds or is itself a way back. */
const WAY_BACK: Readonly<Record<keyof typeof WRITES, 'undo' | 'asked' | 'adds' | 'way back'>> = {
  addPiece: 'adds',
  addStartingSets: 'adds',
  addStock: 'adds',
  addTool: 'adds',
  answerRecord: 'undo',
  archiveThing: 'undo',
  backUp: 'adds',
  chooseCuts: 'undo',
  correctStock: 'undo',
  correctTool: 'undo',
  countTemplate: 'undo',
  countTool: 'undo',
  cutLayout: 'asked',
  deleteForGood: 'asked',
  addLesson: 'adds',
  dropLesson: 'asked',
  keepPrediction: 'adds',
  addPicture: 'adds',
  takePrices: 'undo',
  dropPicture: 'asked',
  dropSwatch: 'asked',
  dropTemplate: 'asked',
  describePiece: 'undo',
  duplicateJob: 'adds',
  duplicatePiece: 'adds',
  duplicateStock: 'adds',
  keepBath: 'adds',
  keepFigure: 'undo',
  keepSwatch: 'adds',
  keepTemplate: 'adds',
  keepTrials: 'undo',
  markMandrel: 'undo',
  measureStamp: 'undo',
  measureStock: 'undo',
  measureTool: 'undo',
  moveRevision: 'way back',
  noteBath: 'asked',
  putBackCut: 'way back',
  putInJar: 'adds',
  saveDesign: 'undo',
  saveJob: 'undo',
  saveLayout: 'undo',
  saveSettings: 'undo',
  sendJar: 'asked',
  startTray: 'adds',
  takeOutOfArchive: 'way back',
  weighJar: 'undo',
}

/** Every action is refused by the door itself (tests/server/action-checks.test.ts); here those that are tried in no other way, and some. */
const IN_BOTH_WAYS: readonly string[] = ['saveDesign', 'saveLayout', 'startTray']
/** How a page meets what another tab changed, and takes back what it did, is one mechanism each: of the actions that have both, each twelfth one is tried in one of the two. */
const isTurnOf = (way: 'meanwhile' | 'undo', name: string) =>
  ALL || IN_BOTH_WAYS.includes(name) || (ACTION_NAMES as readonly string[]).indexOf(name) % 24 === (way === 'undo' ? 1 : 3)
const ASKED: readonly string[] = ['cutLayout', 'deleteForGood']
const hasMeanwhile = (name: string) => WRITES[name as keyof typeof WRITES].meanwhile !== undefined
/** The way of a tab of another workshop is the same for all: of those that no other tab meets, every tenth. */
const isTriedOfAnother = (name: string, { meanwhile }: Write, at: number) =>
  IN_BOTH_WAYS.includes(name) || (!meanwhile && (ALL || at % 10 === 0))

for (const [at, [name, write]] of Object.entries(WRITES).entries()) {
  if (name === 'putBackCut') continue
  if (isTriedOfAnother(name, write, at))
    test(`${name}: a tab of the demonstration writes nothing into the own workshop`, async ({ page, context }) => {
      const second = await context.newPage()
      await open(second, 'demo')
      await page.bringToFront()
      await page.goto(url(write.path))
      const last = await write.ready(page)
      await open(second, 'workshop')
      await second.request.get(url('/jobs'))
      const before = [rowsOf('workshop'), rowsOf('demo')]
      await last()
      const dialog = page.getByRole('dialog', { name: 'Another workshop is open' })
      await expect(dialog).toContainText('Nothing was written')
      expect([rowsOf('workshop'), rowsOf('demo')]).toEqual(before)
      await dialog.getByRole('button', { name: 'Open the demonstration again' }).click()
      await expect(dialog).toBeHidden()
      await expect.poll(async () => (await second.request.get(url('/settings'))).text()).toMatch(/demo(<[^>]*>)*\.db/)
      await second.close()
    })

  const { meanwhile } = write
  if (!meanwhile || (WAY_BACK[name as keyof typeof WRITES] === 'undo' && !isTurnOf('meanwhile', name))) continue
  test(`${name}: what another tab changed meanwhile is not overwritten unasked`, async ({ page, context }) => {
    const second = await context.newPage()
    await open(second, 'demo')
    await page.bringToFront()
    await page.goto(url(write.path))
    const last = await write.ready(page)
    await second.bringToFront()
    await second.goto(url(write.path))
    await meanwhile(second)
    await page.bringToFront()
    await last()
    const dialog = page.getByRole('dialog', { name: 'Changed elsewhere meanwhile' })
    await expect(dialog).toContainText('Nothing was written')
    await dialog.getByRole('button', { name: 'Decide later' }).click()
    await expect(dialog).toBeHidden()
    await second.close()
  })
}

test('a change on its way from one tab is not sent by the other as well', async ({ page, context }) => {
  const second = await context.newPage()
  await open(page, 'demo')
  await page.goto(url('/pieces/4'))
  await second.goto(url('/pieces/4'))
  const width = second.getByLabel('Width', { exact: true })
  const stood = await width.inputValue()
  // longer under way than the pause after which a page looks for what it has not got through
  await second.route('**/api/act/saveDesign', async (route) => {
    await new Promise((done) => setTimeout(done, 6000))
    await route.continue()
  })
  const sent: string[] = []
  page.on('request', (request) => request.url().includes('/api/act/') && sent.push(request.url()))
  await width.fill('9.2')
  await width.blur()
  await saved(second)
  await expect(page.getByLabel('Width', { exact: true })).toHaveValue(stood)
  expect(sent).toEqual([])
  await second.close()
})

test('both sides are shown, and mine is kept only when I say so', async ({ page, context }) => {
  const second = await context.newPage()
  await open(second, 'demo')
  await page.bringToFront()
  await page.goto(url('/jobs'))
  const save = await changeJob(page, 'the coats are for the spring')
  await second.bringToFront()
  await second.goto(url('/jobs'))
  await (await changeJob(second, 'the coats are for the autumn')).click()
  await expect(second.getByText('the coats are for the autumn')).toBeVisible()
  await page.bringToFront()
  await save.click()
  const dialog = page.getByRole('dialog', { name: 'Changed elsewhere meanwhile' })
  await expect(dialog.getByRole('row', { name: /Note/ })).toContainText('the coats are for the autumn')
  await expect(dialog.getByRole('row', { name: /Note/ })).toContainText('the coats are for the spring')
  await dialog.getByRole('button', { name: 'Decide later' }).click()
  await expect(page.getByRole('article', { name: 'Winter coats' }).getByLabel('Note')).toHaveValue('the coats are for the spring')
  await save.click()
  await dialog.getByRole('button', { name: 'Keep mine' }).click()
  await expect(page.getByText('the coats are for the spring')).toBeVisible()
  await second.reload()
  await expect(second.getByText('the coats are for the spring')).toBeVisible()
  await second.close()
})

test('what is typed within the saving delay is not lost by leaving the page', async ({ page }) => {
  await open(page, 'demo')
  await page.goto(url('/pieces/4'))
  const width = page.getByLabel('Width', { exact: true })
  await width.fill('9.4')
  await page.goto(url('/tables'))
  await page.goto(url('/pieces/4'))
  await expect(width).toHaveValue('9.4')
  await width.fill('9.6')
  await page.getByRole('navigation').first().getByRole('link', { name: 'Drawer' }).click()
  await expect(page.getByRole('heading', { name: 'Drawer' })).toBeVisible()
  await page.goto(url('/pieces/4'))
  await expect(width).toHaveValue('9.6')
})

test('a page that is loaded again at once shows what was typed last, and takes the next without a word', async ({ page }) => {
  await open(page, 'demo')
  await page.goto(url('/pieces/4'))
  const width = page.getByLabel('Width', { exact: true })
  for (const typed of ['9.3', '9.5', '9.7']) {
    await width.fill(typed)
    // the page is asked for again before the write of the one that is left arrives
    await page.reload()
    await expect(width).toHaveValue(typed)
  }
  await width.fill('9.9')
  await saved(page)
  await expect(page.getByRole('dialog')).toBeHidden()
})

test('what is typed while an earlier write is on its way outlives the page, whether that one arrived or not', async ({ page }) => {
  await open(page, 'demo')
  await page.goto(url('/pieces/4'))
  const width = page.getByLabel('Width', { exact: true })
  let held = 0
  const hold = (first: string, isArriving: boolean) =>
    page.route('**/api/act/saveDesign', async (route) => {
      if (!route.request().postData()?.includes(first) || held++ > 0) return route.continue()
      if (isArriving) await route.fetch()
      // and no answer comes
    })
  for (const [first, second, isArriving] of [
    ['9.13', '9.17', true],
    ['9.23', '9.27', false],
  ] as const) {
    held = 0
    await hold(first, isArriving)
    await width.fill(first)
    await expect.poll(() => held).toBe(1)
    await width.fill(second)
    // longer than a change waits to be sent
    await page.waitForTimeout(1500)
    await page.reload()
    await expect(width).toHaveValue(second)
    await expect(page.getByRole('dialog')).toBeHidden()
    await page.unrouteAll({ behavior: 'ignoreErrors' })
    await saved(page)
    await page.reload()
    await expect(width).toHaveValue(second)
  }
})

test('what another tab changed is not overwritten by what was typed before this page was given it', async ({ page, context }) => {
  const second = await context.newPage()
  await open(second, 'demo')
  await page.bringToFront()
  await page.goto(url('/pieces/4'))
  const width = page.getByLabel('Width', { exact: true })
  let release = () => {}
  const released = new Promise<void>((done) => {
    release = done
  })
  await page.route(/_rsc=/, async (route) => {
    await released
    await route.continue()
  })
  const first = page.waitForResponse('**/api/act/saveDesign')
  await width.fill('9.25')
  await first
  await saved(page)
  await second.bringToFront()
  await second.goto(url('/pieces/4'))
  await expect(second.getByLabel('Width', { exact: true })).toHaveValue('9.25')
  const other = second.waitForResponse('**/api/act/saveDesign')
  await second.getByLabel('Joint and filing', { exact: true }).fill('0.15')
  await other
  await page.bringToFront()
  await width.fill('9.35')
  release()
  const dialog = page.getByRole('dialog', { name: 'Changed elsewhere meanwhile' })
  await expect(dialog).toContainText('Nothing was written')
  await dialog.getByRole('button', { name: 'Take what is there' }).click()
  await expect(page.getByLabel('Joint and filing', { exact: true })).toHaveValue('0.15')
  await expect(width).toHaveValue('9.25')
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  await second.close()
})

test('an edit made while nothing answers is kept in the browser, and sent when it does', async ({ page }) => {
  await open(page, 'demo')
  await page.goto(url('/pieces/4'))
  const width = page.getByLabel('Width', { exact: true })
  await page.route('**/api/act/**', (route) => route.abort())
  await width.fill('10.2')
  await expect(page.getByText(/kept on this device and sent again/)).toBeVisible()
  await page.goto(url('/drawer'))
  await page.unroute('**/api/act/**')
  await page.waitForTimeout(5000)
  await page.goto(url('/pieces/4'))
  await expect(width).toHaveValue('10.2')
})

for (const [name, way] of Object.entries(WAY_BACK)) {
  const write = WRITES[name as keyof typeof WRITES]
  if (way === 'undo' && (!hasMeanwhile(name) || isTurnOf('undo', name)))
    test(`${name} is taken back by Undo, and the workshop is as it was`, async ({ page }) => {
      await open(page, 'demo')
      const before = await saidOn(page, write.path)
      await page.goto(url(write.path))
      await (await write.ready(page))()
      await expect(page.getByRole('button', { name: 'Undo' }).last()).toBeEnabled()
      await page.waitForTimeout(700)
      await page.getByRole('button', { name: 'Undo' }).last().click()
      await expect(async () => expect(await saidOn(page, write.path)).toBe(before)).toPass({ timeout: 25_000 })
    })
  // of those that another tab meets above, two: what asks is one dialog
  if (way === 'asked' && (ALL || !hasMeanwhile(name) || ASKED.includes(name)))
    test(`${name} asks first, and nothing is done where the answer is no`, async ({ page }) => {
      await open(page, 'demo')
      await page.goto(url(write.path))
      await page.waitForTimeout(500)
      await write.ready(page)
      const dialog = page.getByRole('dialog')
      await expect(dialog).toBeVisible()
      const before = rowsOf('demo')
      await dialog.getByRole('button', { name: /^(Cancel|Not yet)$/ }).click()
      await expect(dialog).toBeHidden()
      expect(rowsOf('demo')).toEqual(before)
    })
}
