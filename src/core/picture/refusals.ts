/** Marks on the corners of the card: where none is seen, there is no card. */
const MARKS = 4

/** Why no outline is given, in words that say what to do. */
export const REFUSALS = {
  'marks-hidden': (hidden: readonly string[]) =>
    hidden.length >= MARKS
      ? 'no measuring card can be seen. Photograph the whole card, with nothing on its corners; or, without a card, point at two places in the picture a known distance apart, such as the ends of a steel rule.'
      : `only ${MARKS - hidden.length} of the card’s four marks can be read; ${hidden.length > 0 ? `hidden or cut off: ${hidden.join(', ')}. ` : ''}Photograph the whole card, with nothing on its corners.`,
  mirrored: () => 'the card is seen as in a mirror: take the photograph with the rear camera, or switch mirroring off.',
  'no-dots': () => 'the frame of dots cannot be read: bring the whole card into the picture, sharp and evenly lit.',
  tilted: (deg: number) => `the camera looks at the card ${Math.round(deg)}° askew: hold it more nearly over the card, at most 45°.`,
  'not-flat': (px: string) =>
    `the card is not flat (the dots lie ${px} pixels off a sheet that bows evenly): lay it on glass or a board, or tape it down.`,
  bowed: (mm: string) => `the card bows up by ${mm} mm: lay it on glass or a board, or tape it down.`,
  coarse: (pixels: string) =>
    `only ${pixels} pixels to a millimetre of the card: come nearer, or use a camera with more pixels; 7 are wanted.`,
  blurred: (mm: string) => `the picture is not sharp (an edge is blurred by ${mm} mm): hold still, or rest the camera on something.`,
  'too-bright': () => 'the card itself is burnt out: lower the exposure by one step, or take light away.',
  empty: () => 'nothing lies in the field of the card that differs from it; silver, grey and steel need the green card.',
  'over-frame': () => 'it lies over the edge of the field: move it towards the middle, at least 5 mm from the dots.',
  'like-card': () => 'it looks too much like the card to tell where it ends: use the green card.',
  'in-pieces': () =>
    'more than one thing lies on the card, or light cuts the one in two: lay one thing down, move the lamp, and use the green card for silver, steel and grey.',
  glare: (share: string) =>
    `light is thrown back at the edge (${share} % of it): move the lamp or turn the piece, and take another photograph.`,
  'points-missing': () =>
    'a distance is given, but not between which two points of the picture: give “points” too, pixels from its upper left.',
  'distance-missing': () => 'two points are given, but not how far apart they are: give “apartMm” too.',
  'points-outside': () => 'a point of the known distance lies outside the picture: both are pixels from its upper left corner.',
  'points-near': (px: number) =>
    `the two points are only ${px} pixels apart: point at two that lie further apart, such as the ends of a steel rule beside the thing.`,
} as const

/** What is said otherwise where there is no card. */
const WITHOUT_CARD: Partial<Record<RefusalCode, string>> = {
  'too-bright': 'what it lies on is burnt out: lower the exposure by one step, or take light away.',
  empty: 'nothing stands out from what it lies on: lay it on plain paper of another colour that fills the picture.',
  'over-frame': 'it lies too near the edge of the picture: plain paper must be seen all round it.',
  'like-card': 'it looks too much like what it lies on to tell where it ends: lay it on paper of another colour.',
  'in-pieces':
    'more than one thing lies there, or light cuts the one in two: leave only the thing and what the two points are on, on plain paper.',
}

export type RefusalCode = keyof typeof REFUSALS

/** No outline: why, in words that say what to do. */
export interface Refused {
  readonly ok: false
  readonly code: RefusalCode
  readonly message: string
}

type Given = readonly string[] | string | number

export function refuse<Code extends RefusalCode>(code: Code, ...given: Parameters<(typeof REFUSALS)[Code]>): Refused {
  const say = REFUSALS[code] as (...words: readonly Given[]) => string
  return { ok: false, code, message: say(...(given as readonly Given[])) }
}

/** The same in words that speak of no card. */
export const withoutCard = (refused: Refused): Refused => ({ ...refused, message: WITHOUT_CARD[refused.code] ?? refused.message })
