import * as z from 'zod'
import type { Check } from '../forms/contract'
import { RING_SYSTEMS, ringNeighbours } from '../tables/rings/rings'
import { readMandrel } from '../toolwall/mandrel'
import { choice, lengthMm, ringDiameterMm } from '../units/fields'
import { formatPlain } from '../units/format'
import { note, type WorkingLog } from '../working/derive'
import type { Ladder, ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

const input = z.strictObject({
  insideDiameterMm: ringDiameterMm({ label: 'Ring', min: 8, max: 90, help: 'A size, or the inside diameter.' }),
  widthMm: lengthMm({ label: 'Width of the band', min: 0.5, max: 60 }).default(4),
  readAt: choice('The mandrel is marked for', { centre: 'the middle of the band', edge: 'the leading edge' }).default('centre'),
  ...benchFields(),
})

type Input = z.output<typeof input>

function readings(input: Input): ToolPick[] {
  return input.owned
    .filter((tool) => tool.kind === 'mandrel')
    .map((tool): ToolPick => {
      const read = readMandrel(tool, input.insideDiameterMm)
      const words: Readonly<Record<typeof read.outcome, string>> = {
        between:
          read.fraction !== undefined && read.fraction > 0.985
            ? `at ${read.to}`
            : read.fraction !== undefined && read.fraction < 0.015
              ? `at ${read.from}`
              : `${Math.round(100 * (read.fraction ?? 0))} % of the way from ${read.from} to ${read.to}`,
        below: `smaller than its first mark, ${read.to}`,
        above: `larger than its last mark, ${read.from}`,
        'not-calibrated': 'not calibrated: measure its diameter at two marks or more',
      }
      return {
        name: tool.label,
        value: input.insideDiameterMm,
        unit: 'mm',
        detail: words[read.outcome],
        grade: read.outcome === 'between' ? 'right' : 'no',
        owned: true,
      }
    })
}

function ladder(insideDiameterMm: number): Ladder {
  const steps = RING_SYSTEMS.flatMap((system) => {
    const near = ringNeighbours(system, insideDiameterMm)
    return near
      ? [
          {
            name: `${system} ${near.tie ? near.tie.join(' or ') : near.nearest}`,
            from: insideDiameterMm,
            to: insideDiameterMm + near.differenceMm,
          },
        ]
      : []
  })
  return { unit: 'mm', spacing: 'linear', joined: false, steps, limits: [{ name: 'the ring', at: insideDiameterMm }] }
}

export const mandrelAdviser = defineAdviser({
  id: 'mandrel',
  title: 'Where a ring reads on your mandrel',
  question: 'Which mark?',
  input,
  example: { insideDiameterMm: 'UK Q½', widthMm: 5 },
  advise: (input) => {
    const own = readings(input)
    const best = own.find((pick) => pick.grade === 'right')
    const log: WorkingLog = []
    note(log, {
      kind: 'lookup',
      label: 'Inside diameter',
      formula: 'between the measured marks, along a straight line',
      value: input.insideDiameterMm,
      unit: 'mm',
      source: best ? 'own-choice' : 'us-ring-scale',
    })
    const at = input.readAt === 'centre' ? 'the middle of its width' : 'its leading edge'
    const checks: Check[] = [
      {
        level: 'note',
        code: 'read-at',
        source: 'bench-practice',
        message: `Read it at ${at}; a mandrel marked for the other way is ${formatPlain(input.widthMm / 2, 1)} mm along from there.`,
      },
    ]
    return {
      answer: best ? `${best.name}: ${best.detail}` : `${formatPlain(input.insideDiameterMm, 2)} mm inside`,
      reason: best
        ? 'By your own calibration of the mandrel, not by what is stamped on it.'
        : 'Put a mandrel on the tool wall and measure its diameter at its marks: then this names the place on it.',
      picks: own,
      missing: own.length > 0 && !best ? 'No mandrel of yours reaches this size with measured marks.' : null,
      checks,
      working: log,
      picture: { kind: 'ladder', ladder: ladder(input.insideDiameterMm) },
    }
  },
})
