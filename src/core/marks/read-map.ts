import type { Mark } from './schema'

type MapMark = Extract<Mark, { kind: 'map' }>

/** Points and links out of a text, or what is wrong with it. */
export type ReadMap = Pick<MapMark, 'points' | 'links'> | { readonly fault: string }

/** A link as it was typed: on which line, from what and to what. */
interface Said {
  readonly at: number
  readonly from: string
  readonly to: string
}

const POINT = /^(.*?)[\s,;]*(-?\d+(?:\.\d+)?)[\s,;]+(-?\d+(?:\.\d+)?)$/
const LINK = /^(.+?)\s*(?:--|–|->)\s*(.+)$/

/**
 * Reads a map as it is typed or comes as CSV: a point on each line as a name (or none), x and y; a link as two names, or two numbers counted
 * from 1, with two hyphens between: "Brindle -- Sorrel". Empty lines are passed over.
 */
export function readMap(text: string): ReadMap {
  const points: { name?: string; x: number; y: number }[] = []
  const said: Said[] = []
  for (const [at, raw] of text.split(/\r?\n/).entries()) {
    const line = raw.trim()
    if (line === '' || /^(name[,;\s]+)?x[,;\s]+y$/i.test(line)) continue
    const point = POINT.exec(line)
    const link = LINK.exec(line)
    if (link) said.push({ at, from: (link[1] as string).trim(), to: (link[2] as string).trim() })
    else if (point) {
      const name = (point[1] as string).trim()
      points.push({ ...(name ? { name } : {}), x: Number(point[2]), y: Number(point[3]) })
    } else return { fault: `Line ${at + 1}: “${line.slice(0, 40)}” is neither a point (name, x, y) nor a link (one -- other)` }
  }
  if (points.length === 0) return { fault: 'No point: write a name, x and y on each line' }
  return linked(points, said)
}

/** Points with the links that were said of them. */
function linked(points: MapMark['points'], said: readonly Said[]): ReadMap {
  const place = (word: string) => {
    const named = points.findIndex(({ name }) => name?.toLowerCase() === word.toLowerCase())
    const counted = Number(word) - 1
    return named >= 0 ? named : Number.isInteger(counted) && counted >= 0 && counted < points.length ? counted : undefined
  }
  const links: [number, number][] = []
  for (const { at, from, to } of said) {
    const [a, b] = [place(from), place(to)]
    if (a === undefined || b === undefined) return { fault: `Line ${at + 1}: there is no point “${a === undefined ? from : to}”` }
    if (a === b) return { fault: `Line ${at + 1}: a link needs two different points` }
    links.push([a, b])
  }
  return { points, links }
}

/** A map as it is typed. */
export function mapText({ points, links }: Pick<MapMark, 'points' | 'links'>): string {
  const nameOf = (i: number) => points[i]?.name ?? String(i + 1)
  return [
    ...points.map(({ name, x, y }) => [...(name ? [name] : []), x, y].join(', ')),
    ...links.map(([a, b]) => `${nameOf(a)} -- ${nameOf(b)}`),
  ].join('\n')
}
