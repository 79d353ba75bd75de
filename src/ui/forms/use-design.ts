'use client'
import { useMemo, useRef, useState } from 'react'
import { type FormField, findForm } from '@/core/forms'
import { type PieceDesign, planPiece } from '@/core/route'
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

/** The input to work with: boxes that still hold a stored size keep what was understood then. */
function inputOf(
  formId: string,
  typed: Typed,
  stored: Readonly<Record<string, unknown>>,
  schools: Readonly<Record<string, string>>,
): Record<string, unknown> {
  const fields = fieldsOf(formId).flatMap(({ name, optional }): [string, unknown][] => {
    const text = typed[name] ?? ''
    const kept = stored[name]
    if (text.trim() === '' && optional) return []
    return [[name, isStored(kept) && kept.typed === text ? kept : text]]
  })
  return { ...Object.fromEntries(fields), schools }
}

interface Piece {
  readonly id: number
  readonly quantity: number
  readonly spares: number
  readonly revision: number
  readonly design: PieceDesign
}

/** A piece's design under the hands: what is typed, what it comes to, and its saving as revisions. */
export function useDesign(piece: Piece) {
  const { ringSystem, bench } = useWorkshop()
  const part = piece.design.parts[0]
  const formId = part?.form ?? ''
  const stored = part?.input ?? {}
  const [typed, setTyped] = useState(() => typedOf(formId, stored))
  const [schools, setSchools] = useState<Readonly<Record<string, string>>>((stored.schools as Record<string, string> | undefined) ?? {})
  const saving = usePieceSaving(piece, () => {
    setTyped(typedOf(formId, stored))
    setSchools((stored.schools as Record<string, string> | undefined) ?? {})
  })

  const input = useMemo(() => inputOf(formId, typed, stored, schools), [formId, typed, stored, schools])
  const plan = useMemo(
    () =>
      planPiece(
        { ...piece.design, parts: [{ id: part?.id ?? 'part-1', form: formId, inputVersion: part?.inputVersion ?? 1, input }] },
        { ringSystem, ...bench },
      ),
    [piece.design, formId, part?.id, part?.inputVersion, input, ringSystem, bench],
  )

  function remember(): PieceDesign | undefined {
    if (!plan.ok) return undefined
    const { understood } = plan.result
    const kept = Object.fromEntries(
      Object.entries(input).map(([name, value]) => {
        const read = understood[name]
        return [name, read ? { typed: read.typed, mm: read.mm } : value]
      }),
    )
    return { ...piece.design, parts: [{ id: part?.id ?? 'part-1', form: formId, inputVersion: part?.inputVersion ?? 1, input: kept }] }
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
    schools,
    plan,
    state: saving.state,
    revision: saving.revision,
    change: (field: string, value: string) => {
      setTyped((before) => ({ ...before, [field]: value }))
      saveSoon(900)
    },
    nudge: (field: string, by: number) => {
      const found = fieldsOf(formId).find((item) => item.name === field)
      const meta = found?.kind === 'number' ? found.meta : undefined
      const now = Number(plan.ok ? mmOf(input[field], plan.result.understood[field]?.mm) : 0)
      const next = Math.min(meta?.maximum ?? Infinity, Math.max(meta?.minimum ?? 0, now + by))
      // a ring's bare number would be a question
      const unit = meta?.size === 'ring' ? ' mm' : ''
      setTyped((before) => ({ ...before, [field]: `${Number(next.toFixed(2))}${unit}` }))
      saveSoon(900)
    },
    choose: (question: string, school: string) => {
      setSchools((before) => ({ ...before, [question]: school }))
      saveSoon(250)
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
