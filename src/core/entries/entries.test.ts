import { describe, expect, it } from 'vitest'
import { plainWords } from '../units'
import { jobEntry, pieceEntry, settingsSchema, toolEntry } from '.'

const issuesOf = (schema: typeof jobEntry | typeof pieceEntry | typeof settingsSchema | typeof toolEntry, typed: object) => {
  const read = schema.safeParse(typed, { error: plainWords })
  return read.success ? {} : Object.fromEntries(read.error.issues.toReversed().map((issue) => [issue.path.join('.'), issue.message]))
}

describe('what is typed into a form', () => {
  it('numbers are read as they are typed, and refused with what is possible', () => {
    expect(pieceEntry.parse({ name: 'x', form: 'disc', quantity: ' 12 ', spares: '0' })).toMatchObject({ quantity: 12, spares: 0 })
    for (const quantity of ['', '0', '2.5', '5001', 'many', '1e3'])
      expect(issuesOf(pieceEntry, { name: 'x', form: 'disc', quantity })).toEqual({ quantity: 'How many: a whole number, 1 to 5000' })
  })
  it.each([
    ['2027-02-29', 'Due: there is no such day'],
    ['tomorrow', 'Due: a date such as 2027-03-01'],
  ])('the day %s is refused', (dueOn, message) => expect(issuesOf(jobEntry, { title: 'x', dueOn }).dueOn).toBe(message))
  it('a job needs a name and nothing else', () => {
    expect(issuesOf(jobEntry, { title: '  ' })).toEqual({ title: 'Job: give it a name, such as what is made' })
    expect(jobEntry.parse({ title: ' Rings ' })).toMatchObject({ title: 'Rings', customer: '', dueOn: null, status: 'asked' })
  })
  it('settings say every complaint by its own field', () => {
    expect(issuesOf(settingsSchema, { checkBarMm: '60', kerfMm: 'thin', currency: 'euros' })).toEqual({
      checkBarMm: 'The check bar measured: a length in mm, 45 to 55',
      kerfMm: 'Saw kerf: a length in mm, 0 to 2',
      currency: 'Currency of prices: three letters, such as EUR',
    })
    expect(settingsSchema.parse({ practice: 'true', kerfMm: '0,35' })).toMatchObject({ practice: true, kerfMm: 0.35 })
  })
  it('a tool’s sizes are read with its kind', () => {
    expect(issuesOf(toolEntry, { kind: 'drill', label: 'x', size: 'P400', measured: 'y' })).toHaveProperty('size')
    expect(issuesOf(toolEntry, { kind: 'blade', label: 'x', size: '4/0', measured: '' })).toEqual({})
    expect(issuesOf(toolEntry, { kind: 'abrasive', label: 'x', size: '320' }).size).toMatch(/Which 320\?/)
    expect(toolEntry.parse({ kind: 'drill', label: 'x', count: '' }).count).toBe(1)
  })
})
