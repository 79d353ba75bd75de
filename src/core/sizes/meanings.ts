import { letterDrillMm, numberDrillMm } from '../tables/drills/drills'
import { copperWeightMm, GAUGE_SCALES, type GaugeSystem, gaugeName, gaugeToMm } from '../tables/gauges/gauges'
import { RING_SCALES, type RingSystem, ringInsideMm, ringSizeName, ukSizeName } from '../tables/rings/rings'
import { findBlade } from '../tables/saws/blades'
import { bangleInsideMm } from '../tables/worn/bangles'
import { mmToInch } from '../units/convert'
import { formatPlain } from '../units/format'
import type { SizeMeaning } from './reading'

/** Nothing cut from sheet at a bench is longer; a larger number is a slip of the keys. */
const LONGEST_MM = 20000

function base(typed: string, mm: number, how: string) {
  return { typed, mm, inch: mmToInch(mm), how }
}

export function lengthMeaning(typed: string, mm: number, how = `${formatPlain(mm)} mm`): SizeMeaning | string {
  if (mm > LONGEST_MM) return `${typed} is ${formatPlain(mm / 1000)} m; lengths up to ${LONGEST_MM / 1000} m can be entered`
  return { kind: 'length', ...base(typed, mm, how) }
}

export function gaugeMeaning(typed: string, system: GaugeSystem, index: number): SizeMeaning | string {
  const mm = gaugeToMm(system, index)
  const scale = GAUGE_SCALES[system]
  const name = gaugeName(index)
  if (mm === undefined)
    return `${name} is off the ${scale.title} scale, which runs from ${gaugeName(scale.lowest)} to ${gaugeName(scale.highest)} in ${system === 'B&S' ? 'steps of any size' : 'whole numbers'}`
  const between = Number.isInteger(index) ? '' : ', between two standard gauges'
  return { kind: 'gauge', ...base(typed, mm, `${name} ga ${system}${between}`), gauge: { system, name, index } }
}

export function numberDrillMeaning(typed: string, drill: number): SizeMeaning | string {
  const mm = numberDrillMm(drill)
  if (mm === undefined) return `#${drill} is not a number drill: they run from #1 to #97`
  return { kind: 'drill', ...base(typed, mm, `number drill #${drill}`), drill: { name: `#${drill}` } }
}

export function letterDrillMeaning(typed: string, letter: string): SizeMeaning | string {
  const mm = letterDrillMm(letter)
  if (mm === undefined) return `${letter} is not a letter drill: they run from A to Z`
  return { kind: 'drill', ...base(typed, mm, `letter drill ${letter.toUpperCase()}`), drill: { name: letter.toUpperCase() } }
}

export function ringMeaning(typed: string, system: RingSystem, size: number): SizeMeaning | string {
  const scale = RING_SCALES[system]
  const quartered = system === 'US' && Number.isInteger(size * 4)
  const written = system === 'UK' ? ukSizeName(size) : quartered ? ringSizeName(system, size) : formatPlain(size)
  if (size < scale.lowest || size > scale.highest) {
    const name = (value: number) => (system === 'UK' ? ukSizeName(value) : String(value))
    return `${system} ${written} is off the ring scale, which runs from ${name(scale.lowest)} to ${name(scale.highest)}`
  }
  const mm = ringInsideMm(system, size)
  const ring = { system, size: written, insideCircumferenceMm: Math.PI * mm }
  return { kind: 'ring', ...base(typed, mm, `ring size ${system} ${written}, ${formatPlain(mm, 2)} mm inside`), ring }
}

export function bangleMeaning(typed: string, inches: number, sixteenths: number): SizeMeaning | string {
  const mm = bangleInsideMm(inches, sixteenths)
  if (mm === undefined) return `${inches}-${sixteenths} is not a bangle size: inches 1 to 4, then sixteenths 0 to 15`
  return {
    kind: 'bangle',
    ...base(typed, mm, `bangle ${inches}-${sixteenths}: ${inches} and ${sixteenths}/16 in inside`),
    bangle: { size: `${inches}-${sixteenths}` },
  }
}

/** A saw blade by its name; the size given is the width of the blade. */
export function bladeMeaning(typed: string, name: string): SizeMeaning | string {
  const blade = findBlade(name)
  if (!blade) return `${name} is not a saw blade in the tables: they run from 8/0 to 8`
  return {
    kind: 'blade',
    ...base(typed, blade.widthMm, `saw blade ${blade.name}, about ${blade.widthMm} mm wide`),
    blade: { name: blade.name },
  }
}

/** Roofing copper by ounces to the square foot. */
export function copperMeaning(typed: string, ouncePerFt2: number): SizeMeaning | string {
  const mm = copperWeightMm(ouncePerFt2)
  if (ouncePerFt2 < 1 || ouncePerFt2 > 64)
    return `${ouncePerFt2} oz is not a copper sheet weight: it is sold from 1 to 64 oz to the square foot`
  return { kind: 'length', ...base(typed, mm, `copper of ${ouncePerFt2} oz to the square foot`) }
}
