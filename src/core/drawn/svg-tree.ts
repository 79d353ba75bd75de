import { SaxesParser } from 'saxes'
import { DrawnUnread } from './trace'

/** An element of an SVG with what it holds. */
export interface Element {
  readonly name: string
  readonly of: Readonly<Record<string, string>>
  readonly children: Element[]
}

const MOST_ELEMENTS = 50_000
const DEEPEST = 100

const bare = (name: string) => name.replace(/^.*:/, '')

/** Reads the elements of an SVG, and nothing that lies outside the file. Throws DrawnUnread. */
export function readTree(text: string): Element {
  const root: Element = { name: '', of: {}, children: [] }
  const open: Element[] = [root]
  let count = 0
  const parser = new SaxesParser()
  parser.on('error', (error) => {
    throw new DrawnUnread('not-svg', `the SVG cannot be read: ${error.message.slice(0, 120)}`)
  })
  parser.on('opentag', ({ name, attributes }) => {
    count++
    if (count > MOST_ELEMENTS) throw new DrawnUnread('too-much', `the SVG has more than ${MOST_ELEMENTS} elements`)
    if (open.length > DEEPEST) throw new DrawnUnread('too-deep', `the SVG nests its groups more than ${DEEPEST} deep`)
    const own = Object.fromEntries(Object.entries(attributes).map(([key, value]) => [bare(key), String(value)]))
    const element: Element = { name: bare(name), of: own, children: [] }
    open.at(-1)?.children.push(element)
    open.push(element)
  })
  parser.on('closetag', () => {
    open.pop()
  })
  parser.write(text).close()
  const svg = root.children.find((child) => child.name === 'svg')
  if (!svg) throw new DrawnUnread('not-svg', 'the file has no svg element')
  return svg
}
