export { bisect, type RootResult } from './bisect'
export { normalCdf } from './normal'
export { drawNormal } from './random'
