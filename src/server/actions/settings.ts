import * as z from 'zod'
import { isSameContent } from '@/core/content'
import { type Settings, settingsSchema } from '@/core/entries'
import { ALLOY_IDS, ALLOYS, type AlloyId } from '@/core/metals'
import { FIGURES, LEARNABLE } from '@/core/tables'
import { formatPlain, readPlainNumber } from '@/core/units'
import type { Repositories } from '../db/repositories'
import { type Against, linesOf, ownAction, readAction, refuse } from './action'

const LABELS: Readonly<Record<string, string>> = {
  workshopName: 'Name',
  units: 'Sizes shown in',
  ringSystem: 'Ring sizes',
  defaultAlloy: 'Usual metal',
  kerfMm: 'Saw kerf, mm',
  marginMm: 'Margin, mm',
  paper: 'Paper',
  checkBarMm: 'The check bar measured, mm',
  practice: 'Practice instruments',
  workFrom: 'Work from',
  workTo: 'Work until',
  breakFrom: 'Break from',
  breakTo: 'Break until',
  workDays: 'Working days',
  torches: 'Torches',
  potTrays: 'Trays in the pickle pot',
  tumblerTrays: 'Trays in the tumbler',
  gaugeSystem: 'Gauge numbers belong to',
  currency: 'Currency of prices',
  torchW: 'Torch, W',
  flux: 'Flux',
  figures: 'Own figures',
  methods: 'Methods',
  orderSchools: 'Order of work',
  scaleCheck: 'Scale on its check weight',
}

const isRecord = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null && !Array.isArray(value)

/** A line for each setting that would be changed; of those that hold many, for each of the many. */
function settingLines(now: Settings, input: Readonly<Record<string, unknown>>): Against['lines'] {
  const before = now as Readonly<Record<string, unknown>>
  return Object.keys(input).flatMap((key) => {
    const [was, wanted] = [before[key], input[key]]
    if (isSameContent(was, wanted)) return []
    const label = LABELS[key] ?? key
    if (!isRecord(was) || !isRecord(wanted)) return linesOf({ [key]: label }, before, input)
    const names = [...new Set([...Object.keys(was), ...Object.keys(wanted)])]
    return linesOf(Object.fromEntries(names.map((name) => [name, `${label}: ${name}`])), was, wanted)
  })
}

export function againstSettings({ settings }: Repositories, lines: Against['lines']): Against {
  return { revision: settings.revision(), lines }
}

export const saveSettings = ownAction({
  input: z.record(z.string(), z.unknown()),
  against: (to, input) => {
    return againstSettings(to, settingLines(to.settings.read(), input))
  },
  run: ({ settings }, input) => {
    const read = readAction(settingsSchema, { ...settings.read(), ...input })
    if (!read.ok) return read
    settings.write(read.data)
    return { ok: true }
  },
})

/** Keeps a figure of one's own beside a preset of the bench; empty goes back to the preset. */
export const keepFigure = ownAction({
  input: z.object({ id: z.string(), typed: z.string().max(60) }),
  against: (to, { id, typed }) =>
    againstSettings(
      to,
      linesOf({ figure: figureOf(id)?.title ?? id }, { figure: to.settings.read().figures[id] }, { figure: typed.trim() }),
    ),
  run: ({ settings }, { id, typed }) => {
    const known = figureOf(id)
    if (!known) return refuse('This figure is not among those that can be changed.')
    const { [id]: _, ...others } = settings.read().figures
    if (typed.trim() === '') {
      settings.write({ figures: others })
      return { ok: true }
    }
    const value = readPlainNumber(typed)
    if (!Number.isFinite(value) || value < known.minimum || value > known.maximum)
      return refuse(
        `${known.title}: "${typed}" was given; allowed: ${formatPlain(known.minimum, 3)} to ${formatPlain(known.maximum, 3)} ${known.unit}`,
      )
    settings.write({ figures: { ...others, [id]: value } })
    return { ok: true }
  },
})

/** Trials of one figure that are kept; more would move it no further. */
const MOST_TRIALS = 200

/** Keeps what was measured of a metal, trial by trial: the figure it tells is learned from all of them. */
export const keepTrials = ownAction({
  input: z.object({ id: z.string(), values: z.array(z.number()).max(MOST_TRIALS) }),
  against: (to, { id, values }) =>
    againstSettings(
      to,
      linesOf(
        { trials: figureOf(id)?.title ?? id },
        { trials: (to.settings.read().trials[id] ?? []).map((value) => formatPlain(value, 3)).join(', ') },
        { trials: values.map((value) => formatPlain(value, 3)).join(', ') },
      ),
    ),
  run: ({ settings }, { id, values }) => {
    const known = LEARNABLE.includes(id) ? figureOf(id) : undefined
    if (!known) return refuse('This figure is not among those that are learned from trials.')
    const out = values.find((value) => !(value >= known.minimum && value <= known.maximum))
    if (out !== undefined)
      return refuse(
        `${known.title}: ${formatPlain(out, 3)} was found; ${formatPlain(known.minimum, 3)} to ${formatPlain(known.maximum, 3)} ${known.unit} can be. Measure again.`,
      )
    const { [id]: _, ...others } = settings.read().trials
    settings.write({ trials: values.length > 0 ? { ...others, [id]: values } : others })
    return { ok: true }
  },
})

function figureOf(id: string) {
  return Object.hasOwn(FIGURES, id) ? FIGURES[id] : undefined
}

/** Takes a day's prices of some metals from a feed: they are the workshop’s own figures from then on; none goes back to the preset. */
export const takePrices = ownAction({
  input: z.object({
    day: z.iso.date({ error: 'Day: a date such as 2027-03-01' }).or(z.literal('')),
    prices: z.partialRecord(z.enum(ALLOY_IDS), z.number().min(0).max(10_000, { error: 'Price: at most 10000 a gram' }).nullable()),
  }),
  against: (to, { prices }) => {
    const { figures } = to.settings.read()
    const alloys = ALLOY_IDS.filter((alloy) => prices[alloy] !== undefined)
    const named = (read: (alloy: AlloyId) => unknown) => Object.fromEntries(alloys.map((alloy) => [alloy, read(alloy)]))
    return againstSettings(
      to,
      linesOf(
        Object.fromEntries(alloys.map((alloy) => [alloy, `A gram of ${ALLOYS[alloy].title.toLowerCase()}`])),
        named((alloy) => figures[`price-${alloy}`]),
        named((alloy) => prices[alloy]),
      ),
    )
  },
  run: ({ settings }, { day, prices }) => {
    const others = Object.entries(settings.read().figures).filter(([id]) => prices[id.replace('price-', '') as AlloyId] === undefined)
    const taken = Object.entries(prices).flatMap(([alloy, price]) =>
      price === null || price === undefined ? [] : [[`price-${alloy}`, price]],
    )
    settings.write({ figures: Object.fromEntries([...others, ...taken]), pricesOn: day })
    return { ok: true }
  },
})
