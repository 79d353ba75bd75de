import * as z from 'zod'
import { cutAlong } from '../../../drawing/cut'
import type { DrawingView } from '../../../drawing/drawing'
import { spreadWidthMm } from '../../../forming/schedules'
import { rectangleOutline } from '../../../geometry/outline'
import type { Bench } from '../../../toolwall/tools'
import { count, lengthMm } from '../../../units/fields'
import { formatPlain } from '../../../units/format'
import { derive, given, type WorkingLog } from '../../../working/derive'
import { bentView } from '../../common/bent-part'
import { closingFields, commonFields, type OutputOf } from '../../common/fields'
import {
  answerOf,
  asked,
  completePlan,
  hazardNotes,
  limitCheck,
  region,
  schoolChoice,
  sheetBlank,
  targetOf,
  view,
} from '../../common/plan-kit'
import type { Answer, Check, FormPlan, OutcomeSpec } from '../../contract'
import { defineForm, schoolsField } from '../../define-form'

const CUT_TEXTS = {
  sawn: { title: 'Sawn apart', why: 'Each cut takes the kerf of the blade: one less than there are links.' },
  sheared: { title: 'Sheared apart', why: 'Shears take nothing away; the ends are bent a little and want filing.' },
} as const
type School = keyof typeof CUT_TEXTS

const input = () =>
  z
    .strictObject({
      linkMm: lengthMm({ label: 'Link length', min: 2, max: 120, help: 'Finished: over its curled ends, where they are curled.' }),
      widthMm: lengthMm({ label: 'Link width', min: 1, max: 60 }).default(5),
      eyeMm: lengthMm({
        label: 'Curled ends, inside',
        min: 0,
        max: 40,
        help: 'Both ends curl into an eye; 0 where links stay flat.',
      }).default(0),
      gapMm: lengthMm({ label: 'Gap left in an eye', min: 0, max: 20, help: 'For the joining ring to go in; it is closed last.' }).default(
        1.5,
      ),
      linkCount: count({ label: 'Links', min: 1, max: 500 }).default(12),
      stripCount: count({ label: 'Strips', min: 1, max: 50, help: 'Over how many strips they are spread.' }).default(1),
      alloy: commonFields.alloy(),
      thicknessMm: commonFields.thickness(),
      kerfMm: lengthMm({ label: 'Saw kerf', min: 0, max: 2 }).default(0.25),
      growthMm: lengthMm({
        label: 'Growth on rolling',
        min: 0,
        max: 200,
        help: 'How much longer the strip has come out of the rolls before; cut shorter by it.',
      }).default(0),
      rolledToMm: lengthMm({
        label: 'Rolled down to',
        min: 0.1,
        max: 12,
        help: 'Thickness out of the rolls, where it is rolled thinner: it grows by what it loses.',
      }).optional(),
      pitchMm: lengthMm({
        label: 'Pitch when joined',
        min: 0,
        max: 150,
        help: 'From link to link in the chain; 0 if not known yet.',
      }).default(0),
      rowCount: count({ label: 'Rows', min: 1, max: 4, help: 'Side by side in the chain: two rows are half as long.' }).default(1),
      ringMm: lengthMm({ label: 'Joining ring inside diameter', min: 1, max: 40, help: 'Smaller rings want shorter links.' }).optional(),
      stripInHandMm: lengthMm({
        label: 'I already have a strip',
        min: 5,
        max: 2000,
        help: 'Before rolling: what would it come to?',
      }).optional(),
      ...closingFields(0.5),
      schools: schoolsField({ cut: ['sawn', 'sheared'] }),
    })
    .refine(({ eyeMm, linkMm, thicknessMm }) => eyeMm === 0 || linkMm >= 2 * eyeMm + 4 * thicknessMm, {
      path: ['linkMm'],
      error: 'Link length: its two eyes run into one another; twice the eye and four thicknesses at least',
    })
    .refine(({ eyeMm, gapMm, thicknessMm }) => eyeMm === 0 || gapMm <= (Math.PI / 2) * (eyeMm + thicknessMm), {
      path: ['gapMm'],
      error: 'Gap left in an eye: at most half of the way round it, or it holds no ring',
    })
    .refine(({ rolledToMm, thicknessMm }) => rolledToMm === undefined || rolledToMm <= thicknessMm, {
      path: ['rolledToMm'],
      error: 'Rolled down to: it is thicker than the strip; rolls only make it thinner',
    })
type Input = OutputOf<typeof input>

/** Rolls of a bench mill, mm (common practice). */
const ROLLS_MM = 60

/** How many times as long a strip comes out of the rolls as it went in: its volume stays, and wide strip hardly spreads. */
function longerBy({ thicknessMm, rolledToMm, widthMm }: Input): number {
  if (rolledToMm === undefined) return 1
  return (thicknessMm * widthMm) / (rolledToMm * spreadWidthMm(widthMm, thicknessMm, rolledToMm, ROLLS_MM))
}

/** A link is about this many times its joining ring, inside: 10 mm for a ring of 4.5 (common practice, low). */
const LINK_TO_RING = 10 / 4.5
/** Further from it than this share looks clumsy or hangs stiff (house default). */
const RATIO_BAND = 0.3
/** What a strip may be off before it is worth saying, mm. */
const STRIP_OFF_MM = 0.5

/** Links on the fullest strip: spread as evenly as they go. */
function linksAStrip(input: Input): number {
  return Math.ceil(input.linkCount / input.stripCount)
}

/** Whether its ends are curled; less than half a millimetre is no eye. */
const isCurled = ({ eyeMm }: Pick<Input, 'eyeMm'>) => eyeMm >= 0.5

/** A link before its ends are curled, mm: through the middle of the metal, each eye but for its gap. */
function flatLinkMm(log: WorkingLog, { linkMm, eyeMm, gapMm, thicknessMm }: Input): number {
  if (!isCurled({ eyeMm })) return linkMm
  return derive(log, {
    label: 'Link before it is curled',
    formula: 'l − d − 2·t + 2·(π·(d + t) − g)',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('l', 'link over its eyes', linkMm),
      given('d', 'eye, inside', eyeMm),
      given('t', 'thickness', thicknessMm),
      given('g', 'gap', gapMm),
    ],
  })
}

function stripOf(log: WorkingLog, input: Input, school: School): number {
  const n = linksAStrip(input)
  const flatMm = flatLinkMm(log, input)
  return derive(log, {
    label: CUT_TEXTS[school].title,
    formula: school === 'sawn' ? 'n·l + (n − 1)·k' : 'n·l',
    unit: 'mm',
    source: 'closed-form',
    given: [
      given('n', 'links on a strip', n, 'count'),
      given('l', isCurled(input) ? 'link, flat' : 'link', flatMm),
      ...(school === 'sawn' ? [given('k', 'kerf', input.kerfMm)] : []),
    ],
  })
}

function ringChecks({ linkMm, ringMm }: Input) {
  if (ringMm === undefined) return []
  const rightMm = ringMm * LINK_TO_RING
  return [
    limitCheck({
      code: 'link-to-ring',
      ok: Math.abs(linkMm / rightMm - 1) <= RATIO_BAND,
      level: 'note',
      field: 'linkMm',
      source: 'bench-practice',
      actual: linkMm,
      limit: rightMm,
      good: 'Link and joining ring suit each other.',
      bad: `Rings of ${formatPlain(ringMm, 1)} mm want links near ${formatPlain(rightMm, 1)} mm: ${linkMm > rightMm ? 'smaller rings, shorter links' : 'larger rings, longer links'}.`,
    }),
  ]
}

/** The strip there is against what these links need: what it comes to when it is rolled, and how many links that is. */
function stripInHand(log: WorkingLog, input: Input, needMm: number) {
  if (input.stripInHandMm === undefined) return { results: {}, checks: [] }
  const afterMm = derive(log, {
    label: 'Your strip after rolling',
    formula: input.rolledToMm === undefined ? 's + g' : 's·x + g',
    unit: 'mm',
    source: input.growthMm > 0 ? 'own-choice' : 'closed-form',
    given: [
      given('s', 'your strip', input.stripInHandMm),
      given('g', 'growth on rolling', input.growthMm),
      ...(input.rolledToMm === undefined ? [] : [given('x', 'times as long, by kept volume', longerBy(input), 'ratio')]),
    ],
  })
  const kerfMm = input.schools.cut === 'sawn' ? input.kerfMm : 0
  const links = Math.floor((afterMm + kerfMm) / (flatLinkMm([], input) + kerfMm) + 1e-9)
  const over = afterMm - needMm
  return {
    results: { afterRollingMm: { value: afterMm, unit: 'mm' as const }, linksInHandCount: { value: links, unit: 'count' as const } },
    checks: [
      limitCheck({
        code: 'strip-in-hand',
        ok: Math.abs(over) <= STRIP_OFF_MM,
        level: over < 0 ? 'warn' : 'note',
        field: 'stripInHandMm',
        source: 'closed-form',
        actual: afterMm,
        limit: needMm,
        good: `Your strip comes to ${formatPlain(afterMm, 1)} mm: right for these links.`,
        bad: `Your strip would come to ${formatPlain(afterMm, 1)} mm, ${formatPlain(Math.abs(over), 1)} ${over > 0 ? 'over' : 'under'} what these links need: ${links} links. Measure it after rolling, and divide what it is.`,
      }),
    ],
  }
}

/** What the checks weigh. */
interface Weighed {
  readonly chainMm: number
  readonly inHand: ReturnType<typeof stripInHand>
  readonly n: number
}

/** What the piece is warned of, or cleared of. */
function checksOf(input: Input, { chainMm, inHand, n }: Weighed): Check[] {
  return [
    limitCheck({
      code: 'even-strips',
      ok: input.linkCount % input.stripCount === 0,
      level: 'note',
      field: 'stripCount',
      source: 'closed-form',
      actual: n * input.stripCount,
      limit: input.linkCount,
      good: `${n} links on each of ${input.stripCount} ${input.stripCount === 1 ? 'strip' : 'strips'}, none over.`,
      bad: `${n} on the fullest strip: ${n * input.stripCount - input.linkCount} more than asked come out of it, as spares.`,
    }),
    ...ringChecks(input),
    ...inHand.checks,
    ...(chainMm === 0
      ? [
          {
            level: 'note' as const,
            code: 'pitch-unknown',
            field: 'pitchMm',
            source: 'bench-practice' as const,
            message: 'Join two links and measure from one to the next: the pitch gives the length of the chain.',
          },
        ]
      : []),
    {
      level: 'note',
      code: 'roll-then-divide',
      source: 'bench-practice',
      message: 'Roll first, then measure, mark and part: the strip comes out of the rolls longer than it went in.',
    },
    ...hazardNotes(input.alloy),
  ]
}

const beforeRolling = (log: WorkingLog, input: Input) =>
  derive(log, {
    label: 'Strip before rolling',
    formula: input.rolledToMm === undefined ? 'max(1, L − g)' : 'max(1, (L − g)/x)',
    unit: 'mm',
    source: input.growthMm > 0 ? 'own-choice' : 'closed-form',
    given: [
      given('L', 'strip to divide', stripOf(log, input, input.schools.cut)),
      given('g', 'growth on rolling', input.growthMm),
      ...(input.rolledToMm === undefined ? [] : [given('x', 'times as long, by kept volume', longerBy(input), 'ratio')]),
    ],
    note: 'What it grows is measured, not guessed: roll one, measure it, enter it.',
  })

function answerFor(log: WorkingLog, input: Input): Answer {
  return answerOf(log, input, 'strip length', beforeRolling(log, input))
}

/** A curled link from its side. */
function curledView({ linkMm, eyeMm, gapMm, thicknessMm }: Input): DrawingView {
  const radiusMm = (eyeMm + thicknessMm) / 2
  const open = gapMm / radiusMm
  const straightMm = linkMm - eyeMm - 2 * thicknessMm
  const eye = { radiusMm, turnRad: 2 * Math.PI - open }
  const low = -radiusMm - thicknessMm
  return bentView({
    title: 'A link, curled',
    segments: [eye, { straightMm }, eye],
    thicknessMm,
    start: [radiusMm * Math.sin(open), radiusMm * (1 - Math.cos(open))],
    headingRad: open,
    dimensions: [
      {
        from: [-eyeMm / 2 - thicknessMm, low],
        to: [straightMm + eyeMm / 2 + thicknessMm, low],
        offset: -1.6,
        text: `${formatPlain(linkMm, 2)} over its eyes`,
      },
    ],
  })
}

const outcomeOf = (input: Input): OutcomeSpec => asked('linkMm', 'Link length', input.linkMm, 0.3)

function planLinks(input: Input, bench: Bench): FormPlan {
  const log: WorkingLog = []
  const n = linksAStrip(input)
  const rolledMm = stripOf([], input, input.schools.cut)
  const calculatedMm = beforeRolling([], input)
  const answer = answerFor(log, input)
  const target = targetOf(outcomeOf(input))
  const flatMm = flatLinkMm([], input)
  const step = flatMm + (input.schools.cut === 'sawn' ? input.kerfMm : 0)
  const cuts = Array.from({ length: n - 1 }, (_, i) =>
    cutAlong([(i + 1) * step - (step - flatMm) / 2, -0.6], [(i + 1) * step - (step - flatMm) / 2, input.widthMm + 0.6]),
  )
  const chainMm = (input.pitchMm * input.linkCount) / input.rowCount
  const inHand = stripInHand(log, input, rolledMm)
  return completePlan({
    input,
    answer,
    working: log,
    blanks: [sheetBlank(input, bench, { name: 'strip', outline: rectangleOutline(answer.markAt, input.widthMm), each: input.stripCount })],
    results: {
      linksAStripCount: { value: n, unit: 'count' },
      possibleCount: { value: n * input.stripCount, unit: 'count' },
      stripToDivideMm: { value: rolledMm, unit: 'mm' },
      flatLinkMm: { value: flatMm, unit: 'mm' },
      ...(rolledMm - calculatedMm > 0.005
        ? { growthShare: { value: (100 * (rolledMm - calculatedMm)) / calculatedMm, unit: '%' as const } }
        : {}),
      ...(chainMm > 0 ? { chainMm: { value: chainMm, unit: 'mm' as const } } : {}),
      ...(input.ringMm === undefined ? {} : { linkForRingMm: { value: input.ringMm * LINK_TO_RING, unit: 'mm' as const } }),
      ...inHand.results,
    },
    choice: schoolChoice('cut', 'How they are parted', input.schools.cut, CUT_TEXTS, (id) => stripOf([], input, id)),
    checks: checksOf(input, { chainMm, inHand, n }),
    views: [
      view('blank', 'Strip', {
        shapes: [region(rectangleOutline(Math.max(rolledMm, 1), input.widthMm)), ...cuts],
        dimensions: [
          { from: [0, 0], to: [rolledMm, 0], offset: -2.2, text: `${n} links, ${formatPlain(rolledMm, 2)} to divide` },
          { from: [0, input.widthMm], to: [flatMm, input.widthMm], offset: 1.6, text: `link ${formatPlain(flatMm, 2)}` },
        ],
        handles: [{ field: 'widthMm', label: 'width', at: [rolledMm / 2, input.widthMm], along: [0, 1], gain: 1 }],
      }),
      ...(isCurled(input) ? [curledView(input)] : []),
    ],
    sizedSteps: [
      { op: 'saw', at: 'rough', params: { cutMm: Math.min(2000, Math.max(0.5, answer.markAt)) } },
      { op: 'file', at: 'rough', params: { what: 'the ends to the line' } },
      { op: 'divide', params: {}, target: { ...target, dimension: 'flatLinkMm', label: 'Link, flat', valueMm: flatMm } },
      ...(isCurled(input)
        ? [
            { op: 'curl-link', at: 'first-end', params: { insideMm: input.eyeMm, gapMm: input.gapMm } } as const,
            { op: 'curl-link', at: 'second-end', params: { insideMm: input.eyeMm, gapMm: input.gapMm }, target } as const,
          ]
        : []),
    ],
    method: `strip links, ${CUT_TEXTS[input.schools.cut].title.toLowerCase()}`,
  })
}

export const stripLinks = defineForm({
  id: 'strip-links',
  title: 'Links from strip',
  summary: 'Links parted from one or more strips, sawn or sheared: how long each strip, how many links, how long the chain.',
  input,
  example: { linkMm: 17, widthMm: 5.5, linkCount: 18, stripCount: 2, alloy: 'red-brass-c230', thicknessMm: '19 ga' },
  ask: { words: ['link'], sizes: ['linkMm', 'widthMm'], count: 'linkCount' },
  answer: answerFor,
  outcomes: (input) => [outcomeOf(input)],
  measured: ['linkMm', 'eyeMm', 'gapMm'],
  varies: { kerfMm: 0.1, linkCount: 1 },
  plan: planLinks,
})
