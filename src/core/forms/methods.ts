import type { SchoolOption } from './contract'
import { FORMS } from './registry'

/** A choice between methods that several forms ask, with the forms that ask it. */
export interface MethodChoice {
  readonly key: string
  readonly label: string
  /** The one that is usual. */
  readonly preset: string
  readonly options: readonly Pick<SchoolOption, 'id' | 'title' | 'why'>[]
  readonly forms: readonly string[]
}

interface Asked {
  readonly question: string
  readonly label: string
  readonly school: string
  readonly schools: readonly SchoolOption[]
}

/** Forms ask the same where the question has the same name and the same answers. */
const keyOf = ({ question, schools }: Asked): string => `${question}:${schools.map((school) => school.id).join('|')}`

function askedBy(form: (typeof FORMS)[number]): readonly Asked[] {
  const run = form.run({ ...form.example })
  if (!run.ok) return []
  const { question, questionLabel: label, school, schools, choices } = run.result
  return [{ question, label, school, schools }, ...choices].filter((asked) => asked.schools.length > 1)
}

/** Gathers the choices of method that forms ask, each once, in the order the forms are added. */
export function methodChoices() {
  const found = new Map<string, MethodChoice>()
  return {
    add: (form: (typeof FORMS)[number]): void => {
      for (const asked of askedBy(form)) {
        const key = keyOf(asked)
        const before = found.get(key)
        const options = asked.schools.map(({ id, title, why }) => ({ id, title, why }))
        const forms = [...(before?.forms ?? []), form.title]
        found.set(key, before ? { ...before, forms } : { key, label: asked.label, preset: asked.school, options, forms })
      }
    },
    all: (): readonly MethodChoice[] => [...found.values()],
  }
}

/** The methods a new piece of a form starts with, by question: the workshop's own where it has one that the form knows. */
export function startingMethods(formId: string, own: Readonly<Record<string, string>>): Readonly<Record<string, string>> {
  const form = FORMS.find((candidate) => candidate.id === formId)
  if (!form) return {}
  return Object.fromEntries(
    askedBy(form).flatMap((asked) => {
      const wanted = own[keyOf(asked)]
      return asked.schools.some((school) => school.id === wanted) && wanted !== undefined ? [[asked.question, wanted]] : []
    }),
  )
}
