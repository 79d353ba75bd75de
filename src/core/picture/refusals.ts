/** Why no outline is given, in words that say what to do. */
export const REFUSALS = {
  'marks-hidden': (hidden: readonly string[]) =>
    `only ${4 - hidden.length} of the card’s four marks can be read; ${hidden.length > 0 ? `hidden or cut off: ${hidden.join(', ')}. ` : ''}Photograph the whole card, with nothing on its corners.`,
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
} as const

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
