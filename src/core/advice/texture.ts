import * as z from 'zod'
import { hammerStrain, rollingStrain } from '../forming/strain'
import type { Check } from '../forms/contract'
import { ALLOY_TITLES, ALLOYS } from '../metals'
import { choice, lengthMm, thicknessMm } from '../units/fields'
import { capitalised, formatPlain } from '../units/format'
import { derive, given, type WorkingLog } from '../working/derive'
import type { ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

const YES_NO = { no: 'no', yes: 'yes' } as const
const LOOKS = { pattern: 'a pattern all over', hammered: 'hammer marks', frosted: 'frosted', raised: 'raised grains' } as const

const input = z.strictObject({
  alloy: choice('Metal', ALLOY_TITLES).default('copper-c110'),
  look: choice('Like', LOOKS).default('pattern'),
  thicknessMm: thicknessMm({ label: 'Thickness after it', min: 0.1, max: 6 }),
  lengthMm: lengthMm({ label: 'Length after it', min: 1, max: 2000 }),
  widthMm: lengthMm({ label: 'Width after it', min: 1, max: 2000 }),
  depthMm: lengthMm({ label: 'Relief', min: 0.01, max: 2, help: 'From the deepest to the highest of it.' }).default(0.1),
  mill: choice('Rolling mill', YES_NO).default('no'),
  press: choice('Press and die', YES_NO).default('no'),
  ...benchFields(),
})
type Input = z.output<typeof input>

/** What a way begins with so that it ends at the size wanted, and what it does to the metal. */
interface Begins {
  readonly thicknessMm: number
  readonly lengthMm: number
  readonly widthMm: number
  readonly strain: number
}

interface Way {
  readonly id: string
  readonly title: string
  readonly looks: readonly Input['look'][]
  readonly needs?: 'mill' | 'press'
  readonly begins: (input: Input, log: WorkingLog) => Begins
  readonly costs: string
}

/** Share of a face that stamps strike, and that of a dent which goes into length or width (low). */
const [STRUCK, INTO_EACH] = [0.4, 0.25]
/** Hammer marks thin by about half their depth; never more than this in one course (low). */
const [HALF, MOST_THINNED] = [0.5, 0.12]

const same = ({ thicknessMm: t, lengthMm: l, widthMm: w }: Input, strain = 0): Begins => ({
  thicknessMm: t,
  lengthMm: l,
  widthMm: w,
  strain,
})

/** Ways to a texture: what each begins with, and what it costs (common practice; figures low). */
const WAYS: readonly Way[] = [
  {
    id: 'mill',
    title: 'rolled with a pattern plate',
    looks: ['pattern', 'frosted'],
    needs: 'mill',
    begins: ({ thicknessMm: t, lengthMm: l, widthMm: w, depthMm: d }, log) => {
      const from = derive(log, {
        label: 'Rolled: begins at',
        formula: 't + d',
        given: [given('t', 'thickness after it', t), given('d', 'relief', d)],
        unit: 'mm',
        source: 'bench-practice',
      })
      const long = derive(log, {
        label: 'Rolled: begins as long as',
        formula: 'L·t / f',
        given: [given('L', 'length after it', l), given('t', 'thickness after it', t), given('f', 'thickness before it', from)],
        unit: 'mm',
        source: 'closed-form',
      })
      return { thicknessMm: from, lengthMm: long, widthMm: w, strain: rollingStrain(from, t) }
    },
    costs: 'One pass, soft metal; it grows in length alone. The plate keeps its pattern, the mill costs most of all the ways.',
  },
  {
    id: 'hammer',
    title: 'hammered',
    looks: ['hammered', 'pattern'],
    begins: ({ thicknessMm: t, lengthMm: l, widthMm: w, depthMm: d }, log) => {
      const thinned = Math.min(MOST_THINNED, (HALF * d) / t)
      const from = derive(log, {
        label: 'Hammered: begins at',
        formula: 't / (1 - f)',
        given: [given('t', 'thickness after it', t), given('f', 'thinned by', thinned, 'ratio')],
        unit: 'mm',
        source: 'closed-form',
      })
      const side = Math.sqrt(t / from)
      return { thicknessMm: from, lengthMm: l * side, widthMm: w * side, strain: hammerStrain(thinned) }
    },
    costs: 'A polished or a textured face, an hour for a hand’s breadth; it grows both ways, and warps: flatten it on leather.',
  },
  {
    id: 'stamps',
    title: 'stamped over',
    looks: ['pattern'],
    begins: ({ thicknessMm: t, lengthMm: l, widthMm: w, depthMm: d }, log) => {
      const grows = derive(log, {
        label: 'Stamped over: grows each way by',
        formula: 'c·k·d / t',
        given: [
          given('c', 'share of the face that is struck', STRUCK, 'ratio'),
          given('k', 'of a dent into each way', INTO_EACH, 'ratio'),
          given('d', 'relief', d),
          given('t', 'thickness', t),
        ],
        unit: 'ratio',
        source: 'house-default',
      })
      return { thicknessMm: t, lengthMm: l / (1 + grows), widthMm: w / (1 + grows), strain: STRUCK * hammerStrain(Math.min(0.5, d / t)) }
    },
    costs: 'Any stamps there are, one by one on a steel block; it warps most: flatten it before it is cut to size.',
  },
  {
    id: 'die',
    title: 'pressed in an impression die',
    looks: ['pattern', 'raised'],
    needs: 'press',
    begins: (asked) => same(asked, 0.1),
    costs: 'A few strokes, the margin held; it does not grow, and thins where it goes deep. A die for each pattern.',
  },
  {
    id: 'etch',
    title: 'etched',
    looks: ['pattern', 'frosted'],
    begins: (asked) => same(asked),
    costs: 'Artwork, resist, a bath and hours; it neither grows nor hardens, and what is etched away is lost. Fine lines widen.',
  },
  {
    id: 'abrasive',
    title: 'rubbed or ground',
    looks: ['frosted'],
    begins: ({ depthMm: d, ...asked }) => ({ ...same({ depthMm: d, ...asked }), thicknessMm: asked.thicknessMm + d / 2 }),
    costs: 'Coarse paper, a burr or a disc, minutes; it takes metal off, and any later hammering rubs it out.',
  },
  {
    id: 'dust',
    title: 'dust fused on',
    looks: ['raised', 'frosted'],
    begins: (asked) => same(asked),
    costs: 'Filings of the same metal and a torch near melting; it leaves the metal soft, and thicker by the grains.',
  },
  {
    id: 'bought',
    title: 'bought with the pattern on it',
    looks: ['pattern', 'hammered'],
    begins: (asked) => same(asked),
    costs: 'No tools at all: dearer by the gram, in the maker’s patterns and gauges, and one side only.',
  },
]

export const textureAdviser = defineAdviser({
  id: 'texture',
  title: 'Texture, and the ways to it',
  question: 'How is it textured, and what size does it begin at?',
  input,
  example: { look: 'pattern', thicknessMm: '0.9', lengthMm: '58', widthMm: '14' },
  advise: (asked) => {
    const log: WorkingLog = []
    const { alloy, thicknessMm: t, depthMm: d, look } = asked
    const isThere = ({ needs }: Way) => needs === undefined || asked[needs] === 'yes'
    const fitting = WAYS.filter(({ looks }) => looks.includes(look)).map((way) => ({
      way,
      begins: way.begins(asked, log),
      isThere: isThere(way),
    }))
    const sorted = [...fitting.filter((one) => one.isThere), ...fitting.filter((one) => !one.isThere)]
    const size = ({ thicknessMm: from, lengthMm: l, widthMm: w }: Begins) =>
      `${formatPlain(l, 2)} × ${formatPlain(w, 2)} mm, ${formatPlain(from, 2)} mm thick`
    const [first] = sorted
    const isThin = ALLOYS[alloy].behaviour.finish === 'thin-layer'
    const checks: Check[] = [
      ...(d > 0.6 * t
        ? [
            {
              level: 'warn',
              code: 'deep-texture',
              field: 'depthMm',
              actual: { value: d, unit: 'mm' },
              limit: { value: 0.6 * t, unit: 'mm' },
              source: 'bench-practice',
              message: `A relief of ${formatPlain(d, 2)} mm is more than half of ${formatPlain(t, 2)} mm: it shows on the back, and tears where it is bent.`,
            } satisfies Check,
          ]
        : []),
      ...(isThin
        ? [
            {
              level: 'stop',
              code: 'thin-layer',
              field: 'alloy',
              source: 'bench-practice',
              message: `${ALLOYS[alloy].title}: the wear layer is hundredths of a millimetre; a texture cuts through it.`,
            } satisfies Check,
          ]
        : []),
      {
        level: 'note',
        code: 'texture-first',
        source: 'bench-practice',
        message: 'Texture while it is flat and before the last cut: then what it grows by is known. Measure, then cut to size.',
      },
    ]
    return {
      answer: first ? `${capitalised(first.way.title)}: begin with ${size(first.begins)}` : 'no way is known',
      reason: 'The nearest way of those that are there; what is missing stands after it. Growth keeps the volume of the metal.',
      picks: sorted.map(
        ({ way, begins, isThere: owned }): ToolPick => ({
          name: way.title,
          value: begins.thicknessMm,
          unit: 'mm',
          detail: `begin with ${size(begins)}; strain ${formatPlain(begins.strain, 2)}`,
          grade: owned ? 'right' : 'no',
          owned,
        }),
      ),
      missing: null,
      checks,
      working: log,
      picture: {
        kind: 'steps',
        steps: sorted.map(({ way, begins, isThere: owned }) => ({
          step: `${way.title}${owned ? '' : `, needs a ${way.needs === 'mill' ? 'rolling mill' : 'press and its die'}`}`,
          say: `Begin with ${size(begins)}. ${way.costs}`,
        })),
      },
    }
  },
})
