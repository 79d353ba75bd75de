import { describe, expect, it } from 'vitest'
import { findThings } from '@/server/services/find-things'
import { addPiece, designOf } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const DISC = designOf('disc', { diameterMm: 21, alloy: 'copper-c110', thicknessMm: 0.9 })

function filled() {
  const { repositories: to } = tempWorkshop()
  const piece = addPiece(to, 'Signal token', DISC, 3)
  addPiece(to, 'Lamp button', DISC, 3)
  to.tools.add({ kind: 'punch', label: 'signal punch', nominal: 12 })
  return { to, piece }
}

describe('finding by name', () => {
  it('finds pieces, tools and tables by any part of their name, what begins with it first', () => {
    const { to, piece } = filled()
    const found = findThings(to, 'SIGNAL')
    expect(found.map(({ kind, name }) => [kind, name])).toContainEqual(['piece', 'Signal token'])
    expect(found.map(({ kind, name }) => [kind, name])).toContainEqual(['tool', 'signal punch'])
    expect(found.find((thing) => thing.kind === 'piece')?.href).toBe(`/pieces/${piece}`)
    expect(findThings(to, 'punch')[0]).toMatchObject({ kind: 'tool', about: 'Dapping punches', href: '/drawer/tools' })
    expect(findThings(to, 'archive')).toContainEqual({ kind: 'place', name: 'Archive', about: 'what was archived', href: '/archive' })
    expect(findThings(to, 'incompatible')[0]).toMatchObject({ kind: 'table', name: 'Incompatible materials' })
  })
  it('leaves out what is in the archive, and what hangs on an archived job', () => {
    const { to, piece } = filled()
    to.archive.put('piece', piece)
    expect(findThings(to, 'signal').map(({ kind }) => kind)).not.toContain('piece')
    const lamp = findThings(to, 'lamp').find((thing) => thing.kind === 'piece')
    to.archive.put('job', to.jobs.piece(Number(lamp?.href.split('/').at(-1)))?.jobId ?? 0)
    expect(findThings(to, 'lamp').filter(({ kind }) => kind === 'piece' || kind === 'job')).toEqual([])
  })
  it('takes signs of a pattern for themselves, and nothing for nothing', () => {
    const { to } = filled()
    for (const words of ['%', '__', '\\', '', ' s', 'x'.repeat(90)]) expect(findThings(to, words)).toEqual([])
  })
})
