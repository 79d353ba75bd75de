import * as z from 'zod'
import { settingsSchema } from '@/core/entries'
import { ALLOY_IDS, ALLOYS, type AlloyId } from '@/core/metals'
import { FIGURES, LEARNABLE } from '@/core/tables'
import { formatPlain, readPlainNumber } from '@/core/units'
import type { Repositories } from '../db/repositories'
import { type Against, linesOf, ownAction, readAction, refuse } from './action'

const LABELS = {
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
}

export function againstSettings({ settings }: Repositories, lines: Against['lines']): Against {
  return { revision: settings.revision(), lines }
}

export const saveSettings = ownAction({
  input: z.record(z.string(), z.unknown()),
  against: (to, input) => {
    const now = to.settings.read()
    return againstSettings(to, linesOf(LABELS, now, { ...now, ...input }))
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
