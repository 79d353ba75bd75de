import * as z from 'zod'
import type { Check } from '../forms/contract'
import { ALLOY_TITLES, ALLOYS, type Alloy } from '../metals/alloys'
import { SOLDER_FAMILIES, SOLDER_IDS, SOLDERS } from '../metals/solders'
import { figureOf, type OwnFigures } from '../tables/figures'
import { FLUXES, isFluxRight } from '../tables/heat/fillers'
import { usable } from '../toolwall/tools'
import { choice, count } from '../units/fields'
import { derive, given, type WorkingLog } from '../working/derive'
import type { Ladder, ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

interface Gaps {
  /** Degrees between the flow of one joint and the next that are aimed at, and below which it is asking for trouble. */
  readonly workingC: number
  readonly leastC: number
  /** Solder this near the metal's solidus wants very even heat. */
  readonly guardC: number
}

function gapsOf(own: OwnFigures): Gaps {
  return { workingC: figureOf('solder-gap', own), leastC: figureOf('solder-gap-least', own), guardC: figureOf('solder-guard', own) }
}

const OTHER_TITLES = { none: 'None', ...ALLOY_TITLES } as const

const input = z.strictObject({
  alloy: choice('Metal', ALLOY_TITLES),
  otherAlloy: choice('Second metal in the heat', OTHER_TITLES).default('none'),
  jointCount: count({ label: 'Joints, one after another', min: 1, max: 8 }).default(3),
  family: choice('Solders', SOLDER_FAMILIES).default('percent'),
  gap: choice('Between joints', {
    working: 'Working gap: 20 °C between flows',
    strict: 'Strict: the last seam stays solid',
  }).default('working'),
  ...benchFields(),
})
type Input = z.output<typeof input>

interface Rung {
  readonly name: string
  readonly solidusC: number
  readonly liquidusC: number
  readonly owned: boolean
}

function rungsOf(input: Input): Rung[] {
  const own = usable(input.owned, 'solder').flatMap((tool): Rung[] => {
    const solidus = tool.facts?.solidusC
    return solidus === undefined ? [] : [{ name: tool.label, solidusC: solidus, liquidusC: tool.size, owned: true }]
  })
  const tables = SOLDER_IDS.map((id) => SOLDERS[id]).filter((solder) => solder.family === input.family)
  const all =
    own.length > 0
      ? own
      : tables.map((solder) => ({ name: solder.title, solidusC: solder.solidusC, liquidusC: solder.liquidusC, owned: false }))
  return [...all].sort((a, b) => b.liquidusC - a.liquidusC)
}

/** The metal of the heat that melts first: every solder has to keep clear of it. */
function firstToMelt({ alloy, otherAlloy }: Input): Alloy {
  const [first, other] = [ALLOYS[alloy], otherAlloy === 'none' ? undefined : ALLOYS[otherAlloy]]
  return other && other.solidusC < first.solidusC ? other : first
}

/** How far the seam above is from moving when the next solder flows. */
function gapC(upper: Rung, lower: Rung, gap: Input['gap']): number {
  return (gap === 'strict' ? upper.solidusC : upper.liquidusC) - lower.liquidusC
}

/** A seam above whose melting has begun by more than this when the next solder flows is warned of, °C (house default). */
const SEAM_MELTS_C = 40

/** Every way to go down the rungs so many times. */
function* waysDown(rungs: readonly Rung[], count: number): Generator<readonly Rung[]> {
  if (count === 0) yield []
  else for (const [i, rung] of rungs.entries()) for (const rest of waysDown(rungs.slice(i + 1), count - 1)) yield [rung, ...rest]
}

/** What is weighed of a ladder, the worst first: gaps too small to work, gaps under the aim, seams that melt, then the least margin. */
function weigh(ladder: readonly Rung[], input: Input, solidusC: number): readonly number[] {
  const { workingC, leastC } = gapsOf(input.figures)
  const pairs = ladder.slice(1).map((rung, i) => [ladder[i] ?? rung, rung] as const)
  const gaps = pairs.map(([upper, lower]) => gapC(upper, lower, input.gap))
  const aimC = input.gap === 'strict' ? 0 : workingC
  const floorC = input.gap === 'strict' ? 0 : leastC
  const melts = pairs.filter(([upper, lower]) => lower.liquidusC - upper.solidusC > SEAM_MELTS_C)
  const margins = [...gaps, ...ladder.map((rung) => solidusC - rung.liquidusC)]
  return [gaps.filter((gap) => gap < floorC).length, gaps.filter((gap) => gap < aimC).length, melts.length, -Math.min(...margins)]
}

function isBetter(one: readonly number[], other: readonly number[]): boolean {
  const differs = one.findIndex((value, i) => value !== other[i])
  return differs >= 0 && (one[differs] ?? 0) < (other[differs] ?? 0)
}

/**
 * The ladder: of all ways down, one that works at all, then one whose least margin is the largest, to the seam above and to the metals
 * in the heat. One joint takes the highest that keeps clear of them. Where there are more joints than rungs the lowest comes again.
 */
function ladderOf(rungs: readonly Rung[], input: Input, solidusC: number): Rung[] {
  if (input.jointCount === 1) {
    const clear = rungs.find((rung) => rung.liquidusC <= solidusC - gapsOf(input.figures).guardC) ?? rungs.at(-1)
    return clear ? [clear] : []
  }
  for (let count = Math.min(input.jointCount, rungs.length); count > 0; count--) {
    let best: { readonly ladder: readonly Rung[]; readonly weight: readonly number[] } | undefined
    for (const ladder of waysDown(rungs, count)) {
      const weight = weigh(ladder, input, solidusC)
      if (weight[0] === 0 && (!best || isBetter(weight, best.weight))) best = { ladder, weight }
    }
    const last = best?.ladder.at(-1)
    if (best && last) return [...best.ladder, ...Array.from({ length: input.jointCount - count }, () => last)]
  }
  return []
}

function marginChecks(ladder: readonly Rung[], alloy: Alloy, { guardC }: Gaps): Check[] {
  const seen = new Set<string>()
  return ladder.flatMap((rung): Check[] => {
    const margin = alloy.solidusC - rung.liquidusC
    if (margin >= guardC || seen.has(rung.name)) return []
    seen.add(rung.name)
    return [
      {
        level: 'warn',
        code: 'narrow-margin',
        actual: { value: margin, unit: '°C' },
        limit: { value: guardC, unit: '°C' },
        source: 'aws-a5-8',
        message: `${rung.name} flows ${Math.round(margin)} degrees under where ${alloy.title.toLowerCase()} begins to melt: a very narrow margin. Even heat, and watch for slumping.`,
      },
    ]
  })
}

/** A seam above that has begun to melt when the next solder flows. */
function seamCheck(i: number, strictC: number, facts: Pick<Check, 'source' | 'actual' | 'limit'>): Check {
  const far = strictC < -SEAM_MELTS_C
  return {
    level: far ? 'warn' : 'note',
    code: 'seam-softens',
    ...facts,
    message: `Joint ${i} has begun to melt when joint ${i + 1} flows (${-strictC} degrees over its solidus): ${far ? 'hold it with binding wire or anti-flow.' : 'fine in practice for a small, unloaded seam.'}`,
  }
}

function gapChecks(ladder: readonly Rung[], { workingC, leastC }: Gaps): Check[] {
  return ladder.flatMap((rung, i): Check[] => {
    const upper = ladder[i - 1]
    if (!upper) return []
    const working = upper.liquidusC - rung.liquidusC
    const strict = upper.solidusC - rung.liquidusC
    const base = {
      source: 'aws-a5-8' as const,
      actual: { value: working, unit: '°C' as const },
      limit: { value: workingC, unit: '°C' as const },
    }
    if (working === 0)
      return [
        {
          level: 'warn',
          code: 'same-again',
          ...base,
          message: `Joint ${i + 1} uses ${rung.name} again: hold joint ${i} with binding wire, pins or anti-flow, and keep the flame off it.`,
        },
      ]
    if (working < workingC)
      return [
        {
          level: 'warn',
          code: 'close-flows',
          ...base,
          message: `Joint ${i + 1} flows only ${working} degrees under joint ${i}${working < leastC ? ': it will very likely reopen' : ': protect the seam above'}.`,
        },
      ]
    return strict < 0 ? [seamCheck(i, strict, base)] : []
  })
}

function refused(rungs: readonly Rung[], alloy: Alloy, { leastC }: Gaps): Check[] {
  return rungs
    .filter((rung) => rung.liquidusC > alloy.solidusC - leastC)
    .map((rung) => {
      const forbidden = rung.liquidusC >= alloy.liquidusC
      return {
        level: forbidden ? 'stop' : 'warn',
        code: forbidden ? 'solder-over-liquidus' : 'solder-near-solidus',
        actual: { value: rung.liquidusC, unit: '°C' },
        limit: { value: forbidden ? alloy.liquidusC : alloy.solidusC, unit: '°C' },
        source: 'alloy-handbook',
        message: `${rung.name} flows at ${rung.liquidusC} °C, ${forbidden ? 'where the metal is liquid: never' : `within ${leastC} degrees of where ${alloy.title.toLowerCase()} begins to melt, or over it: left out`}.`,
      } satisfies Check
    })
}

function fluxWords(ladder: readonly Rung[]): string {
  const right = FLUXES.filter((flux) => ladder.every((rung) => isFluxRight(flux, rung)))
  return right.map((flux) => flux.name).join(' or ')
}

function pictureOf(ladder: readonly Rung[], alloy: Alloy): Ladder {
  return {
    unit: '°C',
    spacing: 'linear',
    joined: true,
    steps: ladder.map((rung, i) => ({ name: `${i + 1}  ${rung.name}`, from: rung.solidusC, to: rung.liquidusC })),
    limits: [
      { name: `${alloy.title.toLowerCase()} begins to melt`, at: alloy.solidusC },
      ...(alloy.liquidusC > alloy.solidusC ? [{ name: 'liquid', at: alloy.liquidusC }] : []),
    ],
  }
}

const CAUTION: Check = {
  level: 'note',
  code: 'care-heat',
  source: 'bench-practice',
  message:
    'Ventilate: flux fume, zinc fume; never solder with cadmium. Eye protection, clear fireproof bench. Follow the product’s safety sheet and local rules.',
}

export const solderAdviser = defineAdviser({
  id: 'solder',
  title: 'Solder ladder',
  question: 'Which solders, for so many joints?',
  input,
  example: { alloy: 'sterling-925', jointCount: 2 },
  advise: (input) => {
    const alloy = firstToMelt(input)
    const gaps = gapsOf(input.figures)
    const all = rungsOf(input)
    const ladder = ladderOf(
      all.filter((rung) => rung.liquidusC <= alloy.solidusC - gaps.leastC),
      input,
      alloy.solidusC,
    )
    if (ladder.length === 0)
      return {
        path: 'alloy',
        message: !alloy.behaviour.solders
          ? `${alloy.title.toLowerCase()} is not joined with silver solder: it melts first, or nothing wets it; rivets, tabs or glue`
          : `no solder in reach flows below ${alloy.title.toLowerCase()}’s ${alloy.solidusC} °C; use a lower-flowing one from its supplier`,
      }
    const log: WorkingLog = []
    ladder.forEach((rung, i) => {
      const upper = ladder[i - 1]
      derive(log, {
        label: upper ? `Gap to joint ${i + 1}` : 'Margin of joint 1 to the metal',
        formula: 'a − b',
        unit: '°C',
        source: upper ? 'aws-a5-8' : 'alloy-handbook',
        given: [
          given('a', upper ? `${upper.name} flows` : `${alloy.title} begins to melt`, upper ? upper.liquidusC : alloy.solidusC, '°C'),
          given('b', `${rung.name} flows`, rung.liquidusC, '°C'),
        ],
      })
    })
    const repeats = ladder.some((rung, i) => ladder[i - 1] === rung)
    return {
      answer: ladder.map((rung) => rung.name).join(' → '),
      reason: `Highest flow first, so that no later heat reopens an earlier seam. Flux: ${fluxWords(ladder) || 'ask the solder’s supplier'}.`,
      picks: ladder.map(
        (rung): ToolPick => ({
          name: rung.name,
          value: rung.liquidusC,
          unit: '°C',
          detail: `melts from ${rung.solidusC}, flows at ${rung.liquidusC} °C`,
          grade: 'right',
          owned: rung.owned,
        }),
      ),
      missing:
        repeats && ladder.some((rung) => rung.owned)
          ? 'Your solders do not make a ladder of that many joints: one more, flowing 20 degrees lower or higher, would.'
          : null,
      checks: [...refused(all, alloy, gaps), ...marginChecks(ladder, alloy, gaps), ...gapChecks(ladder, gaps), CAUTION],
      working: log,
      picture: { kind: 'ladder', ladder: pictureOf(ladder, alloy) },
    }
  },
})
