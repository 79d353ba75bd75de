import { describe, expect, it } from 'vitest'
import { readingBesideOriginal, tallyBesideOriginal } from './after-original'

const target = { dimension: 'insideDiameterMm', label: 'Inside diameter', valueMm: 18.2, plusMinusMm: 0.1 }
const copy = { ...target, original: { mm: 18.2, stronger: false } }
const stronger = { ...target, original: { mm: 18, stronger: true } }

describe('a reading beside the original', () => {
  it.each([
    [copy, null, 'The original has 18.2 mm.'],
    [copy, 18.26, 'As the original, within ± 0.1 mm.'],
    [copy, 18.45, '0.25 mm more than the original’s 18.2 mm, where ± 0.1 mm is allowed.'],
    [stronger, null, 'The original has 18 mm; this one is to be larger, for strength.'],
    [stronger, 18.2, '0.2 mm more than the original’s 18 mm, on purpose.'],
    [stronger, 18.05, '0.05 mm more than the original’s 18 mm, where it is to be larger by more than 0.1 mm.'],
    [target, 18.2, ''],
  ] as const)('%j read as %s', (aim, readMm, words) => expect(readingBesideOriginal(aim, readMm)).toBe(words))
})

describe('readings beside the original', () => {
  it.each([
    [copy, [18.2, 18.29, 18.31], 'Inside diameter: 2 of 3 read as the original’s 18.2 mm, within ± 0.1 mm.'],
    [copy, [18.1], 'Inside diameter: the one read is as the original’s 18.2 mm, within ± 0.1 mm.'],
    [stronger, [18.2, 18.05], 'Inside diameter: 1 of 2 read larger on purpose than the original’s 18 mm.'],
    [copy, [18.4], 'Inside diameter: the one read is not as the original’s 18.2 mm, within ± 0.1 mm.'],
    [copy, [], ''],
    [target, [18.2], ''],
  ] as const)('%j of %j', (aim, readingsMm, words) => expect(tallyBesideOriginal(aim, readingsMm)).toBe(words))
})
