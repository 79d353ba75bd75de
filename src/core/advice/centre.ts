import * as z from 'zod'
import type { Check } from '../forms/contract'
import { lengthMm } from '../units/fields'
import { formatPlain } from '../units/format'
import { derive, given, type WorkingLog } from '../working/derive'
import { benchFields, defineAdviser } from './define-adviser'

const input = z.strictObject({
  chordMm: lengthMm({ label: 'Chord', min: 0.5, max: 2000, help: 'A straight line across, from edge to edge.' }),
  heightMm: lengthMm({ label: 'Height over it', min: 0.05, max: 1000, help: 'From the middle of the chord, square, to the edge.' }),
  /** A second chord elsewhere, to see whether it is round. */
  secondChordMm: lengthMm({ label: 'Second chord', min: 0.5, max: 2000 }).optional(),
  secondHeightMm: lengthMm({ label: 'Height over that', min: 0.05, max: 1000 }).optional(),
  ...benchFields(),
})

/** Radii that differ by more than this share are no one circle (bench practice). */
const ROUND = 0.01

function radiusBy(log: WorkingLog, what: string, chordMm: number, heightMm: number): number {
  return derive(log, {
    label: what,
    formula: 'c^2 / (8·h) + h / 2',
    given: [given('c', 'chord', chordMm), given('h', 'height over it', heightMm)],
    unit: 'mm',
    source: 'closed-form',
  })
}

export const centreAdviser = defineAdviser({
  id: 'centre',
  title: 'The middle of a disc',
  question: 'Where is the middle, and how large is it?',
  input,
  example: { chordMm: '20', heightMm: '4' },
  advise: ({ chordMm, heightMm, secondChordMm, secondHeightMm }) => {
    if ((secondChordMm === undefined) !== (secondHeightMm === undefined))
      return { path: 'secondHeightMm', message: 'Second chord: its height is needed too, or neither' }
    const log: WorkingLog = []
    const radiusMm = radiusBy(log, 'Radius', chordMm, heightMm)
    const second =
      secondChordMm === undefined || secondHeightMm === undefined
        ? undefined
        : radiusBy(log, 'Radius by the second chord', secondChordMm, secondHeightMm)
    const fromChordMm = derive(log, {
      label: 'From the middle of the chord to the middle of the disc',
      formula: 'r - h',
      given: [given('r', 'radius', radiusMm), given('h', 'height over the chord', heightMm)],
      unit: 'mm',
      source: 'closed-form',
    })
    const isOutOfRound = second !== undefined && Math.abs(second / radiusMm - 1) > ROUND
    const checks: Check[] = isOutOfRound
      ? [
          {
            level: 'warn',
            code: 'out-of-round',
            actual: { value: second, unit: 'mm' },
            limit: { value: radiusMm, unit: 'mm' },
            source: 'closed-form',
            message: `The chords give radii of ${formatPlain(radiusMm, 2)} and ${formatPlain(second, 2)} mm: it is not round, or one was measured wrong.`,
          },
        ]
      : []
    const way = fromChordMm >= 0 ? 'away from the edge that was measured' : 'towards the edge that was measured'
    return {
      answer: `${formatPlain(2 * radiusMm, 2)} mm across; the middle is ${formatPlain(Math.abs(fromChordMm), 2)} mm from the chord`,
      reason: 'Two crossing squares on the middles of two chords meet in the middle; one chord and its height say how far along the first.',
      picks: [],
      missing: null,
      checks,
      working: log,
      picture: {
        kind: 'steps',
        steps: [
          { step: 'scribe a chord', say: `A straight line of ${formatPlain(chordMm, 2)} mm across, its ends on the edge.` },
          { step: 'halve it', say: `${formatPlain(chordMm / 2, 2)} mm from either end.` },
          { step: 'scribe a square on its middle', say: `The edge is ${formatPlain(heightMm, 2)} mm along it.` },
          { step: 'step off', say: `${formatPlain(Math.abs(fromChordMm), 2)} mm from the chord, ${way}: that is the middle.` },
          { step: 'try it', say: `Dividers at ${formatPlain(radiusMm, 2)} mm touch the edge all round before it is punched.` },
        ],
      },
    }
  },
})
