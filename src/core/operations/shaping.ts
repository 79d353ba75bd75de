import * as z from 'zod'
import { CROWN_THINNING_RATIO, rimHoopStrain } from '../forming/dome'
import { clampedPoleStrain, freeStrains } from '../forming/press'
import { bendStrain, hammerStrain, rollingStrain } from '../forming/strain'
import { lengthMm, ratio } from '../units/fields'
import { formatPlain } from '../units/format'
import { defineOperation, HAMMER_WEIGHT, UNWORKED } from './contract'

/** Weight of hoop compression in the work ledger: it folds before it cracks (source: estimated, low). */
const COMPRESSION_WEIGHT = 0.6

/** How it is bent: round a former and shut, over on a line, with pliers to a shape, or wound on a rod. */
export const BEND_MANNERS = ['round', 'fold', 'shape', 'coil'] as const
export type BendManner = (typeof BEND_MANNERS)[number]

const BEND_WORDS: Readonly<Record<BendManner, { readonly say: string; readonly watch: string }>> = {
  round: {
    say: 'Ends first, then the middle, with a rawhide or plastic mallet over the mandrel. Close it past the joint so that it springs shut.',
    watch: 'If the joint gapes on one side, open it, file the ends square again and close it.',
  },
  fold: {
    say: 'Smooth flat pliers on the line, a little each, the opposite one next. Once up to ninety degrees, not back and forth.',
    watch: 'If a fold whitens or a crack starts at its corner, stop: anneal before it goes on, or cut a new one.',
  },
  shape: {
    say: 'Round pliers or a rod of the right size, a little at a time, and a touch past the mark: it springs back.',
    watch: 'Marked jaws mark the metal, and it breaks where it is marked: smooth jaws, or tape round them.',
  },
  coil: {
    say: 'Hold one end against the rod, and wind tight, each turn against the last.',
    watch: 'If the coil rides up or springs off, it is too hard: anneal and wind it again.',
  },
}

export const bend = defineOperation({
  id: 'bend',
  title: 'Bend',
  kind: 'cold',
  together: false,
  handsOnS: 120,
  waitS: 0,
  params: z.object({
    insideRadiusMm: lengthMm({ label: 'Inside radius', min: 0, max: 1000 }),
    manner: z.enum(BEND_MANNERS).default('round'),
    what: z.string().optional(),
    region: z.string().optional(),
    webMm: lengthMm({ label: 'Left under the score', min: 0.01, max: 12 }).optional(),
  }),
  effect: ({ insideRadiusMm, region, webMm }, { thicknessMm, widthMm }) => {
    const strain = bendStrain(insideRadiusMm, webMm ?? thicknessMm, widthMm)
    const outer = { strain, weight: 1, held: 'bend' } as const
    if (region) return { elsewhere: UNWORKED, at: { [region]: outer } }
    return { elsewhere: UNWORKED, at: { outside: outer, inside: { ...outer, weight: COMPRESSION_WEIGHT } } }
  },
  words: ({ insideRadiusMm, manner, what }) => ({
    title: `Bend ${what ?? 'it round'}`,
    facts: [{ label: 'Inside radius', value: `${formatPlain(insideRadiusMm, 2)} mm` }],
    ...BEND_WORDS[manner],
  }),
})

export const dap = defineOperation({
  id: 'dap',
  title: 'Dome',
  kind: 'cold',
  together: false,
  handsOnS: 60,
  waitS: 0,
  caution: 'Never a hardened hammer face on a hardened punch: use a brass or soft-faced mallet, and wear eye protection.',
  params: z.object({
    punchMm: lengthMm({ label: 'Punch', min: 1, max: 120 }),
    discMm: lengthMm({ label: 'Disc', min: 1, max: 500 }),
    place: z.string().optional(),
  }),
  effect: ({ punchMm, discMm }, { thicknessMm }) => {
    const radius = Math.max((punchMm + thicknessMm) / 2, discMm / 4 + 1e-9)
    const hoop = Math.abs(rimHoopStrain(discMm, radius))
    const bent = thicknessMm / radius
    return {
      elsewhere: UNWORKED,
      at: {
        crown: { strain: CROWN_THINNING_RATIO * hoop + bent, weight: 1, held: 'dome' },
        rim: { strain: hoop + bent, weight: COMPRESSION_WEIGHT, held: 'dome' },
      },
    }
  },
  words: ({ punchMm, place }, { thicknessMm }) => ({
    title: `Dome with the ${formatPlain(punchMm, 1)} mm punch`,
    say: `${place ? `${place}. ` : ''}Work in rings from the rim inwards, light blows, turning it between each. Move on when it sits in the cup without rocking.`,
    facts: [{ label: 'Punch / cup', value: `${formatPlain(punchMm, 1)} / ${formatPlain(punchMm + 2 * thicknessMm, 1)} mm or over` }],
    watch: 'If the rim ripples, stop. Go back to the wider cup and chase it flat from the rim before going deeper.',
  }),
})

export const planish = defineOperation({
  id: 'planish',
  title: 'Planish',
  kind: 'cold',
  together: false,
  handsOnS: 180,
  waitS: 0,
  params: z.object({ thinnedFraction: ratio({ label: 'Thinned by', min: 0, max: 0.6 }).default(0.04), what: z.string().optional() }),
  effect: ({ thinnedFraction }) => ({
    elsewhere: { strain: hammerStrain(thinnedFraction), weight: HAMMER_WEIGHT },
    thicknessRatio: 1 - thinnedFraction,
  }),
  words: ({ what }) => ({
    title: `Planish ${what ?? 'the surface'}`,
    say: 'Polished face, overlapping blows, each flat on the metal with the stake right under it.',
    facts: [],
  }),
})

export const trueUp = defineOperation({
  id: 'true-up',
  title: 'True up',
  kind: 'cold',
  together: false,
  handsOnS: 90,
  waitS: 0,
  params: z.object({ on: z.string().default('the mandrel') }),
  effect: () => ({ elsewhere: { strain: 0.02, weight: HAMMER_WEIGHT } }),
  words: ({ on }) => ({
    title: `True up on ${on}`,
    say: 'Soft mallet all round, turning the piece and reversing it. Without hammer marks it does not grow.',
    facts: [],
  }),
})

export const roll = defineOperation({
  id: 'roll',
  title: 'Roll',
  kind: 'cold',
  together: false,
  handsOnS: 180,
  waitS: 0,
  caution: 'Fingers, sleeves and hair away from the rolls.',
  params: z
    .object({ fromMm: lengthMm({ label: 'From', min: 0.05, max: 12 }), toMm: lengthMm({ label: 'To', min: 0.05, max: 12 }) })
    .refine((p) => p.toMm < p.fromMm, { path: ['toMm'], error: 'rolling goes from thick to thin' }),
  refuses: ({ fromMm, toMm }, { thicknessMm }) => {
    if (Math.abs(fromMm - thicknessMm) > Math.max(0.02, 0.05 * thicknessMm))
      return `Roll: from ${formatPlain(fromMm, 2)} mm was given, and the metal is ${formatPlain(thicknessMm, 2)} mm here`
    return toMm < thicknessMm ? undefined : `Roll: to ${formatPlain(toMm, 2)} mm was given, and the metal is no thicker than that here`
  },
  effect: ({ toMm }, { thicknessMm }) => ({
    elsewhere: { strain: rollingStrain(thicknessMm, toMm), weight: 1 },
    thicknessRatio: toMm / thicknessMm,
  }),
  words: ({ fromMm, toMm }) => ({
    title: `Roll to ${formatPlain(toMm, 2)} mm`,
    say: 'Dry metal, a little at each pass, the same end first.',
    facts: [{ label: 'From / to', value: `${formatPlain(fromMm, 2)} / ${formatPlain(toMm, 2)} mm` }],
  }),
})

export const stamp = defineOperation({
  id: 'stamp',
  title: 'Stamp',
  kind: 'cold',
  together: false,
  handsOnS: 60,
  waitS: 0,
  caution: 'Brass or soft-faced hammer on hardened stamps, eye protection on.',
  params: z.object({ depthMm: lengthMm({ label: 'Depth', min: 0.02, max: 2 }).default(0.2), what: z.string().optional() }),
  effect: ({ depthMm }, { thicknessMm }) => {
    const strain = Math.log(thicknessMm / Math.max(thicknessMm * 0.2, thicknessMm - depthMm))
    return { elsewhere: { strain: 0.02, weight: HAMMER_WEIGHT }, at: { stamped: { strain, weight: HAMMER_WEIGHT } } }
  },
  words: ({ what, depthMm }) => ({
    title: `Stamp ${what ?? 'the mark'}`,
    say: 'Steel block under the metal, stamp upright, one firm blow. Then look before the next.',
    facts: [{ label: 'Depth', value: `about ${formatPlain(depthMm, 2)} mm` }],
  }),
})

export const press = defineOperation({
  id: 'press',
  title: 'Press in the die',
  kind: 'cold',
  together: false,
  handsOnS: 90,
  waitS: 0,
  caution: 'Press behind a guard, hands away, eye protection on; never strike a die that is cracked.',
  params: z.object({
    depthMm: lengthMm({ label: 'Depth', min: 0, max: 60 }),
    halfMm: lengthMm({ label: 'Half the width', min: 0.5, max: 300 }),
    rimHeld: z.boolean().default(true),
    what: z.string().optional(),
  }),
  effect: ({ depthMm, halfMm, rimHeld }, { alloy, thicknessMm }) => {
    const impression = { halfMm, depthMm: Math.min(depthMm, halfMm) }
    if (rimHeld)
      return { elsewhere: UNWORKED, at: { impression: { strain: -clampedPoleStrain(alloy, impression), weight: 1, held: 'press' } } }
    const { rim, middle } = freeStrains(impression)
    const bent = depthMm > 0 ? (2 * depthMm * thicknessMm) / (halfMm ** 2 + depthMm ** 2) : 0
    return {
      elsewhere: UNWORKED,
      at: {
        impression: { strain: middle + bent, weight: 1, held: 'press' },
        margin: { strain: rim, weight: COMPRESSION_WEIGHT, held: 'press' },
      },
    }
  },
  words: ({ depthMm, rimHeld, what }) => ({
    title: `Press ${what ?? 'in the die'}`,
    say: rimHeld
      ? 'Metal soft, margin held all round. A little at each stroke; take it out and look at the middle, where it thins.'
      : 'Metal soft, the blank loose over the form so that its rim can draw in. A little at each stroke.',
    facts: [{ label: 'Depth', value: `${formatPlain(depthMm, 2)} mm` }],
    watch: 'A dull, grainy look in the middle comes before a split: stop, anneal, and go on.',
  }),
})
