import fontkit from '@pdf-lib/fontkit'
import { describe, expect, it } from 'vitest'
import { FORMS } from '@/core/forms/registry'
import { onePart, planPiece, wordsOf } from '@/core/piece'
import { TABLES } from '@/core/tables'
import { fontFile, PAPER_FONTS, printable } from '@/server/export/pdf-kit'

const faces = Object.values(PAPER_FONTS).map((name) => [name, fontkit.create(fontFile(name))] as const)

/** Every text in a value, whatever it is made of. */
function* textsIn(value: unknown): Generator<string> {
  if (typeof value === 'string') yield value
  else if (value && typeof value === 'object') for (const item of Object.values(value)) yield* textsIn(item)
}

function missing(texts: Iterable<string>): string[] {
  const signs = new Set([...texts].flatMap((text) => [...printable(text)]))
  return faces.flatMap(([name, face]) =>
    [...signs].filter((sign) => !face.hasGlyphForCodePoint(sign.codePointAt(0) ?? 0)).map((sign) => `${sign} in ${name}`),
  )
}

describe('paper', () => {
  it.each(FORMS.map((form) => [form.id, form] as const))('has a sign for everything that %s says', (_, form) => {
    const plan = planPiece(onePart({ form: form.id, inputVersion: form.inputVersion, input: form.example, bought: 'annealed' }))
    const [part] = plan.parts
    expect(missing([...textsIn(part?.result), ...plan.steps.flatMap((step) => [...textsIn(wordsOf(step, part?.metal))])])).toEqual([])
  })
  it('has a sign for every table', () => expect(missing(textsIn(TABLES))).toEqual([]))
  it('draws Greek, roots and fractions as they are, and a line break as a space', () => {
    expect(printable('π·√(a² − b²) ≥ 3⅞ ± ρ')).toBe('π·√(a² − b²) ≥ 3⅞ ± ρ')
    expect(printable('two\nlines')).toBe('two lines')
  })
})
