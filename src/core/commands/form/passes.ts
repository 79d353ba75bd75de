import * as z from 'zod'
import { drawSchedule, rollSchedule } from '../../forming/schedules'
import { boughtStrain } from '../../metals/tempers'
import { alloyWith } from '../../tables/own-metal'
import { lengthMm } from '../../units/fields'
import { type Fault, kindOf, metal, type Ran, thick } from './kind'

const reduced = {
  ...metal,
  lengthMm: lengthMm({ label: 'Length', min: 1, max: 100000 }),
  reductionFraction: z.number().min(0.01).max(0.6).default(0.12),
}
const rollInput = z.strictObject({
  kind: z.literal('roll'),
  ...reduced,
  fromMm: thick,
  toMm: thick,
  widthMm: lengthMm({ label: 'Width', min: 0.2, max: 1000 }),
  rollsMm: lengthMm({ label: 'Rolls', min: 20, max: 300 }).default(60),
})
const drawInput = z.strictObject({ kind: z.literal('draw'), ...reduced, fromMm: thick, toMm: thick })

const isReduced = (fromMm: number, toMm: number): Fault | undefined =>
  toMm < fromMm ? undefined : { path: 'toMm', message: `${toMm} mm was given; allowed: less than ${fromMm} mm` }

function runRoll({ alloy: id, bought, figures, ...input }: z.output<typeof rollInput>): Ran {
  const fault = isReduced(input.fromMm, input.toMm)
  return fault
    ? { fault }
    : { body: { kind: 'roll', passes: rollSchedule({ ...input, alloy: alloyWith(id, figures), strain: boughtStrain(bought) }) } }
}

function runDraw({ alloy: id, bought, figures, ...input }: z.output<typeof drawInput>): Ran {
  const fault = isReduced(input.fromMm, input.toMm)
  return fault
    ? { fault }
    : { body: { kind: 'draw', passes: drawSchedule({ ...input, alloy: alloyWith(id, figures), strain: boughtStrain(bought) }) } }
}

export const roll = kindOf(rollInput, runRoll)
export const draw = kindOf(drawInput, runDraw)
