import * as z from 'zod'
import { against } from './beside-original'
import type { AfterOriginal, Check, Target } from './contract'
import type { FormField } from './fields'
import { typedMm } from './typed-mm'

/** What an original measures, by dimension, and where the piece is to be larger than it on purpose: for strength. */
export type Originals = Readonly<Record<string, { readonly mm: number; readonly stronger: boolean }>>

const [LEAST_MM, MOST_MM] = [0.05, 5000]
/** Sheet as it is rolled may be off by this share of its thickness (EN 1652 and the like, from memory, fairly sure). */
const ROLLED = 0.05

const such = 'an original is given as {"insideDiameterMm": {"mm": 18.2}}, with "stronger": true where the piece is to be larger on purpose'

export const originalsField = () =>
  z
    .record(
      z.string().max(60),
      z.strictObject({ mm: typedMm('The original', LEAST_MM, MOST_MM), stronger: z.boolean().default(false) }, { error: such }),
      { error: such },
    )
    .optional()

export function originalsOf(input: Readonly<Record<string, unknown>>): Originals {
  return (input.originals as Originals | undefined) ?? {}
}

/** How far a size that is cut by saw and file is off, mm (common practice, no source). */
const FILED_MM = 0.1
/** Sizes of the metal that a finished piece still shows, and how far each may be off. */
const OF_THE_METAL: Readonly<Record<string, (mm: number) => number>> = {
  widthMm: () => FILED_MM,
  heightMm: () => FILED_MM,
  thicknessMm: (mm) => ROLLED * mm,
}

/** What can be held against an original: what comes out of the piece, and the sizes of its metal. */
export function comparable(
  outcomes: readonly Target[],
  fields: readonly FormField[],
  input: Readonly<Record<string, unknown>>,
): readonly Target[] {
  const out = outcomes.map(({ dimension, label, valueMm, plusMinusMm }) => ({ dimension, label, valueMm, plusMinusMm }))
  const metal = fields.flatMap(({ name, label }): Target[] => {
    const [mm, offMm] = [input[name], OF_THE_METAL[name]]
    if (typeof mm !== 'number' || !offMm || out.some(({ dimension }) => dimension === name)) return []
    return [{ dimension: name, label, valueMm: mm, plusMinusMm: offMm(mm) }]
  })
  return [...out, ...metal]
}

/** A target with what the original measures there, where that is known. */
export function besideOriginal<T extends Target>(target: T, originals: Originals): T {
  const original = originals[target.dimension]
  return original ? { ...target, original } : target
}

/** A piece beside its original: each dimension that was measured on both, and whether it is as it is meant. */
export function afterOriginal(originals: Originals, targets: readonly Target[]): readonly AfterOriginal[] {
  return targets.flatMap((target) => {
    const original = originals[target.dimension]
    return original ? [against(target, original)] : []
  })
}

const TO_DO = {
  copy: 'Make it as the original is, or say that it is larger on purpose.',
  stronger: 'Make it larger, or leave out that it is larger on purpose.',
} as const

/** Said where a piece would not come out as it is meant beside its original, and of what cannot be held against it. */
export function notAsMeant(rows: readonly AfterOriginal[], originals: Originals, targets: readonly Target[]): Check[] {
  const off = rows.filter(({ isAsMeant }) => !isAsMeant)
  const idle = Object.keys(originals).filter((name) => targets.every(({ dimension }) => dimension !== name))
  const idleWords = `What ${idle.map((name) => `“${name}”`).join(', ')} of the original is changes nothing: what can be held against it is ${targets.map(({ dimension }) => dimension).join(', ') || 'nothing'}.`
  return [
    ...off.map(
      ({ label, said, stronger }): Check => ({
        level: 'warn',
        code: 'not-as-original',
        field: 'originals',
        source: 'bench-practice',
        message: `${label}: ${said}. ${TO_DO[stronger ? 'stronger' : 'copy']}`,
      }),
    ),
    ...(idle.length > 0
      ? [{ level: 'note', code: 'original-unused', field: 'originals', source: 'bench-practice', message: idleWords } as const]
      : []),
  ]
}
