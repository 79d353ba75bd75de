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

const input = z.strictObject({
  alloy: choice('Metal', ALLOY_TITLES),
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

/** How far the seam above is from moving when the next solder flows. */
function gapC(upper: Rung, lower: Rung, gap: Input['gap']): number {
  return (gap === 'strict' ? upper.solidusC : upper.liquidusC) - lower.liquidusC
}

/** From the highest down, each rung far enough below the last. */
function chain(rungs: readonly Rung[], wanted: number, leastC: number, gap: Input['gap']): Rung[] {
  const chosen: Rung[] = []
  for (const rung of rungs) {
    const last = chosen.at(-1)
    if (chosen.length < wanted && (!last || gapC(last, rung, gap) >= leastC)) chosen.push(rung)
  }
  return chosen
}

/** The ladder: by the gap asked for, else by the least that ordinary practice manages; what is left over repeats the lowest. */
function ladderOf(rungs: readonly Rung[], input: Input): Rung[] {
  const { workingC, leastC } = gapsOf(input.figures)
  const wide = chain(rungs, input.jointCount, input.gap === 'strict' ? 0 : workingC, input.gap)
  if (wide.length === input.jointCount) return wide
  const narrow = input.gap === 'strict' ? wide : chain(rungs, input.jointCount, leastC, 'working')
  const best = narrow.length > wide.length ? narrow : wide
  const last = best.at(-1)
  return last ? [...best, ...Array.from({ length: input.jointCount - best.length }, () => last)] : []
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
    return strict < 0
      ? [
          {
            level: 'note',
            code: 'seam-softens',
            ...base,
            message: `Joint ${i} has begun to melt when joint ${i + 1} flows (${-strict} degrees over its solidus): fine in practice for a small, unloaded seam.`,
          },
        ]
      : []
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
    const alloy = ALLOYS[input.alloy]
    const gaps = gapsOf(input.figures)
    const all = rungsOf(input)
    const ladder = ladderOf(
      all.filter((rung) => rung.liquidusC <= alloy.solidusC - gaps.leastC),
      input,
    )
    if (ladder.length === 0)
      return {
        path: 'alloy',
        message: `no solder in reach flows below ${alloy.title.toLowerCase()}’s ${alloy.solidusC} °C; use a lower-flowing one from its supplier`,
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
