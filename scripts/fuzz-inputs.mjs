import { spawnSync } from 'node:child_process'

/** A stream of numbers from a seed: the same seed asks the same things. */
function stream(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = state
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

const TEXTS = [
  '',
  ' ',
  '0',
  '-1',
  '0/0',
  '1/0',
  '4/0',
  '2-4',
  'N',
  'size 6',
  '1,000',
  '12,500.5',
  '0x10',
  '1e400',
  '1e-400',
  'NaN',
  'Infinity',
  '∞',
  '½',
  '5/16 in',
  '20 ga',
  'null',
  'undefined',
  'true',
  '__proto__',
  'constructor',
  'toString',
  '../../etc/passwd',
  '%ff',
  '<script>',
  "'; DROP TABLE jobs; --",
  '\u0000',
  '\ud800',
  '🜚',
  'é'.repeat(300),
  '9'.repeat(400),
  'a'.repeat(3000),
  '1 '.repeat(200),
  '−5',
  '--',
  '..',
  '#55',
  '1-1/4"',
  'bangle 2-6',
  'US 99',
  'ISO -4',
  '12mm mm',
  '2027-02-31',
]
const NUMBERS = [0, -0, -1, 1, 0.5, 1e-300, 5e-324, 1e300, 1.7976931348623157e308, 2 ** 53, -(2 ** 31), 4711, 0.1 + 0.2, 360, 1e9]
const NAMES = ['__proto__', 'constructor', 'toString', 'hasOwnProperty', 'id', 'steps', 'outer', 'a.b', '']

function makers(random) {
  const pick = (list) => list[Math.floor(random() * list.length)]
  const value = (depth = 0) => {
    const kind = random()
    if (kind < 0.34) return pick(TEXTS)
    if (kind < 0.6) return pick(NUMBERS)
    if (kind < 0.7) return pick([null, true, false])
    if (depth > 3) return pick(NUMBERS)
    if (kind < 0.85) return Array.from({ length: Math.floor(random() * 5) }, () => value(depth + 1))
    return Object.fromEntries(
      Array.from({ length: Math.floor(random() * 5) }, () => [random() < 0.5 ? pick(NAMES) : pick(TEXTS), value(depth + 1)]),
    )
  }
  /** An input that was good, with something in it spoilt. */
  const spoilt = (good) => {
    if (random() < 0.05 || typeof good !== 'object' || good === null) return value()
    if (Array.isArray(good))
      return good.length === 0 || random() < 0.3 ? [...good, value()] : good.map((item) => (random() < 0.4 ? spoilt(item) : item))
    const keys = Object.keys(good)
    const copy = { ...good }
    const how = random()
    if (how < 0.12) copy[pick(NAMES)] = value()
    else if (how < 0.24) delete copy[pick(keys)]
    else {
      const key = pick(keys)
      copy[key] = random() < 0.6 ? value() : spoilt(copy[key])
    }
    return copy
  }
  return { pick, value, spoilt }
}

const square = (mm) => [
  [0, 0],
  [mm, 0],
  [mm, mm],
  [0, mm],
]

/** What each interface takes when it is asked well; the forms and advisers tell their own examples. */
async function interfaces(base) {
  const [forms, advisers, tray] = await Promise.all(
    ['forms', 'advisers', 'trays/2/entries'].map(async (path) => (await fetch(`${base}/api/v1/${path}`)).json()),
  )
  const entry = {
    workshop: tray.workshop,
    token: 'fuzz-token-0',
    device: 'fuzz',
    sequence: 1,
    tray: tray.tray,
    item: `${tray.tray}/part-1/1`,
    step: 'saw',
    kind: 'note',
    at: '2027-01-01T00:00:00.000Z',
    sentAt: '2027-01-01T00:00:00.000Z',
    text: 'x',
    instrument: 'typed',
    reverses: null,
  }
  const act = (name, input) => [`/api/act/${name}`, { workshop: tray.workshop, revision: 1, input }]
  const design = {
    parts: [{ id: 'part-1', form: 'disc', inputVersion: 1, input: { diameterMm: 20 } }],
    bought: 'hard',
    route: { removed: [], placed: [], changed: [] },
  }
  return [
    ...forms.map((form) => [`/api/v1/calc/${form.id}`, form.example]),
    ...advisers.map((adviser) => [`/api/v1/advise/${adviser.id}`, adviser.example]),
    ['/api/v1/convert', { text: '5/16 in' }],
    ['/api/v1/find', { text: '#60' }],
    ['/api/v1/table', { id: 'gauge-bs' }],
    ...['route', 'joints'].map((command) => [
      `/api/v1/${command}`,
      {
        parts: [
          { id: 'a', alloy: 'copper-c110', thicknessMm: 1, massG: 5 },
          { id: 'b', bought: 'hard' },
        ],
        others: [{ id: 's', kind: 'stone', standsC: 60 }],
        joints: [{ id: 'j', kind: 'tee', members: ['a.foot', { thing: 'b', place: 'face' }], solder: 'hard-75', lengthMm: 20 }],
        schools: { S14: 'B' },
        steps: [
          { op: 'saw', on: ['a'], params: { what: 'rough' } },
          { op: 'solder', on: 'j', held: ['j'], overrides: [{ rule: 'P10', reason: 'as it is' }] },
        ],
      },
    ]),
    [
      '/api/v1/temper',
      { alloy: 'sterling-925', thicknessMm: 1, bought: 'annealed', regions: ['a'], steps: [{ op: 'anneal', params: { timeS: 60 } }] },
    ],
    [
      '/api/v1/layout',
      {
        kerfMm: 0.3,
        marginMm: 1,
        seconds: 0.2,
        sheets: [{ id: 's', outer: square(40), holes: [square(3)], taken: [] }],
        items: [
          { id: 'a', qty: 2, outer: square(9), holes: [], rotations: [0, 90] },
          { id: 'c', qty: 1, circle: { radiusMm: 4 } },
        ],
      },
    ],
    ['/api/v1/entries', entry],
    ['/api/v1/entries', { ...entry, kind: 'reading', dimension: 'heightMm', value: '7.1' }],
    ['/api/v1/entries', { ...entry, kind: 'reversal', reverses: 'fuzz-token-0' }],
    act('saveJob', { title: 'x', customer: '', dueOn: null, status: 'asked', note: '' }),
    act('addPiece', { name: 'x', form: 'disc', quantity: 1, spares: 0, input: { diameterMm: 20 } }),
    act('saveDesign', { pieceId: 1, design }),
    act('moveRevision', { pieceId: 1, way: 'undo' }),
    act('duplicatePiece', { pieceId: 1 }),
    act('describePiece', { pieceId: 1, name: 'x', quantity: 1, spares: 0 }),
    act('startTray', { pieceId: 2, size: 2 }),
    act('addStock', { kind: 'sheet', alloy: 'copper-c110', thickness: '1', width: '40', length: '50', measured: '', temper: 'hard' }),
    act('measureStock', { id: 1, typed: '0.7' }),
    act('saveLayout', {
      jobId: 3,
      sheetId: 3,
      kerfMm: 0.3,
      marginMm: 1,
      placements: [{ id: 'x', copy: 0, sheet: '3', x: 1, y: 1, rotationDeg: 0 }],
    }),
    act('cutLayout', { id: 1 }),
    act('putBackCut', { id: 1 }),
    act('saveSettings', { workshopName: 'x', units: 'mm', kerfMm: 0.2, figures: { 'price-copper-c110': 1 } }),
    act('keepFigure', { id: 'price-copper-c110', typed: '1' }),
    act('addTool', { kind: 'drill', label: 'x', size: '1', measured: '', count: '1', facts: {} }),
    act('addStartingSets', { ids: ['hammers'] }),
    act('measureTool', { id: 1, typed: '1' }),
    act('countTool', { id: 1, change: 1, reason: 'bought' }),
    act('markMandrel', { id: 1, mark: 'US 7', typed: '17' }),
    act('measureStamp', { id: 1, character: 'A', typed: '2' }),
    act('takeToolDown', { id: 1 }),
    act('sendAwayDevice', { id: 'x' }),
    act('restoreBackup', { file: 'x', shownLastAt: null }),
  ]
}

/** Addresses that only give: with nonsense in their places. */
const READS = [
  '/pieces/@',
  '/pieces/@/route',
  '/pieces/@/record',
  '/pieces/@/compare?with=@',
  '/bench/@',
  '/bench?page=@',
  '/jobs?page=@',
  '/jobs?job=@',
  '/book?page=@&lost=@',
  '/layout/@',
  '/tables?q=@',
  '/tables/advice/@',
  '/api/v1/tables/@',
  '/api/v1/trays/@/entries',
  '/api/layouts/@/svg',
  '/api/layouts/@/print?paper=@',
  '/api/pieces/@/card',
  '/api/tables/@/csv',
  '/api/tables/@/card',
  '/api/backups/@',
  '/settings?restored=@',
  '/@',
]

const ENCODINGS = [
  (text) => encodeURIComponent(text.isWellFormed?.() === false ? 'x' : text),
  (text) => text.replace(/[^\x21-\x7e]/g, ''),
  () => '%ff',
  () => '%00',
]

/** A number that is none, in an answer that says it is one. */
const HAS_NAN = /:(NaN|-?Infinity)|"(value|mm|massG|areaMm2|markAt)":null/

/** Asks the program at `base` `count` times; gives every answer that is a fault: 5xx, none, later than two seconds, or no number. */
export async function fuzz({ base, count, seed, hangMs = 2000, alive, atOnce = 4 }) {
  const random = stream(seed)
  const { pick, value, spoilt } = makers(random)
  const all = await interfaces(base)
  const tally = { asked: 0, refused: 0, answered: 0, slowestMs: 0, faults: [] }
  const ask = async (path, init) => {
    const began = performance.now()
    const fault = (why) => tally.faults.push({ why, path: path.slice(0, 200), body: init?.body?.slice(0, 400) })
    try {
      const response = await fetch(base + path, { redirect: 'manual', signal: AbortSignal.timeout(Math.max(10_000, hangMs)), ...init })
      const text = await response.text()
      const ms = performance.now() - began
      tally.slowestMs = Math.max(tally.slowestMs, ms)
      if (response.status >= 500) fault(`status ${response.status}: ${text.slice(0, 200)}`)
      else if (ms > hangMs) fault(`took ${ms.toFixed(0)} ms`)
      else if (init && response.ok && HAS_NAN.test(text)) fault(`no number: ${HAS_NAN.exec(text)?.[0]} in ${text.slice(0, 200)}`)
      else if (/"message":("|null|undefined)"?[,}]/.test(text)) fault(`says nothing: ${text.slice(0, 200)}`)
      if (response.ok && !text.startsWith('{"ok":false')) tally.answered++
      else tally.refused++
    } catch (error) {
      fault(`no answer: ${error instanceof Error ? error.message : error}`)
    }
  }
  const one = async () => {
    tally.asked++
    if (random() < 0.06) {
      const path = pick(READS).replaceAll('@', () => pick(ENCODINGS)(random() < 0.5 ? pick(TEXTS) : String(pick(NUMBERS))))
      return ask(path)
    }
    const [path, good] = pick(all)
    let input = spoilt(good)
    if (random() < 0.3) input = spoilt(input)
    if (path.startsWith('/api/act/') && random() < 0.8) input = { ...good, input: spoilt(good.input) }
    let body = JSON.stringify(input) ?? 'undefined'
    const how = random()
    if (how < 0.02) body = body.slice(0, Math.floor(random() * body.length))
    else if (how < 0.03) body = `${'['.repeat(3000)}${']'.repeat(3000)}`
    else if (how < 0.04) body = JSON.stringify(value())
    return ask(random() < 0.02 ? `${path}${pick(TEXTS).replace(/[^\w/]/g, '')}` : path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body,
    })
  }
  const workers = Array.from({ length: atOnce }, async () => {
    while (tally.asked < count && alive()) await one()
  })
  await Promise.all(workers)
  if (!alive()) tally.faults.push({ why: 'the program ended' })
  fuzzCommands(random, pick, tally, { count: Math.min(60, Math.ceil(count / 1000)), hangMs: Math.max(5000, hangMs) })
  return tally
}

/** The command line with nonsense: it answers in JSON and ends with 0 or 2. */
function fuzzCommands(random, pick, tally, { count, hangMs }) {
  const commands = [
    'calc',
    'convert',
    'find',
    'table',
    'advise',
    'layout',
    'temper',
    'route',
    'joints',
    'forms',
    'constructor',
    '__proto__',
    '',
  ]
  for (let n = 0; n < count; n++) {
    const args = [pick(commands), ...(random() < 0.8 ? [pick(TEXTS)] : []), ...(random() < 0.6 ? [pick(TEXTS)] : [])].map((text) =>
      text.replaceAll('\u0000', ''),
    )
    const done = spawnSync('node', ['dist/anvil.mjs', ...args], { input: '', timeout: hangMs })
    tally.asked++
    let isJson = true
    try {
      JSON.parse(done.stdout.toString())
    } catch {
      isJson = false
    }
    if (!isJson || (done.status !== 0 && done.status !== 2))
      tally.faults.push({ why: `exit ${done.status}, ${isJson ? 'JSON' : 'no JSON'}`, path: args.join(' ').slice(0, 200) })
    else tally[done.status === 0 ? 'answered' : 'refused']++
  }
}
