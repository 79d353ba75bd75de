import type { FormResult } from '../forms/contract'
import { formAssembly } from '../kits/form-routes'
import type { DesignStep } from './design-step'
import { withSizes } from './with-sizes'

/** The usual route of a form by itself, with the sizes of a result. */
export function formRoute(result: FormResult): Omit<DesignStep, 'id'>[] {
  return withSizes(formAssembly(result.form)?.steps ?? [], () => true, result)
}
