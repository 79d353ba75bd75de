import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import { addGrowth, NO_ANSWER, NO_GROWTH, type OwnAllowance, ownAllowance } from '@/core/logbook'
import type { HandNotes } from '@/server/services/own-record'
import { HandWords } from '@/ui/book/hand-words'
import { OwnRecord } from '@/ui/forms/own-record'
import { wordsIn } from '../support/words-in'

describe('what to allow on a blank', () => {
  const sums = [0.2, 0.22, 0.18, 0.21].reduce((all, growthMm) => addGrowth(all, { growthMm, thicknessMm: 1.3 }), NO_GROWTH)
  const own = ownAllowance(sums, { thicknessMm: 1.3 }, Math.PI)
  const recordMm = own.allowanceMm.toFixed(2)
  const shown = (appliedMm: number, of: OwnAllowance = own, error?: string) =>
    renderToStaticMarkup(
      <OwnRecord
        own={of}
        appliedMm={appliedMm}
        typed={String(appliedMm)}
        error={error}
        onChange={() => undefined}
        onLeave={() => undefined}
      />,
    )
  /** Which of the two is pressed. */
  const pressed = (markup: string) =>
    [...markup.matchAll(/<button[^>]*>/g)].flatMap(([tag]) =>
      tag.includes('aria-pressed="true"') ? (/value="(\w+)"/.exec(tag)?.[1] ?? '') : [],
    )

  it('is the textbook’s where nothing is allowed, the record’s where that is taken, and neither where another figure is typed', () => {
    expect(pressed(shown(0))).toEqual(['textbook'])
    expect(pressed(shown(Number(recordMm)))).toEqual(['own'])
    expect(pressed(shown(-0.3))).toEqual([])
    expect(pressed(shown(0, own, 'My allowance: no length'))).toEqual([])
  })
  it('says what the record says, whatever is allowed', () => {
    for (const appliedMm of [0, Number(recordMm), -0.3]) expect(wordsIn(shown(appliedMm))).toContain(`− ${recordMm.slice(1)} ±`)
  })
  it('can be typed before anything was measured, and what cannot be read is said', () => {
    const none = ownAllowance(NO_GROWTH, { thicknessMm: 1.3 }, Math.PI)
    expect(pressed(shown(0, none))).toEqual([])
    expect(shown(0, none)).toContain('value="0"')
    expect(wordsIn(shown(0, none, 'My allowance: "a little" is no length'))).toContain('"a little" is no length'.replaceAll('"', '&quot;'))
  })
})

describe('what the record asks', () => {
  const KIND = { form: 'ring-band', alloy: 'sterling-925', method: 'sheet, mean' }
  const NONE: HandNotes = { hindsight: null, drift: null, matters: [], odd: [], answer: NO_ANSWER }
  const said = (more: Partial<HandNotes>) => wordsIn(renderToStaticMarkup(<HandWords kind={KIND} notes={{ ...NONE, ...more }} />))
  const odd = (workpiece: number) => ({ item: `t/p/${workpiece}`, pieceName: 'Coat button', workpiece, trayId: 4, growthMm: 0.37 })

  it('is nothing where nothing is to be asked', () => expect(said({})).toBe(''))
  it('stands with its answers: a hand that changed, and a reading far out', () => {
    const asked = said({ drift: { byMm: -0.3, since: '2027-03-01T10:00:00.000Z' }, odd: [odd(6)] })
    expect(asked).toContain('The newest came out 0.3 mm smaller than those before.')
    expect(asked).toContain('Yes: go by the newest')
    expect(asked).toContain('Is Coat button 6 of tray 4 right, at 0.37 mm over?')
    expect(asked).toContain('It is right')
  })
  it('asks about three readings at once at the most', () => {
    expect(said({ odd: [1, 2, 3, 4, 5].map(odd) }).match(/It is right/g)).toHaveLength(3)
  })
  it('says what is left out since it was answered, and lets it count again', () => {
    const told = said({ answer: { since: '2027-03-01T10:00:00.000Z', right: [] } })
    expect(told).toContain('1 March 2027')
    expect(told).toContain('is left out of it, as you said')
    expect(told).toContain('Count it again')
  })
})
