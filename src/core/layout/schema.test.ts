import { describe, expect, it } from 'vitest'
import { layoutInput } from './schema'

const square = (mm: number, at = 0): [number, number][] => [
  [at, at],
  [at + mm, at],
  [at + mm, at + mm],
  [at, at + mm],
]
const sheet = { id: 's', outer: square(50) }
const item = { id: 'a', outer: square(10) }
const said = (more: object) => {
  const parsed = layoutInput.safeParse({ sheets: [sheet], items: [item], ...more })
  return parsed.success ? 'read' : parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`).join('; ')
}

describe('a layout instance', () => {
  it('is read as the contract writes it', () => {
    expect(said({})).toBe('read')
    expect(said({ sheets: undefined, container: { outer: square(50) } })).toBe('read')
    expect(said({ sheets: [{ ...sheet, holes: [square(5, 20)], taken: [{ outer: square(6, 2) }] }] })).toBe('read')
    expect(said({ items: [{ ...item, holes: [square(3, 2)] }] })).toBe('read')
  })
  const bowTie: [number, number][] = [
    [0, 0],
    [10, 10],
    [10, 0],
    [0, 9],
  ]
  it.each([
    ['an outline that crosses itself', { items: [{ id: 'a', outer: bowTie }] }, /items\.0\.outer: the outline crosses itself/],
    ['a sheet that does', { sheets: [{ id: 's', outer: bowTie }] }, /sheets\.0\.outer: the outline crosses itself/],
    ['a hole outside its blank', { items: [{ ...item, holes: [square(5, 40)] }] }, /items\.0\.holes: a hole lies outside its outline/],
    ['a hole half out of it', { items: [{ ...item, holes: [square(5, 8)] }] }, /a hole lies outside its outline/],
    ['a hole outside its sheet', { sheets: [{ ...sheet, holes: [square(5, 60)] }] }, /sheets\.0\.holes: a hole lies outside/],
    ['a hole in a hole', { sheets: [{ ...sheet, holes: [square(20, 10), square(4, 14)] }] }, /two holes lie in one another/],
    ['a circle with holes', { items: [{ id: 'a', circle: { radiusMm: 5 }, holes: [square(1)] }] }, /a circle has no holes here/],
    ['two items of one name', { items: [item, item] }, /items: the id "a" comes twice/],
    ['two sheets of one name', { sheets: [sheet, sheet] }, /sheets: the id "s" comes twice/],
    [
      'an outline of no size',
      {
        items: [
          {
            id: 'a',
            outer: [
              [0, 0],
              [1, 0],
              [2, 0],
            ],
          },
        ],
      },
      /an outline of at least 0\.01 mm²/,
    ],
    [
      'three times one point',
      {
        items: [
          {
            id: 'a',
            outer: [
              [1, 1],
              [1, 1],
              [1, 1],
            ],
          },
        ],
      },
      /an outline of at least/,
    ],
    ['a radius of nearly nothing', { items: [{ id: 'a', circle: { radiusMm: 1e-300 } }] }, /a radius of 0\.05 mm or more/],
    [
      'a place beyond all sheets',
      {
        items: [
          {
            id: 'a',
            outer: [
              [0, 0],
              [1e300, 0],
              [0, 5],
            ],
          },
        ],
      },
      /a place within 20000 mm/,
    ],
    ['neither circle nor outline', { items: [{ id: 'a' }] }, /either a circle or an outline/],
  ])('%s is refused', (_, more, message) => expect(said(more)).toMatch(message))
})
