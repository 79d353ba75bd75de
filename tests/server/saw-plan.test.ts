import DxfParser from 'dxf-parser'
import { describe, expect, it } from 'vitest'
import { LINE_PURPOSES, patternDxf } from '@/core/drawing'
import { boundsOf } from '@/core/geometry'
import { cutLayout } from '@/server/services/cut-layout'
import { printOf } from '@/server/services/print-layout'
import { bladesBroken, sawBench } from '@/server/services/saw-plan'
import { demoWorkshop } from '../support/temp-db'

const to = demoWorkshop().repositories

describe('how long a blade lasts', () => {
  it('is told by the metal sawn since a layout was cut, and the blades that broke over it', async () => {
    const job = to.jobs.jobs({ page: 1, size: 99 }).find(({ title }) => title === 'Ticket tokens')
    const layout = to.layouts.draftOf(job?.id ?? 0)
    const blade = to.tools.all().find(({ kind }) => kind === 'blade')
    if (!layout || !blade) throw new Error('no layout or no blade')
    // blades that broke before anything was cut tell nothing
    expect(bladesBroken(to)).toBeUndefined()
    await cutLayout(to, layout.id)
    expect(bladesBroken(to)?.blades).toBe(0)
    to.tools.change(blade.id, -3, 'broke')
    // thirteen discs 27.4 mm across in 0.91 mm; the ways in to them and half a kerf come to under a tenth
    const rimsMm2 = 13 * Math.PI * 27.4 * 0.91
    const { sawnMm2 = 0, blades } = bladesBroken(to) ?? {}
    expect(blades).toBe(3)
    expect(sawnMm2).toBeGreaterThan(rimsMm2)
    expect(sawnMm2).toBeLessThan(1.1 * rimsMm2)
    expect(sawBench(to).bladesBroken).toEqual({ sawnMm2, blades: 3 })
  })
})

describe('a layout as DXF', () => {
  it('is read by another reader with a layer for each purpose, where and as large as it is', () => {
    const job = to.jobs.jobs({ page: 1, size: 99 }).find(({ title }) => title === 'Luggage tags')
    const print = printOf(to, to.layouts.draftOf(job?.id ?? 0)?.id ?? 0, { method: 'glue' })
    const [pattern] = print?.patterns ?? []
    if (!pattern) throw new Error('no pattern')
    const read = new DxfParser().parseSync(patternDxf(pattern))
    const entities = (read?.entities ?? []) as unknown as {
      readonly layer: string
      readonly vertices: readonly { x: number; y: number }[]
    }[]
    expect(entities).toHaveLength(pattern.lines.length)
    for (const purpose of ['saw-outside', 'saw-inside', 'drill', 'edge'] as const) {
      const lines = pattern.lines.filter((line) => line.purpose === purpose)
      expect(lines.length).toBeGreaterThan(0)
      expect(entities.filter(({ layer }) => layer === LINE_PURPOSES[purpose].layer)).toHaveLength(lines.length)
    }
    pattern.lines.forEach(({ points }, i) => {
      const [own, its] = [boundsOf(points), boundsOf((entities[i]?.vertices ?? []).map(({ x, y }): [number, number] => [x, y]))]
      // arcs are kept by their ends and bulges: their corners lie inside the box of the line, never outside it
      for (const side of ['minX', 'minY'] as const) expect(its[side]).toBeGreaterThan(own[side] - 0.01)
      for (const side of ['maxX', 'maxY'] as const) expect(its[side]).toBeLessThan(own[side] + 0.01)
    })
    const sheet = pattern.lines.findIndex(({ purpose }) => purpose === 'edge')
    const corners = (entities[sheet]?.vertices ?? []).map(({ x, y }): [number, number] => [x, y])
    expect(boundsOf(corners)).toMatchObject({ minX: 0, maxX: 214, minY: 0, maxY: 134 })
  })
})
