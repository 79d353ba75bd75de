import { spawn } from 'node:child_process'
import { mkdirSync } from 'node:fs'
import { chromium } from '@playwright/test'
import { BROWSER } from './browser.mjs'
import { drawPaper } from './draw-paper.mjs'

/** Pictures of each main view from the demonstration data, for the README: `npm run screenshots`, or with a base address already serving. */
const base = process.env.BASE ?? 'http://127.0.0.1:4399'
const folder = process.env.OUT ?? 'docs/screenshots'
const VIEWS = [
  ['day', '/bench/day'],
  ['quote', '/jobs/1/quote', 'Calculation'],
  ['lesson', '/book/trainer?seed=7&kind=size'],
  ['size-dome', '/pieces/1'],
  ['form', '/pieces/6/form'],
  ['assembly', '/pieces/18'],
  ['joints', '/pieces/18/joints', 'Heat 3: bezel and plate'],
  ['etch', '/pieces/35/mark'],
  ['finish', '/pieces/37/finish'],
  ['mark', '/pieces/3/mark'],
  ['route', '/pieces/26/route'],
  ['record', '/pieces/2/record'],
  ['layout', '/layout/3'],
  ['bench-step', '/pieces/31/route', /^Start a tray/],
  ['book', '/book'],
  ['tables', '/tables?q=18'],
  ['patina-run', '/pieces/37/route', /^Start a tray/],
  ['outline', '/drawer/outline'],
]

/** A file that is handed to a view before it is looked at, what is typed beside it, and what is waited for. */
const FILES = {
  outline: {
    file: 'tests/fixtures/photographs/corner-copper-high.jpg',
    typed: { 'Height of its edge': '2.4', '100 mm line along x': '100', '100 mm line along y': '100' },
    wait: '19 times in 20',
  },
}

/** Takes a tray that was just begun to the step of that title. */
async function benchTo(page, title) {
  await page.waitForURL(/\/bench\/\d+/)
  const heading = page.getByRole('heading', { level: 1 })
  await heading.waitFor()
  while (!title.test(await heading.innerText())) await page.keyboard.press('Space')
  return heading
}

/** What is done in a view before it is looked at: a tray is taken to its heat or its colour. */
const WALKS = {
  // the day is planned beside the page
  day: (page) => page.getByRole('region', { name: 'In this order' }).waitFor(),
  // a table is drawn once it knows its width
  record: (page) => page.getByRole('gridcell').first().waitFor(),
  book: (page) => page.getByRole('gridcell').first().waitFor(),
  lesson: async (page) => {
    await page.getByLabel('Your name').fill('Wren')
    await page.getByLabel('Your prediction').fill('55')
    await page.getByRole('button', { name: 'That is what I think' }).click()
    await page.getByRole('status', { name: 'Answer' }).waitFor()
  },
  'bench-step': (page) => benchTo(page, /Solder the joint/),
  'patina-run': async (page) => {
    const title = await benchTo(page, /Dip in the patina/)
    // what stands open for other trays is put away by then
    await page.clock.install({ time: Date.now() + 20 * 60_000 })
    await page.reload()
    await title.waitFor()
    await page.getByRole('button', { name: /^Done/ }).waitFor()
    await page.getByRole('img', { name: /Colours the film goes through/ }).waitFor()
    await page.keyboard.press('m')
    await page.getByRole('heading', { name: /what does the colour say/ }).waitFor()
    await page.keyboard.press('2')
    await page.getByRole('button', { name: /^Dip 2 of 3/ }).waitFor()
  },
}

/** Papers, drawn as they print: the name of the picture and where its PDF is. */
const PAPERS = [['torch-card', '/api/pieces/18/torch-cards']]

async function waitFor(address) {
  for (let n = 0; n < 100; n++) {
    try {
      await fetch(address)
      return
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 200))
    }
  }
}

const server = process.env.BASE
  ? undefined
  : spawn('node', ['dist/server.mjs'], {
      env: { ...process.env, PORT: '4399', FOLD_ANVIL_OPEN: 'demo' },
      stdio: 'ignore',
      detached: true,
    })
await waitFor(base)
mkdirSync(folder, { recursive: true })
const browser = await chromium.launch(BROWSER)
const only = process.argv.slice(2)
const page = await browser.newPage({
  viewport: { width: Number(process.env.WIDTH ?? 1280), height: Number(process.env.HEIGHT ?? 800) },
  colorScheme: process.env.SCHEME === 'dark' ? 'dark' : 'light',
})
for (const [name, path, press] of VIEWS.filter(([view]) => only.length === 0 || only.includes(view))) {
  await page.goto(base + path, { waitUntil: 'load' })
  for (const name of [press ?? []].flat())
    await page
      .getByRole('button', typeof name === 'string' ? { name, exact: true } : { name })
      .first()
      .click()
  const given = FILES[name]
  if (given) {
    await page.locator('input[type=file]').setInputFiles(given.file)
    for (const [label, text] of Object.entries(given.typed)) await page.getByLabel(label).fill(text)
    await page.getByText(given.wait).waitFor({ timeout: 60000 })
  }
  await WALKS[name]?.(page)
  await page.waitForTimeout(1800)
  await page.screenshot({ path: `${folder}/${name}.png` })
}
for (const [name, path] of PAPERS.filter(([paper]) => only.length === 0 || only.includes(paper)))
  await (await drawPaper(page, base, path)).screenshot({ path: `${folder}/${name}.png` })
await browser.close()
if (server?.pid) process.kill(-server.pid)
