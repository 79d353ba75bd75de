import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { asOnlySender } from '../bench/queue/claim'
import { deviceName } from '../bench/queue/device'
import { randomText } from '../shared/random-text'
import { dropEdit, isToSendHere, type KeptEdit, keepEdit, keptEdits, markLeftWriting, takeLeftWriting, thisTab } from './kept-edits'
import { postAct } from './post-act'

/** A browser's own store, which may be full or shut. */
function storage(shut = false): Storage {
  const kept = new Map<string, string>()
  const guard = () => {
    if (shut) throw new Error('QuotaExceededError')
  }
  return {
    getItem: (key: string) => {
      guard()
      return kept.get(key) ?? null
    },
    setItem: (key: string, value: string) => {
      guard()
      kept.set(key, value)
    },
    removeItem: (key: string) => void kept.delete(key),
    clear: () => kept.clear(),
    key: () => null,
    length: 0,
  }
}

beforeEach(() => {
  vi.stubGlobal('localStorage', storage())
  vi.stubGlobal('sessionStorage', storage())
})
afterEach(() => vi.unstubAllGlobals())

const edit = (key: string, at: string): KeptEdit => ({ key, name: 'saveJob', workshop: 'w', revision: 1, input: { at }, at, tab: 'one' })

describe('edits that were not acknowledged yet', () => {
  it('are kept, the latest of each thing', () => {
    for (const each of [edit('a', '1'), edit('b', '1'), edit('a', '2')]) keepEdit(each)
    expect(keptEdits().map((each) => [each.key, each.at])).toEqual([
      ['b', '1'],
      ['a', '2'],
    ])
  })
  it('are let go when acknowledged, but not one that has taken their place since', () => {
    keepEdit(edit('a', '1'))
    keepEdit(edit('a', '2'))
    dropEdit(edit('a', '1'))
    expect(keptEdits()).toHaveLength(1)
    dropEdit(edit('a', '2'))
    expect(keptEdits()).toEqual([])
  })
  it('are sent by the tab that made them, and by another only once that one has had its time', () => {
    expect(thisTab()).toBe(thisTab())
    const [own, others] = [{ tab: thisTab() }, { tab: 'another' }]
    expect(isToSendHere({ ...own, at: '100000-abc' }, 100_000)).toBe(true)
    expect(isToSendHere({ ...others, at: '100000-abc' }, 119_000)).toBe(false)
    expect(isToSendHere({ ...others, at: '100000-abc' }, 120_000)).toBe(true)
    expect(isToSendHere({ ...others, at: 'no time' }, 0)).toBe(true)
    vi.stubGlobal('sessionStorage', storage(true))
    expect(isToSendHere({ tab: thisTab(), at: '100000-abc' }, 100_000)).toBe(true)
  })
  it('are none where the store is shut or holds nonsense, and nothing is thrown', () => {
    localStorage.setItem('fold-anvil-kept-edits', '{"half')
    expect(keptEdits()).toEqual([])
    localStorage.setItem('fold-anvil-kept-edits', '7')
    expect(keptEdits()).toEqual([])
    vi.stubGlobal('localStorage', storage(true))
    keepEdit(edit('a', '1'))
    expect(keptEdits()).toEqual([])
  })
})

describe('asking the program to write', () => {
  const asked = { workshop: 'w', revision: 1, input: { title: 'x' } }
  const answering = (status: number, body: string) =>
    vi.stubGlobal(
      'fetch',
      vi.fn(async () => new Response(body, { status })),
    )
  it('gives what the program answers', async () => {
    answering(200, '{"ok":true,"id":4}')
    expect(await postAct('saveJob', asked)).toEqual({ ok: true, id: 4 })
  })
  it.each([
    [401, '{"error":{"code":"not-paired","message":"this device is not paired","issues":[]}}', /not paired/],
    [507, '{"error":{"code":"disk-full","message":"The disk is full.","issues":[]}}', /disk is full/],
    [502, '<html>', /is not responding/],
  ])('%i is a refusal in words; what was entered stays', async (status, body, message) => {
    answering(status, body)
    const answer = await postAct('saveJob', asked)
    expect(answer).toMatchObject({ ok: false, code: 'store', message: expect.stringMatching(message) })
  })
  it('is a refusal too where nothing answers', async () => {
    vi.stubGlobal(
      'fetch',
      vi.fn(async () => {
        throw new TypeError('Failed to fetch')
      }),
    )
    expect(await postAct('saveJob', asked)).toMatchObject({ ok: false, message: expect.stringContaining('still here') })
  })
  it('is given up after its time where the answer never comes', async () => {
    vi.stubGlobal(
      'fetch',
      (_: string, { signal }: RequestInit) =>
        new Promise((_done, fail) => signal?.addEventListener('abort', () => fail(new DOMException('', 'TimeoutError')))),
    )
    expect(await postAct('saveJob', asked, 30)).toMatchObject({ ok: false, code: 'store' })
  })
  it('may go on after the page is left, as long as it is small', async () => {
    const calls: RequestInit[] = []
    vi.stubGlobal('fetch', async (_: string, init: RequestInit) => {
      calls.push(init)
      return new Response('{"ok":true}')
    })
    await postAct('saveJob', asked)
    await postAct('saveJob', { ...asked, input: { title: 'x'.repeat(70_000) } })
    expect(calls.map((init) => init.keepalive)).toEqual([true, false])
  })
})

describe('a page that was left while a write had no answer', () => {
  it('is told to the next page of the tab, once', () => {
    expect(takeLeftWriting()).toBe(false)
    markLeftWriting()
    expect([takeLeftWriting(), takeLeftWriting()]).toEqual([true, false])
  })
  it('is not told where the store is shut', () => {
    vi.stubGlobal('sessionStorage', storage(true))
    markLeftWriting()
    expect(takeLeftWriting()).toBe(false)
  })
})

describe('a device without locks', () => {
  it('sends from one tab at a time, and takes over a mark whose time is past', async () => {
    vi.stubGlobal('navigator', {})
    localStorage.setItem('fold-anvil-sending', JSON.stringify({ tab: 'another', until: Date.now() + 9000 }))
    expect(await asOnlySender(async () => undefined)).toBe(false)
    localStorage.setItem('fold-anvil-sending', JSON.stringify({ tab: 'another', until: Date.now() - 1 }))
    let ran = false
    expect(
      await asOnlySender(async () => {
        ran = true
      }),
    ).toBe(true)
    expect(ran).toBe(true)
    expect(localStorage.getItem('fold-anvil-sending')).toBeNull()
  })
  it('gives the mark back where the work fails', async () => {
    vi.stubGlobal('navigator', {})
    await expect(asOnlySender(() => Promise.reject(new Error('x')))).rejects.toThrow()
    expect(localStorage.getItem('fold-anvil-sending')).toBeNull()
  })
  it('has a name of its own that stays, and tokens that never come twice', () => {
    expect(deviceName()).toMatch(/^device-[0-9a-z]{12}$/)
    expect(deviceName()).toBe(deviceName())
    expect(new Set(Array.from({ length: 2000 }, () => randomText())).size).toBe(2000)
    vi.stubGlobal('localStorage', storage(true))
    expect(deviceName()).toMatch(/^device-/)
  })
})
