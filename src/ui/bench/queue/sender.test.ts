import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Outbox, type PostAnswer, sendRound } from './sender'
import type { OutgoingEntry, QueuedEntry } from './store'

const entry = (token: string): OutgoingEntry => ({
  workshop: 'w',
  token,
  device: 'd',
  tray: 't',
  item: null,
  step: null,
  kind: 'note',
  at: '',
})
const OK: PostAnswer = { status: 200, code: '', message: '' }
const answer = (status: number, code = 'x'): PostAnswer => ({ status, code, message: `said ${status}` })

/** A device's queue in memory, before a program that answers as it is told. */
function device(tokens: readonly string[], program: (token: string, time: number) => PostAnswer) {
  let queue: QueuedEntry[] = tokens.map((token, i) => ({ order: i + 1, entry: entry(token), refused: null, faults: 0 }))
  const posts: string[] = []
  const outbox: Outbox = {
    all: async () => [...queue],
    drop: async ({ order }) => {
      queue = queue.filter((item) => item.order !== order)
    },
    mark: async (item) => {
      queue = queue.map((old) => (old.order === item.order ? item : old))
    },
    post: async ({ token }) => {
      posts.push(token)
      return { ...program(token, posts.length), upTo: posts.length }
    },
  }
  return { outbox, posts, left: () => queue }
}

describe('sending what waits', () => {
  it('goes oldest first, and takes each off the device when it is acknowledged', async () => {
    const { outbox, posts, left } = device(['a', 'b', 'c'], () => OK)
    expect(await sendRound(outbox)).toEqual({ sent: { workshop: 'w', upTo: 3 }, through: true, message: '' })
    expect(posts).toEqual(['a', 'b', 'c'])
    expect(left()).toEqual([])
  })
  it.each([0, 401, 403, 408, 429, 502, 503, 507])('stops at %i and keeps everything in order: nothing overtakes', async (status) => {
    const { outbox, posts, left } = device(['a', 'b', 'c'], (token) => (token === 'b' ? answer(status) : OK))
    expect(await sendRound(outbox)).toEqual({ sent: { workshop: 'w', upTo: 1 }, through: false, message: `said ${status}` })
    expect(posts).toEqual(['a', 'b'])
    expect(left().map((item) => [item.entry.token, item.refused])).toEqual([
      ['b', null],
      ['c', null],
    ])
  })
  it.each([400, 404, 409, 413, 422])('keeps what is refused with %i in sight, with the reason, and goes on', async (status) => {
    const { outbox, left } = device(['a', 'b', 'c'], (token) => (token === 'b' ? answer(status) : OK))
    expect(await sendRound(outbox)).toMatchObject({ sent: { upTo: 3 }, through: true })
    expect(left()).toMatchObject([{ entry: { token: 'b' }, refused: `said ${status}` }])
    expect(await sendRound(outbox)).toMatchObject({ sent: null, through: true })
  })
  it('passes over entries of a workshop that is not open, without refusing them', async () => {
    const { outbox, left } = device(['a', 'b'], (token) => (token === 'a' ? answer(409, 'other-workshop') : OK))
    expect(await sendRound(outbox)).toMatchObject({ sent: { upTo: 2 }, through: true })
    expect(left()).toMatchObject([{ entry: { token: 'a' }, refused: null }])
  })
  it('sets an entry aside, in sight, that the program fails on five times, and lets the next through', async () => {
    const { outbox, left } = device(['poisoned', 'b'], (token) => (token === 'poisoned' ? answer(500) : OK))
    for (let n = 0; n < 4; n++) expect(await sendRound(outbox)).toMatchObject({ sent: null, through: false })
    expect(await sendRound(outbox)).toMatchObject({ sent: { upTo: 6 }, through: true })
    expect(left()).toMatchObject([{ entry: { token: 'poisoned' }, refused: 'said 500', faults: 5 }])
  })
  it('whatever the program answers, no entry is lost, none overtakes, and each arrives at most once acknowledged', () =>
    fc.assert(
      fc.asyncProperty(fc.array(fc.constantFrom(200, 0, 500, 503, 401, 422), { minLength: 1, maxLength: 60 }), async (statuses) => {
        const arrived: string[] = []
        const tokens = ['a', 'b', 'c', 'd', 'e']
        const { outbox, left } = device(tokens, (token, time) => {
          const status = statuses[time % statuses.length] ?? 200
          if (status === 200) arrived.push(token)
          return status === 200 ? OK : answer(status)
        })
        for (let n = 0; n < 12; n++) await sendRound(outbox)
        expect(new Set(arrived).size).toBe(arrived.length)
        expect([...arrived].sort()).toEqual(arrived)
        expect([...arrived, ...left().map((item) => item.entry.token)].sort()).toEqual(tokens)
      }),
    ))
})
