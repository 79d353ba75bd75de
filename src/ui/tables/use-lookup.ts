'use client'
import { useMemo, useState } from 'react'
import { type Finding, findInTables, type Neighbour, rulerOfTable, type ScaleMark, scalesOf } from '@/core/lookup'
import { findTable, type Row, type Table } from '@/core/tables'
import { useWorkshop } from '../shared/workshop-context'

interface Picked {
  readonly tableId: string
  readonly rowId: string
}

function firstOf(table: Table): Picked | null {
  const middle = table.rows[Math.floor(table.rows.length / 2)]
  return middle ? { tableId: table.id, rowId: middle.id } : null
}

/** What is typed, what it finds, which row is looked at and how closely. */
export function useLookup(startText: string) {
  const { ringSystem } = useWorkshop()
  const [text, setText] = useState(startText)
  const [picked, setPicked] = useState<Picked | null>(null)
  const [zoom, setZoom] = useState(1)
  const [asTable, setAsTable] = useState(false)
  const found = useMemo(() => findInTables(text, { ringSystem }), [text, ringSystem])
  const first = found.findings[0]
  const shown = picked ?? (first ? { tableId: first.table.id, rowId: first.row.id } : null)
  const table = shown ? findTable(shown.tableId) : undefined
  const row = table?.rows.find((item) => item.id === shown?.rowId)
  const ruler = table && row?.value !== undefined ? rulerOfTable(table.id) : undefined
  const typedMm = 'mm' in found.reading && ruler?.unit === 'mm' && picked === null && first?.how === 'near' ? found.reading.mm : undefined
  const value = typedMm ?? row?.value ?? 1

  function step(direction: 1 | -1): void {
    if (!ruler) return
    const marks = scalesOf(ruler).flatMap((scale) => scale.marks.map((mark) => ({ tableId: scale.table.id, ...mark })))
    const next = marks.filter((mark) => (mark.value - value) * direction > 1e-9).sort((a, b) => (a.value - b.value) * direction)[0]
    if (next) setPicked({ tableId: next.tableId, rowId: next.row.id })
  }

  return {
    text,
    found,
    /** Chosen by hand, not found by typing. */
    isPicked: picked !== null,
    shown,
    table,
    row,
    ruler,
    value,
    span: Math.min(0.95, (ruler?.span ?? 0.3) * zoom),
    asTable,
    setAsTable,
    step,
    type: (typed: string) => {
      setText(typed)
      // in the address, so that it can be kept and gone back to
      window.history.replaceState(null, '', typed.trim() === '' ? '/tables' : `/tables?q=${encodeURIComponent(typed)}`)
      setPicked(null)
    },
    zoom: (factor: number) => setZoom((now) => Math.min(8, Math.max(0.1, now * factor))),
    pick: (tableId: string, rowId: string) => setPicked({ tableId, rowId }),
    pickFinding: (finding: Finding) => setPicked({ tableId: finding.table.id, rowId: finding.row.id }),
    pickMark: (tableId: string, mark: ScaleMark) => setPicked({ tableId, rowId: mark.row.id }),
    pickNeighbour: (neighbour: Neighbour) => setPicked({ tableId: neighbour.tableId, rowId: neighbour.rowId }),
    pickRow: (from: Table, item: Row) => setPicked({ tableId: from.id, rowId: item.id }),
    open: (chosen: Table) => {
      setPicked(firstOf(chosen))
      setAsTable(true)
    },
  }
}
