import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { chromium } from '@playwright/test'
import Database from 'better-sqlite3'
import { build } from 'esbuild'
import { BROWSER } from './browser.mjs'
import { buildProgram } from './bundles.mjs'
import { timeLayouts } from './time-layouts.mjs'
import { timeMarks, typedToPaint } from './time-marks.mjs'

/** Measures the figures the project promises; run after `npm run build`. Prints, never fails. */
const PORT = 4398
/** After so long the program has opened its main pages itself. */
const WARM_UP_MS = 25_000
const base = `http://127.0.0.1:${PORT}`

function median(values) {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)]
}

function report(what, ms, limit) {
  process.stdout.write(`${what.padEnd(58)} ${ms.toFixed(0).padStart(6)} ms   (asked: under ${limit})\n`)
}

/** The median of ten runs, warm. */
function timed(what, run, limit) {
  const times = Array.from({ length: 15 }, () => {
    const began = performance.now()
    run()
    return performance.now() - began
  })
  report(what, median(times.slice(5)), limit)
}

function timeCommand() {
  const input = JSON.stringify({ insideDiameterMm: 'US 7', thicknessMm: '18 ga', alloy: 'sterling-925' })
  const times = Array.from({ length: 9 }, () => {
    const began = performance.now()
    spawnSync('node', ['dist/anvil.mjs', 'calc', 'ring-band', input])
    return performance.now() - began
  })
  report('anvil calc ring-band', median(times), 400)
}

/** Parts of the core as a program runs them, by what is imported from them. */
async function bundled(contents) {
  const outfile = join(mkdtempSync(join(tmpdir(), 'fold-anvil-core-')), 'core.mjs')
  const stdin = { contents, resolveDir: '.', loader: 'ts' }
  await build({ stdin, outfile, bundle: true, platform: 'node', format: 'esm', logLevel: 'warning' })
  return import(pathToFileURL(outfile).href)
}

/** Fifty forms recomputed together in one warm process: every form's example in turn, as often as it takes. */
async function timeForms() {
  const { FORMS } = await bundled(`export { FORMS } from './src/core/forms'`)
  const fifty = Array.from({ length: 50 }, (_, i) => FORMS[i % FORMS.length])
  const times = Array.from({ length: 40 }, () => {
    const began = performance.now()
    for (const form of fifty) form.run(form.example)
    return performance.now() - began
  })
  report('fifty forms recomputed, warm, median', median(times.slice(10)), 50)
  report('fifty forms recomputed, warm, slowest', Math.max(...times.slice(10)), 50)
}

/** Five kits side by side, two hundred steps: checked, put in order after ten were displaced, and after all were shuffled. */
async function timeRoutes() {
  const { KITS, assemblyOf, checkRoute, putInOrder } = await bundled(`export { assemblyOf } from './src/core/kits/kit'
    export { KITS } from './src/core/kits/registry'
    export { checkRoute } from './src/core/rules/check'
    export { putInOrder } from './src/core/rules/order/put-in-order'`)
  const assembly = { parts: [], others: [], joints: [], schools: {}, steps: [] }
  for (const id of ['bezel-pendant-balls', 'bezel-sweated-ring', 'stamping-quartered', 'wrapped-ring-tube-rivet', 'chain-strip-links']) {
    const own = (name) => `${id}/${name}`
    const kit = assemblyOf(KITS.find((item) => item.id === id))
    const things = { part: kit.parts.map((item) => item.id) }
    const ref = (item) => ({ ...item, thing: own(item.thing) })
    assembly.parts.push(...kit.parts.map((item) => ({ ...item, id: own(item.id) })))
    assembly.others.push(...kit.others.map((item) => ({ ...item, id: own(item.id) })))
    assembly.joints.push(...kit.joints.map((item) => ({ ...item, id: own(item.id), members: item.members.map(ref) })))
    const names = (text) => text.split('+').map(own).join('+')
    const into = ({ into: parts, from, ...params }) => ({
      ...params,
      ...(parts ? { into: names(parts) } : {}),
      ...(from ? { from: names(from) } : {}),
    })
    assembly.steps.push(
      ...kit.steps.map((step) => ({
        ...step,
        params: into(step.params),
        on: step.on.flatMap((item) => (item.thing === 'piece' ? things.part.map((thing) => ({ thing: own(thing) })) : [ref(item)])),
      })),
    )
  }
  let seed = 1
  const random = () => {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0
    return seed / 2 ** 32
  }
  const mixed = (swaps) => {
    const steps = [...assembly.steps]
    for (let n = 0; n < swaps; n++) {
      const [step] = steps.splice(Math.floor(random() * steps.length), 1)
      steps.splice(Math.floor(random() * steps.length), 0, step)
    }
    return { ...assembly, steps }
  }
  // a page that is open, and a server, have checked before
  for (let n = 0; n < 60; n++) checkRoute({ ...assembly })
  const timed = (what, make, run, limit) => {
    const times = Array.from({ length: 9 }, () => {
      const input = make()
      const began = performance.now()
      run(input)
      return performance.now() - began
    })
    report(`${what}, ${assembly.steps.length} steps`, median(times.slice(3)), limit)
  }
  timed('a route checked', () => ({ ...assembly }), checkRoute, 10)
  timed('a route in order put in order', () => assembly, putInOrder, 100)
  timed('ten steps displaced put in order', () => mixed(10), putInOrder, 100)
  timed('all steps shuffled put in order', () => mixed(400), putInOrder, 100)
}

/** Marks placed on a blank and checked, a saw plan put in order, an etch worked out, and a photograph measured. */
async function timeBlanks() {
  const { markPlan, marksInput, sawPlan, sawPlanInput, etchPlan, etchInput, circleOutline } =
    await bundled(`export { markPlan, marksInput } from './src/core/marks'
    export { sawPlan, sawPlanInput } from './src/core/sawing'
    export { etchPlan, etchInput } from './src/core/etching'
    export { circleOutline } from './src/core/geometry'`)
  const outer = circleOutline(90)
  const row = (text, radiusMm) => ({ kind: 'letters', text, heightMm: 2, line: { kind: 'circle', radiusMm } })
  const words = marksInput.parse({ outer, marks: Array.from({ length: 8 }, (_, i) => row('NIGHTMAIL'.repeat(6).slice(0, 50), 80 - 4 * i)) })
  timed('marks: 400 letters placed and checked', () => markPlan(words), 50)
  const points = Array.from({ length: 2000 }, (_, i) => ({ x: 2 * (i % 45), y: 2 * Math.floor(i / 45) }))
  const dots = marksInput.parse({ outer, marks: [{ kind: 'map', points, dotMm: 0.5 }] })
  timed('marks: a map of 2,000 dots placed and checked', () => markPlan(dots), 50)
  const disc = circleOutline(5)
  const at = (i) => disc.map(([x, y]) => [x + 6 + 11 * (i % 10), y + 6 + 11 * Math.floor(i / 10)])
  const blanks = Array.from({ length: 80 }, (_, i) => ({ id: 'disc', outer: at(i), holes: [] }))
  const sheet = {
    outer: [
      [0, 0],
      [112, 0],
      [112, 90],
      [0, 90],
    ],
  }
  const cuts = sawPlanInput.parse({ sheet, thicknessMm: 0.8, blanks })
  timed('a saw plan of 80 discs', () => sawPlan(cuts), 100)
  const dark = Array.from({ length: 200 }, (_, i) => circleOutline(1).map(([x, y]) => [x + 4 * (i % 20), y + 4 * Math.floor(i / 20)]))
  const etch = etchInput.parse({ alloy: 'copper-c110', thicknessMm: 1, outer: sheet.outer, dark, depthMm: 0.2 })
  timed('an etch with 200 dark places', () => etchPlan(etch), 50)
  const { darkPlaces } = await bundled("export { darkPlaces } from './src/files/dark-places'")
  const [width, height] = [5400, 3700]
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if ((x % 300) - 150 > 0 && Math.hypot((x % 300) - 150, (y % 300) - 150) < 120)
        rgba.fill(20, 4 * (y * width + x), 4 * (y * width + x) + 3)
  timed('a picture of 20 million pixels as artwork', () => darkPlaces({ width, height, rgba }, { widthMm: 90 }), 2000)
  const began = performance.now()
  const options = '{"heightMm":2.4,"card":{"field":"white","lineXMm":100,"lineYMm":100}}'
  spawnSync('node', ['dist/anvil.mjs', 'outline', 'tests/fixtures/photographs/corner-copper-high.jpg', options])
  report('a photograph measured, by the command line', performance.now() - began, 3000)
}

/** The metal worked out: forming as it is dragged and as it is let go, the walk of a long route, the bands, and mesh convergence. */
async function timeMetal() {
  const {
    answerDap,
    dap,
    dapBands,
    dapStep,
    domedMetal,
    fineBulge,
    flatSheet,
    fullRun,
    hardeningOf,
    powerHardening,
    rimDiameterMm,
    ALLOYS,
    temperBands,
    walkTemper,
  } = await bundled(`export { dap } from './src/core/forming/dapping/dap'
    export { answerDap } from './src/core/forming/dapping/compare-dap'
    export { dapBands, fullRun } from './src/core/forming/dapping/dap-bands'
    export { domedMetal } from './src/core/forming/dapping/domed-metal'
    export { fineBulge } from './src/core/forming/bulge/bulge'
    export { dapStep } from './src/core/forming/dapping/dap-step'
    export { flatSheet } from './src/core/forming/dapping/sheet'
    export { hardeningOf, powerHardening } from './src/core/forming/hardening'
    export { rimDiameterMm } from './src/core/forming/dome'
    export { ALLOYS } from './src/core/metals'
    export { temperBands, walkTemper } from './src/core/route'`)
  const alloy = ALLOYS['sterling-925']
  const dome = (rings, punches) => ({
    alloy,
    discMm: 34,
    thicknessMm: 0.7,
    strain: 0,
    friction: 0,
    rings,
    stages: punches.map((punchMm) => ({ punchMm, annealBefore: false })),
  })
  const punches = [46, 38, 32, 26]
  timed('a dome while it is dragged, 20 rings, 4 punches', () => dap(dome(20, punches)), 30)
  timed('a dome let go, 80 rings, 8 punches', () => dap(dome(80, [54, 46, 40, 36, 32, 29, 27, 26])), 500)
  timed(
    'a held bulge, 40 rings',
    () => fineBulge({ radiusMm: 20, hardening: hardeningOf(alloy), strain: 0, heightFraction: 0.5, rings: 40 }),
    500,
  )
  timed('a dome answered whole while it is dragged, bands and anneals too', () => answerDap(dome(20, punches)), 30)
  timed('a dome answered whole let go, 40 rings', () => answerDap(dome(40, punches)), 500)
  timed(
    'a dome on the ribbon, a thousand times',
    () => {
      for (let n = 0; n < 1000; n++) domedMetal(alloy, 34, 13 + n / 1000)
    },
    30,
  )
  for (const [id, discMm, thicknessMm, way, friction] of [
    ['sterling-925', 34, 0.7, [46, 38, 32, 26], 0],
    ['copper-c110', 28, 0.5, [36, 25, 20], 0],
    ['yellow-brass-c260', 40, 0.9, [50, 40], 0.25],
    ['fine-silver', 22, 0.4, [28, 20, 17], 0],
    ['nickel-silver-c752', 30, 0.6, [40, 30], 1],
  ]) {
    const input = { ...dome(20, way), alloy: ALLOYS[id], discMm, thicknessMm, friction }
    const [local, full] = [dapBands(input).at(-1), dapBands(input, fullRun(input)).at(-1)]
    const offs = Object.entries(full).map(([name, { p10, p90 }]) => {
      const off = Math.max(Math.abs(local[name].p10 - p10), Math.abs(local[name].p90 - p90)) / (p90 - p10)
      return `${name.replace(/Mm$|Fraction$/, '')} ${(100 * off).toFixed(0)} %`
    })
    process.stdout.write(`bands of ${id} by the local model against 200 whole runs, off by so much of their width: ${offs.join(', ')}\n`)
  }
  timed(
    'the rim by its closed form, a thousand times',
    () => {
      for (let n = 0; n < 1000; n++) rimDiameterMm(34, 13 + n / 1000)
    },
    30,
  )
  const steps = Array.from({ length: 60 }, (_, i) =>
    i % 4 === 3 ? { op: 'anneal', params: {} } : { op: 'bend', params: { insideRadiusMm: 6 + (i % 3) } },
  )
  const strip = { alloy: 'sterling-925', thicknessMm: 1, bought: 'half-hard', regions: ['outside', 'inside'], steps }
  timed(
    '60 steps walked for 50 workpieces',
    () => {
      for (let n = 0; n < 50; n++) walkTemper({ ...strip, thicknessMm: 0.8 + n / 100 })
    },
    500,
  )
  timed('bands of 60 steps, 200 draws', () => temperBands(strip), 1000)
  const rim = [20, 40, 80].map((rings) =>
    dapStep(flatSheet(1, rings), { sphereRadiusMm: 1, hardening: powerHardening(1, 0.3), friction: 0 }).anglesRad.at(-1),
  )
  const order = Math.log2(Math.abs((rim[1] - rim[0]) / (rim[2] - rim[1])))
  const limit = rim[2] + (rim[2] - rim[1]) / 3
  const degrees = (rad) => ((rad * 180) / Math.PI).toFixed(4)
  process.stdout.write(
    `rim of a disc on its own radius, n = 0.3, at 20, 40 and 80 rings: ${rim.map(degrees).join(', ')}°, order ${order.toFixed(2)}, by Richardson ${degrees(limit)}°\n`,
  )
}

/** The night-lamp pendant grown to twelve parts on its plate, among them sixty links: the number of the piece. */
function growLargePiece(data) {
  const db = new Database(join(data, 'demo.db'))
  const { id, head_revision_id: revision } = db.prepare("SELECT id, head_revision_id FROM pieces WHERE name = 'Night-lamp pendant'").get()
  const design = JSON.parse(db.prepare('SELECT design_json FROM piece_revisions WHERE id = ?').get(revision).design_json)
  const bail = design.parts.find((part) => part.id === 'bail')
  const ball = design.parts.find((part) => part.id === 'balls')
  const more = Array.from({ length: 12 - design.parts.length - 1 }, (_, i) => ({
    ...ball,
    id: `grain-${i}`,
    name: `Grain ${i + 1}`,
    count: 1,
  }))
  design.parts.push({ ...bail, id: 'links', name: 'Links', count: 60 }, ...more)
  const put = (small, place, kind, role) => ({
    id: `${small}-on`,
    kind,
    members: [
      { thing: small, place },
      { thing: 'plate', place: 'face' },
    ],
    ...(role ? { role } : {}),
  })
  design.joints.push(...more.map(({ id }) => put(id, 'base', 'point', 'applied')), put('links', 'inside', 'link'))
  db.prepare('UPDATE piece_revisions SET design_json = ? WHERE id = ?').run(JSON.stringify(design), revision)
  db.close()
  return id
}

/** The pages of a large piece, and a change of its route until it is drawn anew. */
async function timeLargePiece(id) {
  for (const path of [`/pieces/${id}`, `/pieces/${id}/route`, `/pieces/${id}/joints`])
    await timePage(path, 'twelve parts, sixty links, page')
  const browser = await chromium.launch(BROWSER)
  for (const [what, piece] of [
    ['a step of twelve parts', id],
    ['a step of a ring', 2],
  ]) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`${base}/pieces/${piece}/route`)
    await page.waitForSelector('html[data-ready]')
    await page.waitForTimeout(1500)
    const times = await page.evaluate(async () => {
      const twice = [...document.querySelectorAll('button')].find((button) => button.textContent === 'Do it twice')
      const taken = []
      for (let n = 0; n < 11; n++) {
        const began = performance.now()
        twice.click()
        await new Promise((resolve) => {
          const channel = new MessageChannel()
          channel.port1.onmessage = resolve
          requestAnimationFrame(() => channel.port2.postMessage(0))
        })
        taken.push(performance.now() - began)
      }
      return taken
    })
    report(`${what} added, the route redrawn, painted`, median(times.slice(1)), 50)
    await page.close()
  }
  await browser.close()
}

async function timePage(path, what = 'page') {
  const times = []
  for (let n = 0; n < 9; n++) {
    const began = performance.now()
    await (await fetch(base + path)).text()
    times.push(performance.now() - began)
  }
  report(`${what} ${path}, whole answer`, median(times.slice(1)), 200)
}

async function timePages() {
  for (const path of [
    '/jobs',
    '/pieces/1',
    '/pieces/6/route',
    '/pieces/2/record',
    '/pieces/12/compare',
    '/pieces/15',
    '/layout/3',
    '/drawer',
    '/drawer/tools',
    '/tables?q=18',
    '/tables/advice/drill',
    '/bench',
    '/bench/2',
    '/book',
    '/settings',
  ])
    await timePage(path)
}

async function timeTyping() {
  const browser = await chromium.launch(BROWSER)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${base}/pieces/1`)
  await page.getByTestId('answer').waitFor()
  await page.waitForTimeout(1500)
  const times = await typedToPaint(
    page,
    'input[name="heightMm"]',
    Array.from({ length: 21 }, (_, n) => (6 + n / 20).toFixed(2)),
  )
  await browser.close()
  report('a key in a field to the redrawn piece, painted', median(times), 50)
}

/** A key in the words of 400 letters, and in the number of 2,000 stamps beside them, to the marks redrawn. */
async function timeMarking() {
  const browser = await chromium.launch(BROWSER)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const { words, stamps, dots } = await timeMarks(page, base)
  await browser.close()
  report('a key in 400 letters to the marks redrawn, painted', median(words), 50)
  report('a key in the number of 2,000 stamps beside them, painted', median(stamps), 50)
  report('a key in the size of 2,000 dots alone, painted', median(dots), 50)
}

/** A key in the look-up to what it finds, painted; and the search itself, worst of many. */
async function timeLookUp() {
  const browser = await chromium.launch(BROWSER)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(`${base}/tables`)
  await page.getByTestId('row-value').waitFor()
  await page.waitForTimeout(1500)
  const { painted, stood } = await page.evaluate(
    async (texts) => {
      const field = document.querySelector('input[aria-label="Look up"]')
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set
      const [painted, stood] = [[], []]
      let changed = 0
      const observer = new MutationObserver(() => {
        if (changed === 0) changed = performance.now()
      })
      observer.observe(document.querySelector('section[aria-label="What it is"]'), {
        subtree: true,
        childList: true,
        characterData: true,
        attributes: true,
      })
      for (const text of texts) {
        const began = performance.now()
        changed = 0
        set.call(field, text)
        field.dispatchEvent(new Event('input', { bubbles: true }))
        await new Promise((resolve) => {
          const channel = new MessageChannel()
          channel.port1.onmessage = resolve
          requestAnimationFrame(() => channel.port2.postMessage(0))
        })
        painted.push(performance.now() - began)
        await new Promise((resolve) => setTimeout(resolve, 150))
        if (changed > 0) stood.push(changed - began)
      }
      return { painted, stood }
    },
    ['#5', '#60', 'P6', 'P600', '1', '18', 'N', 'easy', '1.02', '1/16 in', 'sterling', 'US 7', '2-6', 'flux', '600'],
  )
  await browser.close()
  report('a key in the look-up to its answer in the page, median', median(stood.slice(1)), 30)
  report('a key in the look-up to its answer in the page, slowest', Math.max(...stood.slice(1)), 30)
  report('a key in the look-up, painted, median', median(painted.slice(1)), 30)
  report('a key in the look-up, painted, slowest', Math.max(...painted.slice(1)), 30)
  const core = []
  for (const text of ['#60', '18', '1.02', 'sterling density', 'easy']) {
    const began = performance.now()
    const done = spawnSync('node', ['dist/anvil.mjs', 'find', text])
    if (done.status === 0) core.push(performance.now() - began)
  }
  report('anvil find, process and all', median(core), 400)
}

/** Frames drawn in a second while a piece is turned by hand, without a graphics card. */
async function timeTurning() {
  const browser = await chromium.launch(BROWSER)
  for (const [what, path] of [
    ['ring', '/pieces/2'],
    ['dome', '/pieces/1'],
    ['plate with window', '/pieces/17'],
  ]) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.addInitScript(() => {
      window.frames3d = new Set()
      let tick = 0
      const count = () => {
        tick++
        requestAnimationFrame(count)
      }
      requestAnimationFrame(count)
      for (const name of ['drawArrays', 'drawElements']) {
        const draw = WebGL2RenderingContext.prototype[name]
        WebGL2RenderingContext.prototype[name] = function (...args) {
          window.frames3d.add(tick)
          return draw.apply(this, args)
        }
      }
    })
    await page.goto(`${base}${path}`)
    await page.getByRole('button', { name: '3D' }).click()
    const stage = page.getByRole('group', { name: /The piece in 3D/ })
    await stage.locator('canvas').waitFor()
    await page.waitForTimeout(1200)
    const { fps, width, height } = await stage.evaluate(async (element) => {
      const box = element.getBoundingClientRect()
      const send = (type, x) =>
        element.dispatchEvent(new PointerEvent(type, { bubbles: true, pointerId: 1, clientX: box.x + x, clientY: box.y + 100 }))
      element.setPointerCapture = () => undefined
      send('pointerdown', 100)
      let x = 100
      const before = window.frames3d.size
      const began = performance.now()
      while (performance.now() - began < 2500) {
        x += 3
        send('pointermove', x)
        await new Promise((resolve) => requestAnimationFrame(resolve))
      }
      send('pointerup', x)
      return { fps: (1000 * (window.frames3d.size - before)) / (performance.now() - began), width: box.width, height: box.height }
    })
    process.stdout.write(
      `${`turning a ${what}, ${Math.round(width)} by ${Math.round(height)} px, frames a second`.padEnd(58)} ${fps.toFixed(0).padStart(6)}      (asked: 25 or more)\n`,
    )
    await page.close()
  }
  await browser.close()
}

/** The pages of a workshop after ten years: 2,000 jobs, 4,000 trays, 100,000 pieces, 1,500,000 readings. */
async function timeLongUse() {
  const data = mkdtempSync(join(tmpdir(), 'fold-anvil-long-'))
  const env = {
    ...process.env,
    FOLD_ANVIL_OPEN: 'workshop',
    FOLD_ANVIL_DATA: data,
    PORT: String(PORT + 1),
    NEXT_TELEMETRY_DISABLED: '1',
    FOLD_ANVIL_WARM: '1',
  }
  await buildProgram('src/server/seed/long-use.ts', 'long-use')
  if (spawnSync('node', ['dist/long-use.mjs'], { env, stdio: 'inherit' }).status !== 0) return
  const server = await serve(env)
  // as when it was started before work: it has opened its own main pages by then
  await new Promise((resolve) => setTimeout(resolve, WARM_UP_MS))
  for (const path of [
    '/jobs',
    '/jobs?page=90',
    '/bench',
    '/bench/3990',
    '/bench/day',
    '/jobs/3/quote',
    '/book/lessons',
    '/api/find?q=order',
    '/book',
    '/book?lost=2',
    '/book/metals',
    '/pieces/2',
    '/pieces/2/record',
    '/pieces/2/route',
    '/layout/1',
    '/drawer',
    '/settings',
  ]) {
    const times = []
    let bytes = 0
    for (let n = 0; n < 7; n++) {
      const began = performance.now()
      const answer = await fetch(`http://127.0.0.1:${env.PORT}${path}`)
      if (!answer.ok) throw new Error(`${path} answered ${answer.status}`)
      bytes = (await answer.text()).length
      times.push(performance.now() - began)
    }
    report(`after ten years, page ${path}, ${Math.round(bytes / 1000)} kB of 500`, median(times.slice(1)), 150)
  }
  const kb = Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1])
  process.stdout.write(
    `${'after ten years, memory of the server'.padEnd(58)} ${(kb / 1024).toFixed(0).padStart(6)} MB   (asked: under 500)\n`,
  )
  server.kill()
}

/** Fifty days of 12 trays and 150 steps, three seconds each: how far over the lower bound, and how much better than first come. */
async function timeDays() {
  const { busyDays, firstCome, lowerBound, searchDay, worthOf } = await bundled(
    `export { busyDays } from './tests/support/random-day'; export { firstCome, searchDay } from './src/core/schedule/search'
    export { lowerBound } from './src/core/schedule/bound'; export { worthOf } from './src/core/schedule/decode'`,
  )
  const days = busyDays(50, 1000)
  const found = days.map((day, i) => {
    const began = performance.now()
    const { worth } = searchDay(day, i, { shouldStop: () => performance.now() - began > 3000 })
    return {
      over: worth.makespanMin / lowerBound(day).minutes - 1,
      better: 1 - worth.makespanMin / worthOf(day, firstCome(day)).makespanMin,
    }
  })
  const say = (what, values, asked) =>
    process.stdout.write(
      `${what.padEnd(58)} ${(100 * median(values)).toFixed(1).padStart(6)} %    (asked: ${asked}; worst ${(100 * Math.max(...values)).toFixed(1)} %)\n`,
    )
  say(
    `${days.length} days, over the lower bound, median`,
    found.map(({ over }) => over),
    'within 5 %',
  )
  say(
    'better than first come, median',
    found.map(({ better }) => better),
    '10 % or more',
  )
}

/** Starts the built program, and waits until it answers. */
async function serve(env) {
  const server = spawn('node', ['dist/server.mjs'], { env, stdio: 'ignore' })
  for (let n = 0; n < 100; n++) {
    try {
      await fetch(`http://127.0.0.1:${env.PORT}/settings`)
      return server
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 200))
    }
  }
  return server
}

/** The pages of the demonstration, of a large piece, and what a hand does in them. */
async function timeScreens() {
  const data = mkdtempSync(join(tmpdir(), 'fold-anvil-bench-'))
  const env = { ...process.env, FOLD_ANVIL_OPEN: 'demo', FOLD_ANVIL_DATA: data, PORT: String(PORT), NEXT_TELEMETRY_DISABLED: '1' }
  spawnSync('node', ['dist/seed.mjs'], { env })
  const large = growLargePiece(data)
  const server = await serve(env)
  await timePages()
  await timeLargePiece(large)
  await timeTyping()
  await timeMarking()
  await timeLookUp()
  await timeTurning()
  server.kill()
}

/** What is measured, by the flag that asks for it alone. */
const MEASURES = {
  '--forms': timeForms,
  '--routes': timeRoutes,
  '--metal': timeMetal,
  '--blanks': timeBlanks,
  '--layout': () => timeLayouts(bundled),
  '--days': timeDays,
  '--command': timeCommand,
  '--screens': timeScreens,
  '--long': timeLongUse,
}

const asked = Object.entries(MEASURES).filter(([flag]) => process.argv.includes(flag))
const measures = asked.length > 0 ? asked : Object.entries(MEASURES).filter(([flag]) => flag !== '--days')
for (const [, measure] of measures) await measure()
process.exit(0)
