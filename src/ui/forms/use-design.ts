'use client'
import { useMemo, useRef, useState } from 'react'
import { type FormField, findForm } from '@/core/forms'
import { type DesignPart, type PieceDesign, planPiece } from '@/core/piece'
import type { ActionInput } from '@/server/actions/perform'
import { usePieceSaving } from '../acting/use-piece-saving'
import { useWorkshop } from '../shared/workshop-context'

/** Every field as it stands in its box. */
export type Typed = Readonly<Record<string, string>>

interface Stored {
  readonly typed: string
  readonly mm: number
}

function isStored(value: unknown): value is Stored {
  return typeof value === 'object' && value !== null && 'typed' in value && 'mm' in value
}

function textOf(value: unknown): string {
  if (isStored(value)) return value.typed
  return value === undefined || value === null || typeof value === 'object' ? '' : String(value)
}

function fieldsOf(formId: string): readonly FormField[] {
  return (findForm(formId)?.fields ?? []).filter((field) => field.name !== 'qty')
}

/** What stands in the boxes for a stored input, presets filled in. */
export function typedOf(formId: string, input: Readonly<Record<string, unknown>>): Typed {
  return Object.fromEntries(fieldsOf(formId).map((field) => [field.name, textOf(input[field.name] ?? field.preset)]))
}

/** What an original measures, as typed, and whether the piece is to be larger on purpose. */
export interface TypedOriginal {
  readonly mm: string
  readonly stronger: boolean
}

/** What a part’s input holds beside its fields: the methods, how far each size may be off, and what an original measures, as typed. */
interface Chosen {
  readonly schools: Readonly<Record<string, string>>
  readonly bands: Typed
  readonly originals: Readonly<Record<string, TypedOriginal>>
}

const entriesOf = <T>(value: unknown) => Object.entries((value as Readonly<Record<string, T>> | undefined) ?? {})

function chosenIn({ schools, bands, originals }: Readonly<Record<string, unknown>>): Chosen {
  return {
    schools: (schools as Chosen['schools'] | undefined) ?? {},
    bands: Object.fromEntries(entriesOf(bands).map(([dimension, band]) => [dimension, String(band)])),
    originals: Object.fromEntries(
      entriesOf<{ mm?: unknown; stronger?: unknown }>(originals).map(([dimension, { mm, stronger }]) => [
        dimension,
        { mm: String(mm ?? ''), stronger: stronger === true },
      ]),
    ),
  }
}

/** The input to work with: boxes that still hold a stored size keep what was understood then. */
function inputOf(
  formId: string,
  typed: Typed,
  stored: Readonly<Record<string, unknown>>,
  { schools, bands, originals }: Chosen,
): Record<string, unknown> {
  const fields = fieldsOf(formId).flatMap(({ name, optional }): [string, unknown][] => {
    const text = typed[name] ?? ''
    const kept = stored[name]
    if (text.trim() === '' && optional) return []
    return [[name, isStored(kept) && kept.typed === text ? kept : text]]
  })
  const own = Object.entries(bands).filter(([, text]) => text.trim() !== '')
  const measured = Object.entries(originals).filter(([, { mm }]) => mm.trim() !== '')
  return {
    ...Object.fromEntries(fields),
    schools,
    ...(own.length > 0 ? { bands: Object.fromEntries(own) } : {}),
    ...(measured.length > 0 ? { originals: Object.fromEntries(measured) } : {}),
  }
}

/** A design with something of one part changed. */
function withPart(design: PieceDesign, id: string | undefined, change: Partial<DesignPart>): PieceDesign {
  return { ...design, parts: design.parts.map((part) => (part.id === id ? { ...part, ...change } : part)) }
}

interface Piece {
  readonly id: number
  readonly quantity: number
  readonly spares: number
  readonly revision: number
  readonly design: PieceDesign
}

/** One part of a piece under the hands: what is typed, what it comes to, and the saving of its design as revisions. */
export function useDesign(piece: Piece, partId: string) {
  const { ringSystem, bench, orderSchools } = useWorkshop()
  const part = piece.design.parts.find(({ id }) => id === partId) ?? piece.design.parts[0]
  const formId = part?.form ?? ''
  const stored = part?.input ?? {}
  const [typed, setTyped] = useState(() => typedOf(formId, stored))
  const [chosen, setChosen] = useState(() => chosenIn(stored))
  const saving = usePieceSaving(piece, () => {
    setTyped(typedOf(formId, stored))
    setChosen(chosenIn(stored))
  })

  const input = useMemo(() => inputOf(formId, typed, stored, chosen), [formId, typed, stored, chosen])
  const design = useMemo(() => withPart(piece.design, part?.id, { input }), [piece.design, part?.id, input])
  const plan = useMemo(() => planPiece(design, { ringSystem, schools: orderSchools, ...bench }), [design, ringSystem, orderSchools, bench])
  const planned = plan.parts.find(({ id }) => id === part?.id)
  /** Sizes that were open when the page came are kept however far they have got; a size that stood is only replaced by one that stands. */
  const wasOpen = useMemo(
    () => planPiece(piece.design, { ringSystem, ...bench }).parts.find(({ id }) => id === part?.id)?.result === undefined,
    [piece.design, ringSystem, bench, part?.id],
  )

  function remember(): PieceDesign | undefined {
    if (!planned?.result && !wasOpen) return undefined
    const understood = planned?.result?.understood ?? {}
    const kept = Object.fromEntries(
      Object.entries(input).map(([name, value]) => {
        const read = understood[name]
        return [name, read ? { typed: read.typed, mm: read.mm } : value]
      }),
    )
    return withPart(piece.design, part?.id, { input: kept })
  }
  const latest = useRef(remember)
  latest.current = remember
  const saveSoon = (delayMs: number) =>
    saving.saveSoon(() => {
      const design = latest.current()
      return design && { pieceId: piece.id, design: design as ActionInput<'saveDesign'>['design'] }
    }, delayMs)

  return {
    formId,
    typed,
    bands: chosen.bands,
    originals: chosen.originals,
    plan,
    part: planned,
    state: saving.state,
    revision: saving.revision,
    change: (field: string, value: string) => {
      setTyped((before) => ({ ...before, [field]: value }))
      saveSoon(900)
    },
    nudge: (field: string, by: number) => {
      const found = fieldsOf(formId).find((item) => item.name === field)
      const meta = found?.kind === 'number' ? found.meta : undefined
      const now = Number(planned?.result ? mmOf(input[field], planned.result.understood[field]?.mm) : 0)
      const next = Math.min(meta?.maximum ?? Infinity, Math.max(meta?.minimum ?? 0, now + by))
      // a ring's bare number would be a question
      const unit = meta?.size === 'ring' ? ' mm' : ''
      setTyped((before) => ({ ...before, [field]: `${Number(next.toFixed(2))}${unit}` }))
      saveSoon(900)
    },
    choose: (question: string, school: string) => {
      setChosen((before) => ({ ...before, schools: { ...before.schools, [question]: school } }))
      saveSoon(250)
    },
    changeBand: (dimension: string, text: string) => {
      setChosen((before) => ({ ...before, bands: { ...before.bands, [dimension]: text } }))
      saveSoon(900)
    },
    changeOriginal: (dimension: string, change: Partial<TypedOriginal>) => {
      setChosen((before) => {
        const stands = before.originals[dimension] ?? { mm: '', stronger: false }
        return { ...before, originals: { ...before.originals, [dimension]: { ...stands, ...change } } }
      })
      saveSoon(900)
    },
    saveNow: () => {
      if (saving.state === 'unsaved') void saving.stored()
    },
    move: saving.move,
  }
}

function mmOf(raw: unknown, mm: number | undefined): number {
  return mm ?? (isStored(raw) ? raw.mm : Number(raw))
}
