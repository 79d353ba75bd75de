const MM_PER_INCH = 25.4

/** A number with its unit somewhere in a line, as calipers and gauges send it: "+012.34", "12.34 mm", "0.4855 in", "01A+00012.34". */
const LINE = /([+-]?\d+(?:[.,]\d+)?)\s*(mm|in|inch|")?\s*$/i
/** No caliper opens wider, mm. */
const MOST_MM = 1000

/** What an instrument says in one line, mm; undefined where no length stands in it. */
export function readInstrumentLine(line: string): number | undefined {
  const [, digits, unit] = LINE.exec(line.trim()) ?? []
  if (digits === undefined || !/\d/.test(digits)) return undefined
  const value = Number(digits.replace(',', '.')) * (unit && unit.toLowerCase() !== 'mm' ? MM_PER_INCH : 1)
  return value > 0 && value <= MOST_MM ? value : undefined
}
