import { hammerStrain, rollingStrain } from '../forming/strain'
import type { OperationId } from '../operations'
import { derive, given, type WorkingLog } from '../working/derive'
import type { TextureWayId } from './ids'

/** What a texture is to be like. */
export const TEXTURE_LOOKS = {
  pattern: 'a pattern all over',
  hammered: 'hammer marks',
  frosted: 'frosted',
  raised: 'raised grains',
} as const
export type TextureLook = keyof typeof TEXTURE_LOOKS

/** A blank that is to be textured: its sheet, the size it is to have afterwards, and how deep. */
export interface Textured {
  readonly thicknessMm: number
  readonly lengthMm: number
  readonly widthMm: number
  readonly depthMm: number
}

/** What comes of it: how thick it is then, how large the rough piece is that ends at the size wanted, and how much it is worked. */
export interface TextureOutcome {
  readonly afterMm: number
  readonly roughLengthMm: number
  readonly roughWidthMm: number
  readonly strain: number
}

/** When it is made: on a rough piece that is then cut to size, on the flat blank, or once the metal is formed. */
export type TextureTime = 'rough' | 'flat' | 'formed'

export interface TextureWay {
  readonly title: string
  readonly looks: readonly TextureLook[]
  readonly needs?: 'mill' | 'press'
  readonly when: TextureTime
  /** How thick the sheet is that ends so thick; the sheet itself where the way leaves it as it is when the metal is formed. */
  readonly sheetMm?: (ends: Pick<Textured, 'thicknessMm' | 'depthMm'>, log: WorkingLog) => number
  readonly outcome: (of: Textured, log: WorkingLog) => TextureOutcome
  /** The step that makes it; none where the sheet comes with it, or another station plans it. */
  readonly step?: (
    of: Textured,
    outcome: TextureOutcome,
  ) => { readonly op: OperationId; readonly params: Readonly<Record<string, unknown>> }
  /** What has to be done just before its step and just after it; whether the metal has to be soft for it. */
  readonly around?: { readonly isSoft?: boolean; readonly before?: readonly OperationId[]; readonly after?: readonly OperationId[] }
  readonly costs: string
}

/** Share of a face that stamps strike, and of a dent that goes into length or width (low). */
const [STRUCK, INTO_EACH] = [0.4, 0.25]
/** Hammer marks thin by about half their depth; never more than this in one course (low). */
const [HALF, MOST_THINNED] = [0.5, 0.12]
/** What a pressed pattern works the metal by (estimate, low). */
const PRESSED = 0.1
const LEAST_LEFT = 0.1

const asItIs = ({ thicknessMm, lengthMm, widthMm }: Textured, strain = 0): TextureOutcome => ({
  afterMm: thicknessMm,
  roughLengthMm: lengthMm,
  roughWidthMm: widthMm,
  strain,
})
const thinnedBy = ({ depthMm, thicknessMm }: Textured) => Math.min(MOST_THINNED, (HALF * depthMm) / thicknessMm)
const round = (value: number, digits: number) => Number(value.toFixed(digits))

/** Ways to a texture: what each makes of the sheet, and what it costs (common practice; figures low). */
const WAYS: Readonly<Record<TextureWayId, TextureWay>> = {
  mill: {
    title: 'rolled with a pattern plate',
    looks: ['pattern', 'frosted'],
    needs: 'mill',
    when: 'rough',
    sheetMm: ({ thicknessMm: a, depthMm: d }, log) =>
      derive(log, {
        label: 'Rolled: sheet to begin with',
        formula: 'min(a + d, a / k)',
        given: [given('a', 'thickness afterwards', a), given('d', 'relief', d), given('k', 'left at the least', LEAST_LEFT, 'ratio')],
        unit: 'mm',
        source: 'bench-practice',
      }),
    outcome: ({ thicknessMm: t, lengthMm: l, widthMm, depthMm: d }, log) => {
      const afterMm = derive(log, {
        label: 'Rolled: thick afterwards',
        formula: 'max(t - d, k·t)',
        given: [given('t', 'thickness of the sheet', t), given('d', 'relief', d), given('k', 'left at the least', LEAST_LEFT, 'ratio')],
        unit: 'mm',
        source: 'bench-practice',
      })
      const roughLengthMm = derive(log, {
        label: 'Rolled: rough length',
        formula: 'L·a / t',
        given: [given('L', 'length wanted', l), given('a', 'thickness afterwards', afterMm), given('t', 'thickness of the sheet', t)],
        unit: 'mm',
        source: 'closed-form',
      })
      return { afterMm, roughLengthMm, roughWidthMm: widthMm, strain: rollingStrain(t, afterMm) }
    },
    step: ({ thicknessMm }, { afterMm }) => ({ op: 'roll', params: { fromMm: thicknessMm, toMm: round(afterMm, 3), pattern: true } }),
    around: { isSoft: true },
    costs: 'One pass, soft metal; it grows in length alone. The plate keeps its pattern, the mill costs most of all the ways.',
  },
  hammer: {
    title: 'hammered',
    looks: ['hammered', 'pattern'],
    when: 'rough',
    sheetMm: ({ thicknessMm: a, depthMm: d }, log) =>
      derive(log, {
        label: 'Hammered: sheet to begin with',
        formula: 'min(a + h·d, a / (1 - m))',
        given: [
          given('a', 'thickness afterwards', a),
          given('d', 'relief', d),
          given('h', 'of the depth', HALF, 'ratio'),
          given('m', 'thinned at most', MOST_THINNED, 'ratio'),
        ],
        unit: 'mm',
        source: 'bench-practice',
      }),
    outcome: (of, log) => {
      const { thicknessMm: t, lengthMm, widthMm } = of
      const thinned = thinnedBy(of)
      const afterMm = derive(log, {
        label: 'Hammered: thick afterwards',
        formula: 't·(1 - f)',
        given: [given('t', 'thickness of the sheet', t), given('f', 'thinned by', thinned, 'ratio')],
        unit: 'mm',
        source: 'closed-form',
      })
      const side = Math.sqrt(afterMm / t)
      return { afterMm, roughLengthMm: lengthMm * side, roughWidthMm: widthMm * side, strain: hammerStrain(thinned) }
    },
    step: (of) => ({ op: 'texture-hammer', params: { thinnedFraction: round(thinnedBy(of), 3) } }),
    costs: 'A polished or a textured face, an hour for a hand’s breadth; it grows both ways, and warps: flatten it on leather.',
  },
  stamps: {
    title: 'stamped over',
    looks: ['pattern'],
    when: 'rough',
    outcome: ({ thicknessMm: t, lengthMm, widthMm, depthMm: d }, log) => {
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
      const strain = STRUCK * hammerStrain(Math.min(0.5, d / t))
      return { afterMm: t, roughLengthMm: lengthMm / (1 + grows), roughWidthMm: widthMm / (1 + grows), strain }
    },
    step: ({ depthMm }) => ({ op: 'stamp', params: { depthMm: Math.min(2, Math.max(0.02, depthMm)), what: 'the texture' } }),
    around: { after: ['flatten'] },
    costs: 'Any stamps there are, one by one on a steel block; it warps most: flatten it before it is cut to size.',
  },
  die: {
    title: 'pressed in an impression die',
    looks: ['pattern', 'raised'],
    needs: 'press',
    when: 'flat',
    outcome: (of) => asItIs(of, PRESSED),
    step: ({ depthMm, lengthMm, widthMm }) => ({
      op: 'press-die',
      params: { depthMm, halfMm: round(Math.max(0.5, Math.min(300, Math.min(lengthMm, widthMm) / 2)), 2) },
    }),
    costs: 'A few strokes, the margin held; it does not grow, and thins where it goes deep. A die for each pattern.',
  },
  etch: {
    title: 'etched',
    looks: ['pattern', 'frosted'],
    when: 'flat',
    outcome: (of) => asItIs(of),
    costs: 'Artwork, resist, a bath and hours; it neither grows nor hardens, and what is etched away is lost. Plan it at Mark.',
  },
  abrasive: {
    title: 'rubbed or ground',
    looks: ['frosted'],
    when: 'formed',
    outcome: (of) => ({ ...asItIs(of), afterMm: Math.max(LEAST_LEFT * of.thicknessMm, of.thicknessMm - HALF * of.depthMm) }),
    step: () => ({ op: 'texture-abrasive', params: {} }),
    costs: 'Coarse paper, a burr or a disc, minutes; it takes metal off, and any later hammering rubs it out.',
  },
  dust: {
    title: 'dust fused on',
    looks: ['raised', 'frosted'],
    when: 'rough',
    sheetMm: ({ thicknessMm: a, depthMm: d }, log) =>
      derive(log, {
        label: 'Dust: sheet to begin with',
        formula: 'max(a - d, k·a)',
        given: [given('a', 'thickness afterwards', a), given('d', 'relief', d), given('k', 'left at the least', LEAST_LEFT, 'ratio')],
        unit: 'mm',
        source: 'bench-practice',
      }),
    outcome: (of) => ({ ...asItIs(of), afterMm: of.thicknessMm + of.depthMm }),
    step: () => ({ op: 'fuse-dust', params: {} }),
    around: { before: ['deburr'], after: ['pickle'] },
    costs: 'Filings of the same metal and a torch near melting; it leaves the metal soft, and thicker by the grains.',
  },
  bought: {
    title: 'bought with the pattern on it',
    looks: ['pattern', 'hammered'],
    when: 'flat',
    outcome: (of) => asItIs(of),
    costs: 'No tools at all: dearer by the gram, in the maker’s patterns and gauges, and one side only.',
  },
}
export const textureWay = (id: TextureWayId): TextureWay => WAYS[id]
