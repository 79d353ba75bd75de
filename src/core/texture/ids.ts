/** Ways to a texture, by how little they leave to chance. */
export const TEXTURE_WAY_IDS = ['mill', 'hammer', 'stamps', 'die', 'etch', 'abrasive', 'dust', 'bought'] as const
export type TextureWayId = (typeof TEXTURE_WAY_IDS)[number]
