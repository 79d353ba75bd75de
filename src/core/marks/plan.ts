import type { Check } from '../forms/contract'
import { centreFromChords } from '../geometry/centre'
import { signedAreaMm2 } from '../geometry/outline'
import { boundsOf, type Outline, type Point } from '../geometry/point'
import { capitalised, formatPlain } from '../units/format'
import { derive, given, note, type WorkingLog, type WorkingStep } from '../working/derive'
import { type FormedMark, formedFace, formedMark } from './formed'
import { markGrowth } from './growth'
import { letters, setOf } from './lettering'
import { type Face, placeChecks } from './mark-checks'
import { mapped } from './pattern-map'
import { fromTheMiddle, type PlacedMark, type Unordered } from './placed'
import { border, hallmarks } from './repeats'
import type { Mark, MarksInput } from './schema'
import { strikeChecks } from './strike-checks'
import { textChecks } from './text-checks'

/** A line of marks: how long it is, what room it has, and what stands between its marks. */
export interface MarkLineAnswer {
  readonly mark: number
  readonly text: string
  readonly count: number
  readonly lengthMm: number
  readonly roomMm?: number
  readonly pitchMm?: number
  readonly leftOverMm?: number
  readonly mmPerUnit?: number
}

export interface MarksAnswer {
  /** Every blow in the order in which they are struck. */
  readonly marks: readonly PlacedMark[]
  readonly lines: readonly MarkLineAnswer[]
  /** By how much the blank grows, % of each length, to within a factor of two. */
  readonly growsPercent?: number
  /** Each blow’s mark once the blank is formed, in the same order. */
  readonly formed?: readonly FormedMark[]
  /** The centre found from points or chords of an edge, and the radius to each of their ends. */
  readonly centre?: { readonly at: Point; readonly radiusMm: number }
  readonly checks: readonly Check[]
  readonly working: readonly WorkingStep[]
}

/** A blank as a face of it is seen: the back is the front turned over, left and right changed, in the same box. */
export function faceOf({ outer, holes }: Face, face: 'front' | 'back'): Face {
  if (face === 'front') return { outer, holes }
  const { minX, maxX } = boundsOf(outer)
  const turned = (ring: Outline): Outline => ring.map(([x, y]): Point => [minX + maxX - x, y]).reverse()
  return { outer: turned(outer), holes: holes.map(turned) }
}

/** What one mark comes to: its blows in their order, its lines, and what is said of it. */
interface Laid {
  readonly blows: readonly Unordered[]
  readonly lines: readonly Omit<MarkLineAnswer, 'mark'>[]
  /** Worked out when it is asked for: what is drawn does not wait for it. */
  readonly checks: () => readonly Check[]
}

const silent = () => []

const faulty = (message: string): Laid => ({
  blows: [],
  lines: [],
  checks: () => [{ level: 'stop', code: 'no-line', source: 'closed-form', message: `${capitalised(message)}.` }],
})

function layLetters(mark: Extract<Mark, { kind: 'letters' }>, face: Face, input: MarksInput, log: WorkingLog): Laid {
  const set = setOf(input.owned, mark.heightMm)
  const widths = set?.facts?.widths ?? {}
  const laid = letters(face.outer, mark, widths)
  if ('fault' in laid) return faulty(laid.fault)
  const isOwn = Object.keys(widths).length > 0
  for (const row of laid.rows)
    note(log, {
      kind: 'lookup',
      label: `Length of “${row.text}”`,
      formula: 'sum of what each character takes',
      value: row.lengthMm,
      unit: 'mm',
      source: isOwn ? 'own-choice' : 'house-default',
      note: isOwn ? `widths measured on ${set?.label}` : 'shares of the letter height; stamp an alphabet and measure your own',
    })
  return {
    blows: laid.rows.flatMap(({ marks }) => fromTheMiddle(marks.length).map((i) => marks[i] as Unordered)),
    lines: laid.rows.map(({ text, lengthMm, roomMm, marks }) => ({ text, count: marks.length, lengthMm, roomMm })),
    checks: () => textChecks(laid.rows, face.outer, mark, widths, input.owned),
  }
}

function layBorder(mark: Extract<Mark, { kind: 'repeat' | 'holes' }>, face: Face, log: WorkingLog): Laid {
  const laid = border(face.outer, mark)
  if ('fault' in laid) return faulty(laid.fault)
  const { marks, pitchMm, leftOverMm } = laid
  const lengthMm = pitchMm * marks.length + leftOverMm
  if (mark.by === 'length')
    derive(log, {
      label: `Pitch of ${mark.id ?? 'the border'}`,
      formula: '(L − r) / n',
      given: [given('L', 'length of the line', lengthMm), given('r', 'left over', leftOverMm), given('n', 'stamps', marks.length, 'count')],
      unit: 'mm',
      source: 'closed-form',
    })
  const left: Check[] =
    mark.pitchMm !== undefined && leftOverMm > 1e-6
      ? [
          {
            level: 'note',
            code: 'left-over',
            field: 'pitchMm',
            actual: { value: leftOverMm, unit: 'mm' },
            source: 'closed-form',
            message: `${marks.length} ${mark.kind === 'holes' ? 'holes' : 'stamps'} leave ${formatPlain(leftOverMm, 2)} mm over; a pitch of ${formatPlain(lengthMm / marks.length, 3)} mm closes with ${marks.length}, one of ${formatPlain(lengthMm / (marks.length + 1), 3)} mm with ${marks.length + 1}.`,
          },
        ]
      : []
  return { blows: marks, lines: [{ text: mark.id ?? 'border', count: marks.length, lengthMm, pitchMm, leftOverMm }], checks: () => left }
}

function layMap(mark: Extract<Mark, { kind: 'map' }>, face: Face, log: WorkingLog): Laid {
  const laid = mapped(face.outer, mark)
  if ('fault' in laid) return faulty(laid.fault)
  note(log, {
    kind: 'solve',
    label: `Scale of ${mark.id ?? 'the map'}`,
    formula: 'the largest at which every dot keeps the margin',
    value: laid.mmPerUnit,
    unit: 'mm',
    source: 'closed-form',
    note: 'mm for one unit of the map',
  })
  return {
    blows: laid.marks,
    lines: [{ text: mark.id ?? 'map', count: laid.marks.length, lengthMm: 0, mmPerUnit: laid.mmPerUnit }],
    checks: silent,
  }
}

function lay(mark: Mark, face: Face, input: MarksInput, log: WorkingLog): Laid {
  switch (mark.kind) {
    case 'letters':
      return layLetters(mark, face, input, log)
    case 'repeat':
    case 'holes':
      return layBorder(mark, face, log)
    case 'map':
      return layMap(mark, face, log)
    case 'hallmark': {
      const blows = hallmarks(face.outer, mark)
      const first = blows[0] as Unordered
      const last = blows[blows.length - 1] as Unordered
      const lengthMm = Math.hypot(last.x - first.x, last.y - first.y) + (first.widthMm + last.widthMm) / 2
      return { blows, lines: [{ text: mark.id ?? 'hallmark', count: blows.length, lengthMm }], checks: silent }
    }
    case 'stamp':
      return {
        blows: [
          {
            kind: 'stamp',
            text: mark.id ?? 'stamp',
            index: 0,
            x: mark.at[0],
            y: mark.at[1],
            turnDeg: mark.angleDeg,
            widthMm: mark.widthMm,
            heightMm: mark.heightMm ?? mark.widthMm,
          },
        ],
        lines: [],
        checks: silent,
      }
  }
}

/** What becomes of the marks when the blank is formed; a check where that cannot be said. */
function formedMarks(
  input: MarksInput,
  marks: readonly PlacedMark[],
  faces: Readonly<Record<'front' | 'back', Face>>,
): { readonly found?: readonly FormedMark[]; readonly checks: readonly Check[] } {
  const { after } = input
  if (!after) return { checks: [] }
  const areaMm2 = Math.abs(signedAreaMm2(input.outer))
  const ways = {
    front: formedFace({ outer: faces.front.outer, areaMm2 }, input, after, 'front'),
    back: formedFace({ outer: faces.back.outer, areaMm2 }, input, after, 'back'),
  }
  const found: FormedMark[] = []
  for (const mark of marks) {
    const way = ways[mark.face]
    if ('fault' in way)
      return {
        checks: [
          {
            level: 'warn',
            code: 'not-followed',
            field: 'after',
            source: 'closed-form',
            message: `${capitalised(way.fault)}.`,
          },
        ],
      }
    found.push(formedMark(mark, way))
  }
  return { found, checks: [] }
}

/** The centre from three points of an edge, or from two chords; a check where those say none, or not the same. */
function centreOf(
  { centreOf: from }: MarksInput,
  log: WorkingLog,
): { readonly found?: MarksAnswer['centre']; readonly checks: readonly Check[] } {
  if (!from) return { checks: [] }
  const chords =
    'points' in from
      ? ([
          [from.points[0], from.points[1]],
          [from.points[1], from.points[2]],
        ] as const)
      : from.chords
  const at = centreFromChords(chords[0], chords[1])
  const source = 'closed-form' as const
  if (!at)
    return {
      checks: [
        {
          level: 'stop',
          code: 'no-centre',
          field: 'centreOf',
          source,
          message: 'These lie in one line, or run alike: take them a quarter of the way round from each other.',
        },
      ],
    }
  const radii = chords.flat().map(([x, y]) => Math.hypot(x - at[0], y - at[1]))
  const [least, most] = [Math.min(...radii), Math.max(...radii)]
  const radiusMm = note(log, {
    kind: 'solve',
    label: 'Radius about the centre',
    formula: 'where the lines square to both chords through their middles meet',
    value: (least + most) / 2,
    unit: 'mm',
    source,
  })
  const isRound = most - least <= UNROUND_MM
  return {
    found: { at, radiusMm },
    checks: isRound
      ? []
      : [
          {
            level: 'warn',
            code: 'not-round',
            field: 'centreOf',
            actual: { value: most - least, unit: 'mm' },
            limit: { value: UNROUND_MM, unit: 'mm' },
            source: 'house-default',
            message: `The ends are ${formatPlain(least, 2)} to ${formatPlain(most, 2)} mm from it: the edge is not round, or a chord was not drawn edge to edge.`,
          },
        ],
  }
}
/** Ends of two chords this much nearer or further from the centre belong to no one circle. */
const UNROUND_MM = 0.3

/** Marks laid on a blank: where every blow goes and in which order, before anything is said of it. */
export interface LaidMarks {
  readonly input: MarksInput
  readonly faces: Readonly<Record<'front' | 'back', Face>>
  readonly marks: MarksAnswer['marks']
  readonly lines: MarksAnswer['lines']
  readonly checks: readonly Laid['checks'][]
  readonly working: readonly WorkingStep[]
}

/** Where every blow goes on a blank, and in which order: all that its drawing needs. Sizes in mm, turns in degrees counter-clockwise. */
export function layMarks(input: MarksInput): LaidMarks {
  const working: WorkingLog = []
  const faces = { front: faceOf(input, 'front'), back: faceOf(input, 'back') }
  const laid = input.marks.map((mark) => lay(mark, faces[mark.face], input, working))
  const marks = laid
    .flatMap(({ blows }, i) => blows.map((blow) => ({ ...blow, mark: i, face: (input.marks[i] as Mark).face })))
    .map((blow, i): PlacedMark => ({ ...blow, order: i + 1 }))
  const lines = laid.flatMap(({ lines: own }, mark) => own.map((line) => ({ mark, ...line })))
  return { input, faces, marks, lines, checks: laid.map(({ checks }) => checks), working }
}

/** What becomes of marks that were laid, and what stands against them. */
export function checkedMarks({ input, faces, marks, lines, checks, working }: LaidMarks): MarksAnswer {
  const log: WorkingLog = [...working]
  const centre = centreOf(input, log)
  const formed = formedMarks(input, marks, faces)
  const growsPercent = markGrowth(marks, input, input.thicknessMm, log)
  return {
    marks,
    lines,
    ...(growsPercent === undefined ? {} : { growsPercent }),
    ...(formed.found ? { formed: formed.found } : {}),
    ...(centre.found ? { centre: centre.found } : {}),
    checks: [
      ...centre.checks,
      ...formed.checks,
      ...checks.flatMap((told) => told()),
      ...placeChecks(marks, (mark) => faces[mark.face], input.figures),
      ...strikeChecks(marks),
    ],
    working: log,
  }
}

/** Where every blow goes on a blank, in which order, and what stands against it. Sizes in mm, turns in degrees counter-clockwise. */
export const markPlan = (input: MarksInput): MarksAnswer => checkedMarks(layMarks(input))
