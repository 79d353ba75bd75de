import { describe, expect, it } from 'vitest'
import * as z from 'zod'
import { issuesOf, plainWords, sayIssue } from './plain-words'

function said(schema: z.ZodType, raw: unknown): string {
  const parsed = schema.safeParse(raw, { error: plainWords })
  return parsed.success ? 'taken' : parsed.error.issues.map((issue) => [...issue.path.map(String), issue.message].join(': ')).join('; ')
}

describe('what a schema complains of, in plain words', () => {
  it.each([
    [z.number(), 'x', '"x" was given; it must be a number'],
    [z.number(), undefined, 'nothing was given; it must be a number'],
    [z.number(), null, 'null was given; it must be a number'],
    [z.string(), 3, '3 was given; it must be a text'],
    [z.boolean(), 'yes', '"yes" was given; it must be true or false'],
    [z.array(z.number()), {}, '{} was given; it must be a list'],
    [z.object({}), [1], '[1] was given; it must be an object of fields'],
    [z.int(), 1.5, '1.5 was given; it must be a whole number'],
    [z.enum(['saw', 'file']), 'melt', '"melt" was given; it can be saw, file'],
    [z.literal('free'), 2, '2 was given; it can be free'],
    [z.number().min(0.05), 0, '0 was given; it must be at least 0.05'],
    [z.number().positive(), 0, '0 was given; it must be more than 0'],
    [z.number().max(12), 13, '13 was given; it must be at most 12'],
    [z.number().lt(1), 1, '1 was given; it must be less than 1'],
    [z.string().min(1), '', '"" was given; it must be at least 1 character'],
    [z.string().max(2), 'abc', '"abc" was given; it must be at most 2 characters'],
    [z.array(z.number()).min(3), [1], '[1] was given; it must be at least 3 in the list'],
    [z.strictObject({ a: z.number() }), { a: 1, b: 2 }, 'b: no such field here'],
    [z.union([z.number(), z.string()]), true, 'true was given; that is none of the shapes this takes'],
  ])('%#: %j', (schema, raw, words) => expect(said(schema, raw)).toBe(words))
  it('says where in the whole it is', () =>
    expect(said(z.object({ sheets: z.array(z.object({ id: z.string() })) }), { sheets: [{ id: 'a' }, { id: 4 }] })).toBe(
      'sheets: 1: id: 4 was given; it must be a text',
    ))
  it('leaves a field’s own words alone', () =>
    expect(said(z.number().min(3, { error: 'an outline needs at least three points' }), 2)).toBe('an outline needs at least three points'))
  it('does not spill a long thing that was given', () => expect(said(z.number(), 'x'.repeat(5000)).length).toBeLessThan(120))
  it('never says what only a programmer knows', () => {
    for (const schema of [z.number(), z.string(), z.enum(['a']), z.array(z.string()), z.strictObject({}), z.int().min(1).max(3)])
      for (const raw of [undefined, null, 7.5, 'x', [], [3], { x: 1 }, true, Number.NaN])
        expect(said(schema, raw)).not.toMatch(/invalid|expected|zod|undefined|regex/i)
  })
})

describe('a complaint as a sentence', () => {
  const complaints = (raw: unknown) => {
    const parsed = z.strictObject({ gaugeMm: z.number() }).safeParse(raw, { error: plainWords })
    return parsed.success ? [] : issuesOf(parsed.error).map(sayIssue)
  }
  it('names its field, and none where it is of the whole', () => {
    expect(complaints({ gaugeMm: 'thin' })).toEqual(['gaugeMm: "thin" was given; it must be a number'])
    expect(complaints(null)).toEqual(['null was given; it must be an object of fields'])
    expect(complaints({ gaugeMm: 1, kerf: 2 })).toEqual(['kerf: no such field here'])
  })
})
