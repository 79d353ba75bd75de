export { textureChecks } from './checks'
export { TEXTURE_WAY_IDS, type TextureWayId } from './ids'
export { TEXTURE_LOOKS, type TextureOutcome, type TextureTime, type TextureWay, textureWay } from './ways'
