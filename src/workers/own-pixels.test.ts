import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { answerOutline, outlineInput } from '@/core/picture'
import { readPicture } from '@/files/read-picture'
import { askedOfUnpacked, toldOfWhole } from './own-pixels'

const PHOTOGRAPHS = 'tests/fixtures/photographs'

describe('a picture of which fewer pixels were unpacked', () => {
  it('is asked about and told of in its own pixels', async () => {
    const shots = JSON.parse(readFileSync(`${PHOTOGRAPHS}/truth.json`, 'utf8')) as {
      id: string
      points?: [[number, number], [number, number]]
    }[]
    const points = shots.find(({ id }) => id === 'bare-tag-red')?.points
    expect(points).toBeDefined()
    const picture = await readPicture(readFileSync(`${PHOTOGRAPHS}/bare-tag-red.jpg`))
    const share = 0.6
    // the picture lies here as it was unpacked: its own pixels are more
    const own = points?.map(([x, y]) => [x / share, y / share])
    const input = outlineInput.parse({ points: own, apartMm: 100 })
    const answer = answerOutline(picture, askedOfUnpacked(input, share))
    if ('ok' in answer) throw new Error(answer.message)
    // drawn as a tag of 62 × 34 mm, seen 3° askew
    expect(answer.lengthMm).toBeGreaterThan(60.5)
    expect(answer.lengthMm).toBeLessThan(63.5)
    const told = toldOfWhole(answer, share)
    for (const [i, [x, y]] of told.inPicture.entries()) {
      expect(x * share).toBeCloseTo(answer.inPicture[i]?.[0] ?? Number.NaN, 9)
      expect(y * share).toBeCloseTo(answer.inPicture[i]?.[1] ?? Number.NaN, 9)
    }
    expect(told.outline).toEqual(answer.outline)
  })

  it('leaves a question without points alone', () => {
    const input = outlineInput.parse({ heightMm: 2 })
    expect(askedOfUnpacked(input, 0.5)).toBe(input)
  })
})
