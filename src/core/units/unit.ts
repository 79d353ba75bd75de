/** Every unit a value of the core may carry. Lengths are always mm inside; inches exist only where a person reads or types. */
export const UNITS = [
  'mm',
  'mm2',
  'mm3',
  'g',
  'g/cm3',
  '°C',
  's',
  'min',
  'MPa',
  'rad',
  '°',
  '%',
  'HV',
  'count',
  'ratio',
  'strain',
  'in',
  'US size',
  'UK size',
  'ISO size',
  'HRC',
  'µm',
  '‰',
  'money/g',
] as const

export type Unit = (typeof UNITS)[number]
