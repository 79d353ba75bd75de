import { FORMS, type MethodChoice, methodChoices } from '@/core/forms'

let known: Promise<readonly MethodChoice[]> | undefined

async function gather(): Promise<readonly MethodChoice[]> {
  const found = methodChoices()
  for (const form of FORMS) {
    found.add(form)
    // every form is calculated once; whoever else asks meanwhile is answered in between
    await new Promise(setImmediate)
  }
  return found.all()
}

/** Every choice of method there is; gathered once as long as the program runs. */
export function allMethods(): Promise<readonly MethodChoice[]> {
  known ??= gather()
  return known
}
