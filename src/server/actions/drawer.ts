import * as z from 'zod'
import { type EntryIssue, readStock, readStockThickness, stockEntry } from '@/core/entries'
import { ALLOYS, BOUGHT_TEMPERS } from '@/core/metals'
import type { NewStock, Repositories, Stock } from '../db/repositories'
import { type ActionResult, type Against, linesOf, ownAction, refuse } from './action'

const GONE = 'This metal is no longer in the drawer.'
const refuseAll = (issues: readonly EntryIssue[]) => refuse(issues.map((issue) => issue.message).join('. '), issues)

/** Puts a sheet, a wire or a tube into the drawer. */
export const addStock = ownAction({
  input: stockEntry,
  against: 'new',
  run: ({ drawer, settings, transaction }, entry) => {
    const { facts, issues } = readStock(entry, settings.read().gaugeSystem)
    if (!facts) return refuseAll(issues)
    return transaction(() => {
      const label = drawer.nextLabel(entry.kind)
      const { kind, alloy, temper } = entry
      const id = drawer.add({ label, kind, alloy, thicknessTyped: entry.thickness, temper, parentId: null, holes: [], ...facts })
      return { ok: true as const, id, label }
    })
  },
})

/** Another piece of metal just like one there is, under a label of its own; what was measured of the first is not known of it. */
export const duplicateStock = ownAction({
  input: z.object({ id: z.number() }),
  against: 'new',
  run: ({ drawer, transaction }, { id }) => {
    const stock = drawer.one(id)
    if (!stock) return refuse(GONE, [], 'gone')
    return transaction(() => {
      const label = drawer.nextLabel(stock.kind)
      return { ok: true as const, id: drawer.add({ ...stock, label, measuredMm: null, parentId: null }), label }
    })
  },
})

const LABELS = { label: 'Label', alloy: 'Metal', thickness: 'Thickness as sold', measured: 'As measured', temper: 'Temper', shape: 'Shape' }

/** What can be corrected of a piece of metal, as it stands. */
function wordsOf(stock: Corrected) {
  const { label, alloy, thicknessTyped: thickness, temper } = stock
  const measured = stock.measuredMm === null ? '' : `${stock.measuredMm} mm`
  return {
    label,
    alloy: ALLOYS[alloy].title,
    thickness,
    measured,
    temper: BOUGHT_TEMPERS[temper],
    shape: JSON.stringify(stock.outer ?? stock.lengthMm),
  }
}

type Corrected = Omit<NewStock, 'kind' | 'holes' | 'parentId'>

/** Writes the correction and what it corrected, in words; nothing where nothing changes. */
function correct({ drawer }: Repositories, stock: Stock, corrected: Corrected): ActionResult<{ revision: number }> {
  const lines = linesOf(LABELS, wordsOf(stock), wordsOf(corrected))
  const words = lines
    .map((line) => (line.label === LABELS.shape ? 'Shape entered anew' : `${line.label}: ${line.now} is ${line.yours}`))
    .join('; ')
  if (words !== '' && !drawer.correct(stock.id, corrected, words)) return refuse(GONE, [], 'gone')
  return { ok: true, revision: drawer.one(stock.id)?.revision ?? stock.revision }
}

const correction = stockEntry.omit({ kind: true }).extend({
  id: z.number(),
  label: z.string().trim().min(1, { error: 'Label: what is written on it' }).max(40, { error: 'Label: at most 40 characters' }),
  /** Whether the shape was entered anew; otherwise it stays as it is. */
  reshape: z.boolean().default(false),
})

function againstStock({ drawer }: Repositories, id: number, lines: (stock: Stock) => Against['lines']): Against | undefined {
  const stock = drawer.one(id)
  return stock && { revision: stock.revision, lines: lines(stock) }
}

/** Corrects what is known of a piece of metal. What lies under a layout or was cut keeps its shape. */
export const correctStock = ownAction({
  input: correction,
  against: (to, { id, label, alloy, thickness, measured, temper }) =>
    againstStock(to, id, (stock) => {
      const { shape: _, ...now } = wordsOf(stock)
      const yours = {
        label,
        alloy: ALLOYS[alloy].title,
        thickness,
        measured: measured === '' ? '' : `${measured} mm`,
        temper: BOUGHT_TEMPERS[temper],
      }
      return linesOf(LABELS, now, yours)
    }),
  run: (to, { id, reshape, ...entry }) => {
    const stock = to.drawer.one(id)
    if (!stock) return refuse(GONE, [], 'gone')
    const { label, alloy, temper, thickness: thicknessTyped } = entry
    const { gaugeSystem } = to.settings.read()
    if (!reshape) {
      const { issues, ...thickness } = readStockThickness(entry, gaugeSystem)
      return issues.length > 0 ? refuseAll(issues) : correct(to, stock, { ...stock, label, alloy, temper, thicknessTyped, ...thickness })
    }
    if (to.drawer.isUsed(id)) return refuse('A layout lies on it, or blanks were cut from it: its shape stays as it is.')
    const { facts, issues } = readStock({ ...entry, kind: stock.kind }, gaugeSystem)
    return facts ? correct(to, stock, { label, alloy, temper, thicknessTyped, ...facts }) : refuseAll(issues)
  },
})

/** Keeps the thickness a smith measured; it wins over the nominal one from then on. */
export const measureStock = ownAction({
  input: z.object({ id: z.number(), typed: z.string().max(60), sure: z.boolean().default(false) }),
  against: (to, { id, typed }) =>
    againstStock(to, id, (stock) => linesOf({ measured: 'As measured, mm' }, { measured: stock.measuredMm }, { measured: typed.trim() })),
  run: (to, { id, typed, sure }) => {
    const stock = to.drawer.one(id)
    if (!stock) return refuse(GONE, [], 'gone')
    const { issues, measuredMm } = readStockThickness(
      { thickness: stock.thicknessTyped, measured: typed, sure },
      to.settings.read().gaugeSystem,
    )
    return issues.length > 0 ? refuseAll(issues) : correct(to, stock, { ...stock, measuredMm })
  },
})
