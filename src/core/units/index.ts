export { inchToMm, KELVIN_AT_ZERO_C, MM_PER_INCH, mmToInch, radToDeg } from './convert'
export {
  angleDeg,
  bangleDiameterMm,
  choice,
  choiceMetaOf,
  count,
  type FieldMeta,
  type FieldSize,
  fieldMetaOf,
  isOptionalField,
  lengthMm,
  ratio,
  ringDiameterMm,
  textMetaOf,
  thicknessMm,
  words,
} from './fields'
export { capitalised, formatBoth, formatDifference, formatMoney, formatPlain, formatValue, roundTo, unitSign } from './format'
export { isGrouped, readPlainNumber } from './plain-number'
export { issuesOf, plainWords, sayIssue } from './plain-words'
export { UNITS, type Unit } from './unit'
