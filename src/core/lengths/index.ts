export { type CutBar, cutLengths, type LengthsAnswer } from './cut-lengths'
export { type LengthsInput, lengthsInput } from './schema'
