import { describe, expect, it } from 'vitest'
import { readMandrel } from './mandrel'
import { findStartingSet, STARTING_SETS } from './starting-sets'
import { type OwnTool, ownToolSchema, sizeOfTool, TOOL_KIND_INFO, usable } from './tools'

const tip: OwnTool = { kind: 'punch', label: 'domer 7' }

describe('tools of one’s own', () => {
  it('a measured size wins over the one it was sold as', () => {
    expect(sizeOfTool({ kind: 'punch', label: '25', nominal: 25, measured: 24.86 })).toBe(24.86)
    expect(sizeOfTool({ kind: 'punch', label: '25', nominal: 25 })).toBe(25)
  })
  it('what has no size or is used up is picked for nothing', () => {
    const wall: OwnTool[] = [
      tip,
      { kind: 'blade', label: '4/0', nominal: 0.22, count: 0 },
      { kind: 'blade', label: '2/0', nominal: 0.26, count: 3 },
    ]
    expect(usable(wall, 'punch')).toEqual([])
    expect(usable(wall, 'blade').map((tool) => tool.label)).toEqual(['2/0'])
  })
})

describe('starting sets', () => {
  it.each(STARTING_SETS)('$title: one kind, valid, sizes in range', ({ id, kind, tools }) => {
    expect(findStartingSet(id)?.tools.length).toBeGreaterThan(0)
    for (const tool of tools) {
      expect(tool.kind).toBe(kind)
      expect(ownToolSchema.safeParse(tool).success, tool.label).toBe(true)
      const size = sizeOfTool(tool)
      const range = TOOL_KIND_INFO[kind].size
      if (size !== undefined && range) {
        expect(size).toBeGreaterThanOrEqual(range.min)
        expect(size).toBeLessThanOrEqual(range.max)
      }
    }
  })
  it('have no two tools of one name in a set', () => {
    for (const set of STARTING_SETS) expect(new Set(set.tools.map((tool) => tool.label)).size).toBe(set.tools.length)
  })
})

describe('mandrel', () => {
  const mandrel: OwnTool = {
    kind: 'mandrel',
    label: 'm',
    facts: {
      marks: [
        { mark: 'b', diameterMm: 18 },
        { mark: 'a', diameterMm: 16 },
        { mark: 'c', diameterMm: 21 },
      ],
    },
  }
  it('lies between the marks whose diameters hold it', () => {
    expect(readMandrel(mandrel, 17)).toEqual({ outcome: 'between', from: 'a', to: 'b', fraction: 0.5 })
    expect(readMandrel(mandrel, 16)).toMatchObject({ from: 'a', fraction: 0 })
    expect(readMandrel(mandrel, 21)).toMatchObject({ to: 'c', fraction: 1 })
  })
  it('off an end, or with one mark, says so', () => {
    expect(readMandrel(mandrel, 15.9)).toEqual({ outcome: 'below', to: 'a' })
    expect(readMandrel(mandrel, 22)).toEqual({ outcome: 'above', from: 'c' })
    expect(readMandrel({ kind: 'mandrel', label: 'm' }, 17)).toEqual({ outcome: 'not-calibrated' })
  })
})
