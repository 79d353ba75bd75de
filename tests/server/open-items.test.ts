import { describe, expect, it } from 'vitest'
import { makeableFrom, wantedMetals } from '@/server/services/open-items'
import { planOptions } from '@/server/services/piece-plan'
import { demoWorkshop } from '../support/temp-db'

const to = demoWorkshop().repositories
const options = planOptions(to)

describe('what open jobs still need', () => {
  const metals = wantedMetals(to, options)
  const of = (name: string) => metals.flatMap(({ items }) => items).find((one) => one.name === name)?.item.qty

  it('leaves out what lies on a sheet already, and what a tray has taken up', () => {
    // 22 tags, 11 of them on B-1; 13 tokens, all on S-3
    const tags = to.layouts.ofJob(to.jobs.jobs({ page: 1, size: 99 }).find(({ title }) => title === 'Luggage tags')?.id ?? 0)
    expect(of('Tag')).toBe(22 - (tags[0]?.placements.length ?? 0))
    expect(of('Third-class token')).toBeUndefined()
    // coat buttons, of which a tray has taken up all
    const all = to.jobs.jobs({ page: 1, size: 99 }).flatMap(({ id }) => to.jobs.pieces(id))
    const buttons = all.find(({ name }) => name === 'Guard’s coat button')
    expect(to.trays.ofPiece(buttons?.id ?? 0, 9).reduce((sum, { size }) => sum + size, 0)).toBeGreaterThanOrEqual(26)
    expect(of('Guard’s coat button')).toBeUndefined()
  })

  it('names the sheets of the same metal, with what lies on them taken', () => {
    const brass = metals.find(({ title }) => title === 'Yellow brass, 0.91 mm')
    expect(brass?.sheets.map(({ label }) => label)).toEqual(['B-1, corner gone'])
    expect(brass?.sheets[0]?.taken?.length).toBeGreaterThan(5)
  })
})

describe('what can be made of a piece of metal', () => {
  it('lists blanks of its metal and thickness, those wanted first, each once', () => {
    const stock = to.drawer.all().find(({ label }) => label.startsWith('B-1'))
    if (!stock) throw new Error('no sheet')
    const { blanks } = makeableFrom(to, stock, options)
    expect(blanks.map(({ name }) => name)).toContain('Coach shield 4072')
    expect(new Set(blanks.map(({ item }) => item.id)).size).toBe(blanks.length)
    const firstMade = blanks.findIndex(({ wanted }) => wanted === 0)
    expect(blanks.slice(firstMade < 0 ? blanks.length : firstMade).every(({ wanted }) => wanted === 0)).toBe(true)
    expect(blanks.every(({ item }) => item.alloy === 'yellow-brass-c260')).toBe(true)
  })
})
