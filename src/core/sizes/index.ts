export { describeMeaning, parseSize } from './parse-size'
export { rangeText } from './read-fields'
export type { SizeContext, SizeMeaning, SizeReading } from './reading'
