/** A temperature with its unit at the end of a line, as thermometers send it: "652.3 C", "+0652", "1206 °F", "T1:  652.3". */
const LINE = /([+-]?\d+(?:[.,]\d+)?)\s*(?:°|º|deg)?\s*([CFK])?\s*$/i
/** Nothing at a bench is colder or hotter, °C. */
const LEAST_C = -50
const MOST_C = 1800

const TO_C: Readonly<Record<string, (value: number) => number>> = {
  C: (value) => value,
  F: (value) => ((value - 32) * 5) / 9,
  K: (value) => value - 273.15,
}

/** What a thermometer says in one line, °C; undefined where no temperature stands in it. A bare number is °C. */
export function readTemperatureLine(line: string): number | undefined {
  const [, digits, unit = 'C'] = LINE.exec(line.trim()) ?? []
  if (digits === undefined) return undefined
  const tempC = TO_C[unit.toUpperCase()]?.(Number(digits.replace(',', '.')))
  return tempC !== undefined && tempC >= LEAST_C && tempC <= MOST_C ? tempC : undefined
}
