import { formatPlain } from '../units/format'

/** How an instrument is spoken of, and what is done where it is off. */
interface Spoken {
  readonly reads: 'They read' | 'It reads'
  readonly unit: 'mm' | 'g'
  readonly mend: string
}

/** Nearer than this it reads right, in its unit. */
const RIGHT = 0.005

/** What it says of an instrument that it shows so much too much of something known, or too little below nothing, where it tells within an error. */
export function saysOff(off: number, error: number, { reads, unit, mend }: Spoken): { readonly isOff: boolean; readonly says: string } {
  const by = `${formatPlain(Math.abs(off), 2)} ${unit} too ${off > 0 ? 'much' : 'little'}`
  if (Math.abs(off) > error + 1e-9) return { isOff: true, says: `${reads} ${by}: ${mend}` }
  const within = reads === 'They read' ? 'within what they tell' : 'within what it tells'
  return { isOff: false, says: Math.abs(off) < RIGHT ? `${reads} right.` : `${reads} ${by}, ${within}.` }
}
