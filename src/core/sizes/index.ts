export { describeMeaning, parseSize } from './parse-size'
export type { SizeContext, SizeMeaning, SizeReading } from './reading'
