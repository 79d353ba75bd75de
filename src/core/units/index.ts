export { degToRad, GRAMS_PER_TROY_OUNCE, inchToMm, KELVIN_AT_ZERO_C, MM_PER_INCH, mmToInch, radToDeg } from './convert'
export { type FieldMeta, type FieldSize, bangleDiameterMm, choice, choiceMetaOf, count, fieldMetaOf, isOptionalField, lengthMm, ratio, ringDiameterMm, thicknessMm } from './fields'
export { formatBoth, formatPlain, formatValue, roundTo } from './format'
export { UNITS, type Unit } from './unit'
