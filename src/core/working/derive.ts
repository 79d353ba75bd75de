import type { SourceId } from '../sources/sources'
import type { Unit } from '../units/unit'
import { evaluateFormula, substituteFormula } from './formula'
import { InvariantError } from './invariant'

export type WorkingKind = 'formula' | 'lookup' | 'solve' | 'simulate' | 'choose'

/** A value that went into a step. */
export interface Given {
  readonly symbol: string
  readonly name: string
  readonly value: number
  readonly unit: Unit
}

/** One line of the working, as shown, printed and returned at every interface. */
export interface WorkingStep {
  readonly kind: WorkingKind
  readonly label: string
  readonly formula: string
  readonly substituted: string
  readonly given: readonly Given[]
  readonly value: number
  readonly unit: Unit
  readonly source: SourceId
  readonly note?: string
}

export type WorkingLog = WorkingStep[]

/** Names a value for a formula: `given('d', 'inside diameter', 16.51, 'mm')`. */
export function given(symbol: string, name: string, value: number, unit: Unit = 'mm'): Given {
  return { symbol, name, value, unit }
}

interface DeriveSpec {
  readonly label: string
  readonly formula: string
  readonly given: readonly Given[]
  readonly unit: Unit
  readonly source: SourceId
  readonly note?: string
}

/**
 * Works a formula out and logs it. The number shown is the number used: the value is read from the formula text itself,
 * so the text and the arithmetic cannot disagree. Throws InvariantError where the result is not finite.
 */
export function derive(log: WorkingLog, spec: DeriveSpec): number {
  const env = Object.fromEntries(spec.given.map((item) => [item.symbol, item.value]))
  const value = evaluateFormula(spec.formula, env)
  if (!Number.isFinite(value))
    throw new InvariantError('working-not-finite', { got: `${spec.formula} = ${value}`, expected: 'a finite number' })
  log.push({ kind: 'formula', substituted: substituteFormula(spec.formula, env), value, ...spec })
  return value
}

/** Logs a value that was looked up, solved for, simulated or chosen rather than calculated by a formula. */
export function note(log: WorkingLog, step: Omit<WorkingStep, 'substituted' | 'given'> & { readonly given?: readonly Given[] }): number {
  log.push({ substituted: '', given: [], ...step })
  return step.value
}
