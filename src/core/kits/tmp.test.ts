import { it } from 'vitest'
import { ALLOY_IDS } from '../metals/alloys'
import { checkRoute } from '../rules/check'
import { FORM_IDS } from '../forms/registry'
import { formAssembly } from './form-routes'
it('x', () => {
  const out = new Map<string, Set<string>>()
  for (const form of FORM_IDS) for (const alloy of ALLOY_IDS) {
    const a = formAssembly(form, {}, { alloy }) ; if (!a) continue
    for (const f of checkRoute(a).findings) if (f.level !== 'note') { const k = `${alloy} ${f.rule} ${f.level} ${f.message}`; out.set(k, (out.get(k) ?? new Set()).add(form)) }
  }
  for (const [k, v] of out) console.log(k, v.size, [...v].slice(0, 3).join())
})
