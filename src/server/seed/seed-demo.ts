import { findForm } from '@/core/forms'
import { STAND_IN_CALIPERS } from '@/core/instruments'
import { findKit } from '@/core/kits'
import { packLayout } from '@/core/layout'
import type { BoughtTemper } from '@/core/metals'
import { type DesignStep, designFromKit, editsBetween, insertAnneal, onePart } from '@/core/piece'
import { findStartingSet, type ToolKind } from '@/core/toolwall'
import { designSchema, itemUid, type NewEntry, type NewJob, type Repositories } from '../db/repositories'
import { instanceOf } from '../services/cut-layout'
import { beginTray, replayLedger } from '../services/ledger'
import { freezePlan, frozenSubTrays, planDesign, planOptions, torchBookOf } from '../services/piece-plan'
import {
  BATHS,
  BROKEN_BLADES,
  JARS,
  JOBS,
  OLD_BANGLE_GROWTHS_MM,
  OLD_BUTTON_GROWTHS_MM,
  RING_GROWTHS_MM,
  SHEETS,
  STAMP_WIDTHS_MM,
  SWATCHES,
  TEMPLATES,
  WALL_MEASURED,
  WALL_SETS,
} from './demo-data'
import { KIT_PIECES } from './demo-kits'
import { withPlanned } from './planned-route'

const TOGETHER = new Set(['anneal', 'pickle'])

interface SeedPiece {
  readonly job: NewJob
  readonly name: string
  readonly quantity: number
  readonly spares: number
  readonly form: string
  readonly input: Readonly<Record<string, unknown>>
  readonly bought?: BoughtTemper
  /** What is struck on its blank. */
  readonly marks?: readonly unknown[]
}

function addPiece(to: Repositories, seed: SeedPiece): number {
  const jobId = to.jobs.jobs({ page: 1, size: 50 }).find((job) => job.title === seed.job.title)?.id ?? to.jobs.addJob(seed.job)
  const { form, input, bought = 'unknown', marks } = seed
  const plain = onePart({ form, inputVersion: findForm(form)?.inputVersion ?? 1, input, bought })
  const design = designSchema.parse(marks ? { ...plain, parts: plain.parts.map((part) => ({ ...part, marks })) } : plain)
  return to.jobs.addPiece({ jobId, name: seed.name, quantity: seed.quantity, spares: seed.spares, design })
}

/** A tray on the piece's plan as it stands. */
function addTray(to: Repositories, pieceId: number, size: number) {
  const piece = to.jobs.piece(pieceId)
  const options = planOptions(to)
  const plan = piece && planDesign(piece.design, options)
  if (!piece || !plan?.ok) throw new Error(`demonstration piece ${pieceId} has no plan: ${JSON.stringify(plan)}`)
  const frozen = freezePlan(piece, plan, torchBookOf(to, plan, options))
  if (!frozen) throw new Error(`demonstration piece ${pieceId} has open sizes`)
  const id = beginTray(to, pieceId, size, frozen)
  return { id, uid: to.trays.one(id)?.uid ?? '', frozen }
}

/** One entry of the bench, made at the railway's own bench. */
function log(
  to: Repositories,
  tray: ReturnType<typeof addTray>,
  instance: number | null,
  entry: Pick<NewEntry, 'kind' | 'stepId' | 'text' | 'reading'>,
): void {
  const at = new Date().toISOString()
  const [{ part }] = tray.frozen.parts
  const sequence = to.entries.count() + 1
  to.entries.add({
    ...entry,
    token: `seed-${tray.id}-${sequence}`,
    workshopUid: to.workshopRow().uid,
    device: 'lamp-room bench',
    sequence,
    trayId: tray.id,
    item: instance === null ? null : { uid: itemUid(tray.uid, part, instance), part, instance },
    at,
    receivedAt: at,
    reverses: null,
  })
}

/** Logs whole steps as done for a tray, up to but not including a step. */
function logSteps(to: Repositories, tray: ReturnType<typeof addTray>, size: number, upTo: number, skip: readonly number[] = []): void {
  for (const step of tray.frozen.steps.slice(0, upTo)) {
    const workpieces = TOGETHER.has(step.op) ? [null] : Array.from({ length: size }, (_, i) => i + 1).filter((n) => !skip.includes(n))
    for (const workpiece of workpieces) log(to, tray, workpiece, { kind: 'done', stepId: step.id })
  }
}

function addReadings(to: Repositories, tray: ReturnType<typeof addTray>, growthsMm: readonly number[]): void {
  const outcome = tray.frozen.parts[0].outcomes.find((item) => item.primary)
  const stepId = tray.frozen.steps.at(-1)?.id ?? ''
  growthsMm.forEach((growth, i) => {
    const valueMm = Number(((outcome?.valueMm ?? 0) + growth).toFixed(2))
    const dimension = outcome?.dimension ?? ''
    const reading = { dimension, valueMm, typed: String(valueMm), instrument: STAND_IN_CALIPERS, simulated: true }
    log(to, tray, i + 1, { kind: 'reading', stepId, reading })
  })
}

function finishedTray(to: Repositories, pieceId: number, growthsMm: readonly number[]): void {
  const tray = addTray(to, pieceId, growthsMm.length)
  logSteps(to, tray, growthsMm.length, tray.frozen.steps.length)
  addReadings(to, tray, growthsMm)
}

/** Hard sheet domed as it came, annealed before the rim is planished. */
function hardRoute(to: Repositories, pieceId: number): void {
  const piece = to.jobs.piece(pieceId)
  const options = planOptions(to)
  const plan = piece && planDesign(piece.design, options)
  if (!piece || !plan?.ok) return
  const cold = plan.steps.filter((step) => !TOGETHER.has(step.op))
  const planish: DesignStep = {
    id: 'planish+rim',
    op: 'planish',
    on: [{ thing: 'part-1' }],
    params: { thinnedFraction: 0.09, what: 'the rim' },
  }
  const steps = cold.flatMap((step) => (step.op === 'sand-flat' ? [planish, step] : [step]))
  const at = steps.findIndex((step) => step.op === 'planish')
  const route = insertAnneal(steps, at, (op) => ({ id: `${op}+rim`, op, on: [{ thing: 'part-1' }], params: {} }))
  to.jobs.revise(pieceId, { ...piece.design, route: editsBetween(plan.base, route) })
}

const WIRES = [
  { label: 'W-1', alloy: 'sterling-925', thicknessTyped: '13 ga', thicknessMm: 1.828, measuredMm: 1.82, lengthMm: 640, temper: 'annealed' },
  { label: 'W-2', alloy: 'copper-c110', thicknessTyped: '12 ga', thicknessMm: 2.053, measuredMm: null, lengthMm: 1150, temper: 'annealed' },
  { label: 'W-3', alloy: 'sterling-925', thicknessTyped: '16 ga', thicknessMm: 1.291, measuredMm: 1.29, lengthMm: 370, temper: 'annealed' },
  {
    label: 'W-4',
    alloy: 'sterling-925',
    thicknessTyped: '16 ga',
    thicknessMm: 1.291,
    measuredMm: null,
    lengthMm: 173,
    temper: 'half-hard',
  },
  { label: 'W-5', alloy: 'copper-c110', thicknessTyped: '16 ga', thicknessMm: 1.291, measuredMm: null, lengthMm: 610, temper: 'annealed' },
] as const

function seedDrawer(to: Repositories): void {
  for (const { outer, ...template } of TEMPLATES) to.templates.add({ ...template, outer, holes: [] })
  for (const { entries, ...bath } of BATHS) {
    const id = to.baths.add(bath)
    for (const entry of entries) to.baths.note(id, entry)
  }
  for (const swatch of SWATCHES) to.swatches.add(swatch)
  for (const { massG, ...metal } of JARS) to.jars.putIn(to.jars.forMetal(metal).id, metal, massG)
  for (const sheet of SHEETS) to.drawer.add({ ...sheet, kind: 'sheet', holes: [], lengthMm: null, acrossMm: null, parentId: null })
  for (const wire of WIRES) to.drawer.add({ ...wire, kind: 'wire', outer: null, holes: [], acrossMm: null, parentId: null })
  to.drawer.add({
    label: 'T-1',
    kind: 'tube',
    alloy: 'yellow-brass-c260',
    thicknessTyped: '0.6',
    thicknessMm: 0.6,
    measuredMm: null,
    outer: null,
    holes: [],
    lengthMm: 420,
    acrossMm: 7.4,
    temper: 'half-hard',
    parentId: null,
  })
}

/** The railway's wall: sets as bought, some measured, blades broken, a punch of which only the maker's label is known. */
function seedTools(to: Repositories): void {
  for (const id of WALL_SETS) for (const tool of findStartingSet(id)?.tools ?? []) to.tools.add(tool)
  const named = (kind: ToolKind, label: string) => to.tools.all().find((tool) => tool.kind === kind && tool.label === label)?.id ?? 0
  for (const [kind, label, measured] of WALL_MEASURED) to.tools.setMeasured(named(kind, label), measured)
  for (const [label, broken] of BROKEN_BLADES) to.tools.change(named('blade', label), -broken, 'broke')
  to.tools.add({ kind: 'punch', label: 'lamp-room punch C' })
  const mandrel = named('mandrel', 'ring mandrel, US 1 to 15')
  const marks = to.tools.one(mandrel)?.facts.marks ?? []
  to.tools.setFacts(mandrel, {
    marks: marks.map((mark, i) => ({ ...mark, diameterMm: Number((mark.diameterMm + 0.03 + 0.002 * i).toFixed(3)) })),
  })
  to.tools.setFacts(named('stamp', 'letters 2 mm'), { widths: STAMP_WIDTHS_MM })
}

function seedButtons(to: Repositories): void {
  const id = addPiece(to, {
    job: JOBS.buttons,
    name: 'Guard’s coat button',
    quantity: 24,
    spares: 2,
    form: 'dome',
    bought: 'hard',
    input: { widthMm: 23, heightMm: 7, measured: 'outside', alloy: 'red-brass-c230', thicknessMm: { typed: '21 ga', mm: 0.7229538 } },
  })
  finishedTray(to, id, OLD_BUTTON_GROWTHS_MM)
  hardRoute(to, id)
  const tray = addTray(to, id, 26)
  const due = tray.frozen.steps.findIndex((step) => step.op === 'anneal')
  logSteps(to, tray, 26, due)
}

function seedTokens(to: Repositories): void {
  const id = addPiece(to, {
    job: JOBS.tokens,
    name: 'Third-class token',
    quantity: 12,
    spares: 1,
    form: 'disc',
    bought: 'annealed',
    input: { diameterMm: 27, alloy: 'copper-c110', thicknessMm: { typed: '19 ga', mm: 0.9116 }, holeMm: 4 },
    marks: [
      { kind: 'letters', text: 'ORRIN VALE', heightMm: 2, line: { kind: 'circle', radiusMm: 9.4, middleDeg: 90, facing: 'outwards' } },
      {
        kind: 'letters',
        text: 'THIRD CLASS',
        heightMm: 2,
        spacingMm: 0.3,
        line: { kind: 'circle', radiusMm: 11.4, middleDeg: 270, facing: 'inwards' },
      },
      {
        kind: 'repeat',
        id: 'stars',
        widthMm: 1,
        stampCount: 24,
        line: { kind: 'circle', radiusMm: 6.6, middleDeg: 90, facing: 'outwards' },
      },
    ],
  })
  layOut(to, to.jobs.piece(id)?.jobId ?? 0, 'S-3', 0.3)
}

/** A layout of the demonstration is the first that is found: the same on every machine, and soon. */
const ATTEMPTS = 16

/** Lays a job's blanks on a sheet of the drawer. */
function layOut(to: Repositories, jobId: number, sheet: string, kerfMm: number): void {
  const sheetId = to.drawer.all().find((stock) => stock.label.startsWith(sheet))?.id ?? 0
  const instance = instanceOf(to, { jobId, sheetId, kerfMm, marginMm: 1 })
  if (!instance) return
  const { placements } = packLayout({ ...instance, iterations: ATTEMPTS }, { shouldStop: () => false, elapsedS: () => 0 })
  to.layouts.add({ jobId, sheetId, kerfMm, marginMm: 1, placements })
}

function seedBangles(to: Repositories): void {
  const id = addPiece(to, {
    job: JOBS.bangles,
    name: 'Lamp-room bangle',
    quantity: 4,
    spares: 0,
    form: 'bangle-plain',
    bought: 'quarter-hard',
    input: {
      insideDiameterMm: { typed: 'bangle 2-7', mm: 61.9125 },
      alloy: 'yellow-brass-c260',
      stock: 'strip',
      thicknessMm: { typed: '15 ga', mm: 1.4503 },
      widthMm: 9,
    },
  })
  finishedTray(to, id, OLD_BANGLE_GROWTHS_MM)
  const tray = addTray(to, id, 4)
  logSteps(to, tray, 4, tray.frozen.steps.findLastIndex((step) => step.op === 'pickle') + 1)
}

function seedFinial(to: Repositories): void {
  const id = addPiece(to, {
    job: JOBS.finial,
    name: 'Finial cup',
    quantity: 2,
    spares: 1,
    form: 'dome',
    bought: 'hard',
    input: { widthMm: 33, heightMm: 15, measured: 'outside', alloy: 'nickel-silver-c752', thicknessMm: { typed: '20 ga', mm: 0.8118 } },
  })
  const tray = addTray(to, id, 3)
  const third = tray.frozen.steps.findIndex((step) => step.op === 'dap') + 2
  logSteps(to, tray, 3, third, [])
  const stepId = tray.frozen.steps[third]?.id ?? ''
  log(to, tray, 1, { kind: 'loss', stepId, text: 'split at the rim: sheet was harder than thought' })
  log(to, tray, 2, { kind: 'note', stepId, text: 'felt stiff before the third punch' })
}

/** Pieces of other kinds, sized and not yet begun. */
function seedFittings(to: Repositories): void {
  const ga = (typed: string, mm: number) => ({ typed: `${typed} ga`, mm })
  const pieces: readonly SeedPiece[] = [
    {
      job: JOBS.plates,
      name: 'Coach shield 4072',
      quantity: 6,
      spares: 1,
      form: 'plate',
      input: {
        shape: 'shield',
        lengthMm: 58,
        widthMm: 46,
        alloy: 'yellow-brass-c260',
        thicknessMm: ga('19', 0.9116),
        holeMm: 2.1,
        holeCount: 2,
        holePitchMm: 31,
      },
    },
    {
      job: JOBS.plates,
      name: 'Signal glass in its tabs',
      quantity: 6,
      spares: 0,
      form: 'tab-setting',
      input: {
        stoneLengthMm: 26,
        stoneWidthMm: 19,
        edgeMm: 3.4,
        slopeMm: 0.8,
        alloy: 'red-brass-c230',
        thicknessMm: ga('23', 0.5733),
        tabCount: 6,
        windowMm: 11,
      },
    },
    {
      job: JOBS.plates,
      name: 'Plate rivet',
      quantity: 12,
      spares: 3,
      form: 'rivet-wire',
      input: { thicknessMm: ga('12', 2.0525), alloy: 'copper-c110', upperMm: 0.91, lowerMm: 1.29, holeMm: 2.1, edgeMm: 5 },
    },
    {
      job: JOBS.whistle,
      name: 'Chain strip',
      quantity: 1,
      spares: 0,
      form: 'strip-links',
      bought: 'annealed',
      input: { linkMm: 19, widthMm: 6, linkCount: 26, stripCount: 2, alloy: 'nickel-silver-c752', thicknessMm: ga('20', 0.8118) },
    },
    {
      job: JOBS.whistle,
      name: 'Joining rings',
      quantity: 1,
      spares: 0,
      form: 'jump-rings',
      input: { insideMm: 6.4, alloy: 'nickel-silver-c752', thicknessMm: ga('15', 1.4503), ringCount: 27, spareCount: 3 },
    },
    {
      job: JOBS.lantern,
      name: 'Shade',
      quantity: 2,
      spares: 0,
      form: 'cone',
      input: { largeMm: 112, smallMm: 47, heightMm: 66, alloy: 'copper-c110', thicknessMm: 0.3, jointAllowanceMm: 4 },
    },
    {
      job: JOBS.lantern,
      name: 'Shade, variant',
      quantity: 2,
      spares: 0,
      form: 'cone',
      input: { largeMm: 112, smallMm: 38, heightMm: 81, alloy: 'copper-c110', thicknessMm: ga('28', 0.3211), jointAllowanceMm: 4 },
    },
    {
      job: JOBS.lantern,
      name: 'Star over the chimney',
      quantity: 2,
      spares: 0,
      form: 'fold-star',
      input: { sheet: 'eight', reachMm: 33, alloy: 'copper-c110', thicknessMm: 0.3 },
    },
    {
      job: JOBS.belts,
      name: 'Belt buckle',
      quantity: 8,
      spares: 0,
      form: 'buckle',
      input: { strapMm: 28, windowMm: 11, frameMm: 5.5, alloy: 'nickel-silver-c752', thicknessMm: ga('13', 1.8278), cornerMm: 5 },
    },
    {
      job: JOBS.belts,
      name: 'Belt loop',
      quantity: 8,
      spares: 1,
      form: 'strap-loop',
      input: { strapMm: 28, leatherMm: 3.2, alloy: 'nickel-silver-c752', thicknessMm: ga('20', 0.8118), widthMm: 7 },
    },
    {
      job: JOBS.tags,
      name: 'Tag',
      quantity: 20,
      spares: 2,
      form: 'plate',
      input: {
        shape: 'free',
        corners: '0 0; 46 0; 58 8; 58 24; 46 32; 0 32',
        lengthMm: 64,
        widthMm: 34,
        cornerMm: 2.5,
        alloy: 'yellow-brass-c260',
        thicknessMm: ga('19', 0.9116),
        window: 'slot',
        windowLengthMm: 5,
        windowWidthMm: 16,
      },
    },
  ]
  const ids = new Map(pieces.map((piece) => [piece.name, addPiece(to, piece)]))
  layOut(to, to.jobs.piece(ids.get('Tag') ?? 0)?.jobId ?? 0, 'B-1', 0.25)
}

/** The kit of which a tray is at the bench: its bezel ready, its plate not begun. */
const AT_THE_BENCH = 'bezel-pendant-balls'

/** A tray of several parts, the first of which has been worked until it meets the next. */
function seedSubTrays(to: Repositories, pieceId: number, size: number): void {
  const tray = addTray(to, pieceId, size)
  const [main] = tray.frozen.parts
  const alone = [...frozenSubTrays(tray.frozen).values()].findLastIndex((subTray) => subTray.join() === main.part)
  logSteps(to, tray, size, alone + 1)
}

/** A piece of each kit there is. */
function seedKits(to: Repositories): void {
  const jobId = to.jobs.addJob(JOBS.fittings)
  for (const { kit: id, name, quantity, inputs, marks, etch, surface } of KIT_PIECES) {
    const kit = findKit(id)
    if (!kit) throw new Error(`no kit ${id}`)
    const open = designFromKit(kit)
    const parts = open.parts.map((part) => ({
      ...part,
      input: { ...part.input, ...inputs[part.id] },
      ...(marks?.[part.id] ? { marks: marks[part.id] } : {}),
      ...(etch?.[part.id] ? { etch: etch[part.id] } : {}),
      ...(surface?.[part.id] ? { surface: surface[part.id] } : {}),
    }))
    const design = designSchema.parse({ ...open, parts })
    const pieceId = to.jobs.addPiece({ jobId, name, quantity, spares: 0, design: withPlanned(to, design) })
    if (id === AT_THE_BENCH) seedSubTrays(to, pieceId, quantity)
  }
}

/** Fills an empty database with the railway's workshop, jobs at every stage. */
export function seedDemo(to: Repositories): void {
  to.transaction(() => {
    to.markDemonstration()
    to.settings.write({
      workshopName: 'Orrin Vale night mail',
      defaultAlloy: 'red-brass-c230',
      scaleCheck: { knownG: 50, readG: 50.01, at: new Date().toISOString() },
    })
    seedDrawer(to)
    seedTools(to)
    seedButtons(to)
    const ring = addPiece(to, {
      job: JOBS.rings,
      name: 'Thirty-year ring',
      quantity: 6,
      spares: 0,
      form: 'ring-band',
      bought: 'annealed',
      input: {
        insideDiameterMm: { typed: 'US 9 1/4', mm: 19.1516 },
        alloy: 'sterling-925',
        stock: 'strip',
        thicknessMm: { typed: '17 ga', mm: 1.1495 },
        widthMm: 3.5,
      },
    })
    finishedTray(to, ring, RING_GROWTHS_MM)
    seedTokens(to)
    seedBangles(to)
    addPiece(to, {
      job: JOBS.keyholes,
      name: 'Keyhole cover',
      quantity: 8,
      spares: 1,
      form: 'disc',
      bought: 'hard',
      input: { diameterMm: 31.5, alloy: 'nickel-silver-c752', thicknessMm: { typed: '20 ga', mm: 0.8118 }, holeMm: 5.5, edge: 'rounded' },
    })
    seedFinial(to)
    seedFittings(to)
    seedKits(to)
    replayLedger(to)
  })
}
