import type { Point } from '@/core/geometry'
import type { OutlineAnswer, OutlineInput } from '@/core/picture'

const scaled = ([x, y]: Point, by: number): [number, number] => [x * by, y * by]

/** A question about a picture, in pixels of the one that was unpacked: so many of these go to one of its own. */
export const askedOfUnpacked = (input: OutlineInput, share: number): OutlineInput =>
  input.points ? { ...input, points: [scaled(input.points[0], share), scaled(input.points[1], share)] } : input

/** An answer about a picture that was unpacked, in the pixels of the picture itself. */
export const toldOfWhole = (answer: OutlineAnswer, share: number): OutlineAnswer => ({
  ...answer,
  inPicture: answer.inPicture.map((point) => scaled(point, 1 / share)),
})
