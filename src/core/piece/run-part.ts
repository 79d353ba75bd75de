import type { FormRun } from '../forms/contract'
import type { RunOptions } from '../forms/define-form'
import type { findForm } from '../forms/registry'
import { recent } from '../working/recent'

type Form = NonNullable<ReturnType<typeof findForm>>

/** Results as they were worked out; what is refused is said anew each time. */
const RUNS = recent<FormRun>(300, (run) => run.ok)
/** Tools and figures by a number each: they are long, and the same for every part. */
const BENCHES = recent<number>(40)
let benches = 0

function benchNumber({ inputVersion: _, ...bench }: RunOptions): number {
  const text = JSON.stringify(bench)
  return BENCHES(text, () => ++benches)
}

/**
 * A form run on a part's input. What was worked out is kept: the same input under the same bench gives the same result, so that a change of
 * one part, or of the route, leaves the others as they are. What is refused is said anew each time.
 */
export function runPart(form: Form, input: unknown, options: RunOptions): FormRun {
  const key = `${form.id} ${options.inputVersion} ${benchNumber(options)} ${JSON.stringify(input)}`
  return RUNS(key, () => form.run(input, options))
}
