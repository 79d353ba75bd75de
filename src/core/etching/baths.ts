import { ALLOYS, type Alloy, type AlloyId } from '../metals'
import type { EtchBath } from './schema'

/** A bath for etching with a current: what it is called, and the metals it takes off evenly (common practice, medium). */
export const BATHS: Readonly<Record<EtchBath, { readonly title: string; readonly takes: readonly AlloyId[]; readonly note: string }>> = {
  'copper-sulphate': {
    title: 'copper sulphate',
    takes: ['copper-c110', 'red-brass-c230', 'yellow-brass-c260', 'bronze-c220', 'phosphor-bronze-c510', 'nickel-silver-c752'],
    note: 'The other plate is copper. The crystals are poisonous and stain: mask while they dissolve, gloves.',
  },
  salt: {
    title: 'salt water',
    takes: ['copper-c110', 'red-brass-c230', 'yellow-brass-c260', 'bronze-c220', 'phosphor-bronze-c510'],
    note: 'Copper goes off partly with one electron: up to twice as fast as Faraday’s law says. Gas rises at the other plate: open air.',
  },
  'copper-nitrate': {
    title: 'copper nitrate',
    takes: ['copper-c110', 'red-brass-c230', 'yellow-brass-c260', 'bronze-c220', 'fine-silver', 'sterling-925', 'ge-sterling'],
    note: 'Oxidising: keep it from anything that burns.',
  },
}

/** Why a metal is not etched in a bath; undefined where it is. */
export function refusal(alloy: AlloyId, bath: EtchBath): string | undefined {
  const metal: Alloy = ALLOYS[alloy]
  const { title, takes } = BATHS[bath]
  if (metal.behaviour.finish === 'thin-layer')
    return `${metal.title} has a wear layer of hundredths of a millimetre: the etch goes through it and eats the core.`
  if (/Au/.test(metal.composition)) return `${metal.title} does not dissolve in ${title}: engrave it, or stamp it.`
  if (/Al/.test(metal.composition)) return `${metal.title} foams in salts of copper and is eaten unevenly, with hydrogen: do not put it in.`
  if (/Fe/.test(metal.composition))
    return `Copper plates onto ${metal.title.toLowerCase()} in this bath, and its iron spoils it for copper and silver.`
  if (takes.includes(alloy)) return undefined
  const others = Object.values(BATHS).filter((other) => other.takes.includes(alloy))
  const instead = others.length > 0 ? ` Take ${others.map((other) => other.title).join(' or ')}.` : ''
  return /Ag/.test(metal.composition)
    ? `In ${title} silver covers itself with a skin that stops the etch.${instead}`
    : `${title} does not take ${metal.title.toLowerCase()} off evenly.${instead}`
}
