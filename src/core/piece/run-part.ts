import type { FormRun } from '../forms/contract'
import type { RunOptions } from '../forms/define-form'
import type { findForm } from '../forms/registry'

type Form = NonNullable<ReturnType<typeof findForm>>

/** So many results are kept, those used last. */
const MOST_KEPT = 300
const KEPT = new Map<string, FormRun>()
/** Tools and figures by a number each: they are long, and the same for every part. */
const BENCHES = new Map<string, number>()
const MOST_BENCHES = 40

function benchNumber({ inputVersion: _, ...bench }: RunOptions): number {
  const text = JSON.stringify(bench)
  const known = BENCHES.get(text)
  if (known !== undefined) return known
  if (BENCHES.size >= MOST_BENCHES) {
    BENCHES.clear()
    KEPT.clear()
  }
  BENCHES.set(text, BENCHES.size)
  return BENCHES.size - 1
}

/**
 * A form run on a part's input. What was worked out is kept: the same input under the same bench gives the same result, so that a change of
 * one part, or of the route, leaves the others as they are. What is refused is said anew each time.
 */
export function runPart(form: Form, input: unknown, options: RunOptions): FormRun {
  const key = `${form.id} ${options.inputVersion} ${benchNumber(options)} ${JSON.stringify(input)}`
  const known = KEPT.get(key)
  const run = known ?? form.run(input, options)
  if (!run.ok) return run
  KEPT.delete(key)
  KEPT.set(key, run)
  const [oldest] = KEPT.keys()
  if (KEPT.size > MOST_KEPT && oldest !== undefined) KEPT.delete(oldest)
  return run
}
