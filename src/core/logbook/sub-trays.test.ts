import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { countedReading } from './finished'
import { doMeet, type ProgressEvent, type ProgressStep, trayProgress } from './progress'
import { type ReworkableStep, withRework } from './rework'
import { gapWords } from './test-readings'
import { type ToldEntry, toldWords } from './told'

const step = (id: string, subTray: readonly string[], together = false): ReworkableStep => ({
  id,
  op: id,
  on: subTray.map((thing) => ({ thing })),
  params: {},
  together,
  subTray,
})
/** A wall and its plate, each worked by itself, joined, then worked as one. */
const ROUTE = [
  step('bend-wall', ['wall']),
  step('close-wall', ['wall']),
  step('saw-plate', ['plate']),
  step('flatten-plate', ['plate'], true),
  step('join', ['wall', 'plate']),
  step('finish', ['wall', 'plate']),
]
const done = (stepId: string, workpiece: number | null): ProgressEvent => ({ stepId, workpiece, kind: 'done' })
const started = (stepId: string): ProgressEvent => ({ stepId, workpiece: null, kind: 'started' })
const at = (progress: ReturnType<typeof trayProgress>, steps: readonly ProgressStep[] = ROUTE) => steps[progress.stepIndex]?.id

describe('sub-trays', () => {
  it('can each be gone on with until they meet; unasked, the route is worked in its order', () => {
    const fresh = trayProgress(2, ROUTE, [])
    expect(fresh.open.map((i) => ROUTE[i]?.id)).toEqual(['bend-wall', 'saw-plate'])
    expect(at(fresh)).toBe('bend-wall')
  })
  it('one that is taken up is stayed with until it meets another', () => {
    const taken = [started('saw-plate')]
    expect(at(trayProgress(1, ROUTE, taken))).toBe('saw-plate')
    expect(at(trayProgress(1, ROUTE, [...taken, done('saw-plate', 1)]))).toBe('flatten-plate')
    // the plate waits at the joint: the wall is next, and nothing else can be done
    const waiting = trayProgress(1, ROUTE, [...taken, done('saw-plate', 1), done('flatten-plate', null)])
    expect(at(waiting)).toBe('bend-wall')
    expect(waiting.open).toHaveLength(1)
  })
  it('of those taken up one after another, the last holds', () =>
    expect(at(trayProgress(1, ROUTE, [started('saw-plate'), started('bend-wall')]))).toBe('bend-wall'))
  it('that is not there, or over, is not stayed with', () => {
    expect(at(trayProgress(1, ROUTE, [started('nowhere')]))).toBe('bend-wall')
    const over = ROUTE.slice(0, 5).map(({ id, together }) => done(id, together ? null : 1))
    expect(at(trayProgress(1, ROUTE, [...over, started('bend-wall')]))).toBe('finish')
  })
  it('steps of which nothing is known meet all others', () => {
    expect(doMeet({}, { subTray: ['wall'] })).toBe(true)
    expect(doMeet({ subTray: ['wall'] }, { subTray: ['plate'] })).toBe(false)
  })
  it('whatever is taken up when, every step is done once, after all it meets before it', () =>
    fc.assert(
      fc.property(fc.array(fc.nat(5), { minLength: 20, maxLength: 20 }), (picks) => {
        const events: ProgressEvent[] = []
        const order: string[] = []
        for (const pick of picks) {
          const before = trayProgress(1, ROUTE, events)
          if (before.finished) break
          const taken = ROUTE[before.open[pick % before.open.length] ?? 0]?.id ?? ''
          events.push(started(taken))
          const { stepIndex, workpiece } = trayProgress(1, ROUTE, events)
          const id = ROUTE[stepIndex]?.id ?? ''
          expect(id).toBe(taken)
          events.push(done(id, workpiece))
          order.push(id)
        }
        expect([...order].sort()).toEqual(ROUTE.map(({ id }) => id).sort())
        ROUTE.forEach((later, j) => {
          for (const earlier of ROUTE.slice(0, j))
            if (doMeet(earlier, later)) expect(order.indexOf(earlier.id)).toBeLessThan(order.indexOf(later.id))
        })
      }),
    ))
})

describe('a part that is made again', () => {
  const lost = (part: string, stepId: string) => ({ kind: 'loss', stepId, workpiece: 2, again: part, text: 'melted' })
  const worked = ['bend-wall', 'close-wall', 'saw-plate'].flatMap((id) => [done(id, 1), done(id, 2)])
  const events = [...worked, done('flatten-plate', null), lost('wall', 'join')]
  const steps = withRework(ROUTE, events, (one) => one)
  it('goes through its own earlier steps once more, alone, and through no other part’s', () => {
    const again = steps.filter(({ only }) => only === 2)
    expect(again.map(({ op }) => op)).toEqual(['bend-wall', 'close-wall'])
    expect(again.every(({ together }) => !together)).toBe(true)
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
  })
  it('leaves its piece in the tray, and its steps come first', () => {
    const progress = trayProgress(2, steps, events)
    expect(progress).toMatchObject({ lost: [], alive: [1, 2], workpiece: 2 })
    expect(steps[progress.stepIndex]?.op).toBe('bend-wall')
    const remade = steps.filter(({ only }) => only === 2).map(({ id }) => done(id, 2))
    const on = trayProgress(2, steps, [...events, ...remade])
    expect(at(on, steps)).toBe('join')
    expect(on.workpiece).toBe(1)
  })
  it('together with what it was joined to goes through the joint again', () => {
    const joined = [...events.slice(0, -1), done('join', 1), done('join', 2), lost('wall', 'finish')]
    expect(
      withRework(ROUTE, joined, (one) => one)
        .filter(({ only }) => only === 2)
        .map(({ op }) => op),
    ).toEqual(['bend-wall', 'close-wall', 'join'])
  })
  it('a second time goes through the steps of the route again, not through those put in before', () => {
    const own = (told: readonly ReturnType<typeof lost>[]) =>
      withRework(ROUTE, [...worked, ...told], (one) => one).filter(({ only }) => only === 2)
    const twice = own([lost('wall', 'join'), lost('wall', 'join')])
    expect(twice.map(({ op }) => op)).toEqual(['bend-wall', 'close-wall', 'bend-wall', 'close-wall'])
    // while it is being made again it goes wrong at its second step: only the first has to be done again
    const second = twice[1]?.id ?? ''
    expect(own([lost('wall', 'join'), lost('wall', second)]).map(({ op }) => op)).toEqual(['bend-wall', 'bend-wall', 'close-wall'])
    expect(new Set(twice.map(({ id }) => id)).size).toBe(4)
  })
  it('is measured anew: what was read of the one before does not count', () => {
    const reading = (stepId: string, value: number) => ({ kind: 'reading', stepId, dimension: 'widthMm', value, simulated: false })
    const entry = (kind: string, stepId: string, again?: string) => ({
      kind,
      stepId,
      dimension: null,
      value: null,
      simulated: false,
      again: again ?? null,
    })
    const before = [entry('done', 'bend-wall'), reading('bend-wall', 6.1)]
    expect(countedReading(before, 'widthMm', false)?.value).toBe(6.1)
    expect(countedReading([...before, entry('loss', 'join', 'wall')], 'widthMm', false)).toBeUndefined()
    const after = [...before, entry('loss', 'join', 'wall'), reading('bend-wall~2.again1', 5.9), entry('done', 'bend-wall~2.again1')]
    expect(countedReading(after, 'widthMm', false)?.value).toBe(5.9)
  })
})

describe('what is told of a test', () => {
  const entry: ToldEntry = {
    kind: 'test',
    workpiece: 2,
    text: 'failed: a gap',
    dimension: 'gap',
    value: 0.12,
    failedPart: 'wall',
    again: null,
  }
  const name = (part: string) => (part === 'wall' ? 'bezel wall' : part)
  it.each([
    [entry, 'piece 2, test: failed: a gap, gap 0.12 mm, bezel wall'],
    [{ ...entry, text: 'passed', failedPart: null, value: 0 }, 'piece 2, test: passed, gap 0 mm'],
    [{ ...entry, kind: 'loss', text: 'melted', value: null, failedPart: null, again: 'wall' }, 'piece 2, bezel wall made again: melted'],
    [{ ...entry, kind: 'loss', text: '', value: null, failedPart: null }, 'piece 2 went wrong: no reason given'],
    [{ ...entry, kind: 'note', text: 'stiff', value: null, failedPart: null }, 'note: stiff'],
  ])('%#', (told, words) => expect(toldWords(told, name)).toBe(words))
  it('says of a gap whether solder fills it (common practice, no source)', () => {
    expect(gapWords(0)).toContain('tight')
    expect(gapWords(0.06)).toBe('solder fills it')
    expect(gapWords(0.15)).toContain('fit it again')
  })
})
