import { pathTraces } from './svg-path'
import { type Element, readTree } from './svg-tree'
import { type DrawnLines, DrawnUnread, MOST_POINTS, makeTally, type Tally, type Trace } from './trace'

/** What a length without a unit, or in screen pixels, stands for: 96 to the inch (source: css-values). */
const PER_INCH = 96
const UNIT_MM: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  q: 0.25,
  px: 25.4 / PER_INCH,
  '': 25.4 / PER_INCH,
}
const TRUE_UNITS = new Set(['mm', 'cm', 'in', 'pt', 'pc', 'q'])
const MOST_USES = 5000

const number = (text: string | undefined, otherwise = 0) => {
  const value = Number.parseFloat(text ?? '')
  return Number.isFinite(value) ? value : otherwise
}

function lengthOf(text: string | undefined): { readonly mm: number; readonly isTrue: boolean } | undefined {
  const found = /^\s*([+-]?[\d.]+(?:e[+-]?\d+)?)\s*(mm|cm|in|pt|pc|q|px|)\s*$/i.exec(text ?? '')
  const unit = (found?.[2] ?? '').toLowerCase()
  return found ? { mm: Number(found[1]) * (UNIT_MM[unit] ?? 1), isTrue: TRUE_UNITS.has(unit) } : undefined
}

/** The part of a drawing's own numbers that it shows; nothing wide where it does not say. */
function viewBoxOf(of: Element['of']) {
  const [x = 0, y = 0, w = 0, h = 0] = (of.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  return { x, y, w, h }
}

/** The transform that brings the numbers of a root to millimetres. */
function rootTransform({ of }: Element): { readonly transform: string; readonly isUnitKnown: boolean } {
  const { x, y, w, h } = viewBoxOf(of)
  const [width, height] = [lengthOf(of.width), lengthOf(of.height)]
  const pixel = UNIT_MM.px ?? 1
  if (!(w > 0) || !(h > 0)) return { transform: `scale(${pixel})`, isUnitKnown: false }
  const scales = [width && width.mm / w, height && height.mm / h].filter((scale): scale is number => scale !== undefined && scale > 0)
  const scale = scales.length > 0 ? Math.min(...scales) : pixel
  return { transform: `scale(${scale}) translate(${-x} ${-y})`, isUnitKnown: Boolean((width ?? height)?.isTrue) }
}

/** Path data of the shapes that are drawn without one. */
function dataOf({ name, of }: Element): string | undefined {
  const n = (key: string) => number(of[key])
  if (name === 'path') return of.d
  if (name === 'line') return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`
  if (name === 'polyline' || name === 'polygon') return of.points ? `M${of.points}${name === 'polygon' ? 'Z' : ''}` : undefined
  if (name === 'circle') return ellipseData(n('cx'), n('cy'), n('r'), n('r'))
  if (name === 'ellipse') return ellipseData(n('cx'), n('cy'), n('rx'), n('ry'))
  return name === 'rect' ? rectData(of) : undefined
}

const ellipseData = (cx: number, cy: number, rx: number, ry: number) =>
  rx > 0 && ry > 0 ? `M${cx - rx} ${cy}A${rx} ${ry} 0 1 0 ${cx + rx} ${cy}A${rx} ${ry} 0 1 0 ${cx - rx} ${cy}Z` : undefined

function rectData(of: Element['of']): string | undefined {
  const [x, y, w, h] = [number(of.x), number(of.y), number(of.width), number(of.height)]
  if (!(w > 0 && h > 0)) return undefined
  const rx = Math.min(w / 2, number(of.rx, number(of.ry)))
  const ry = Math.min(h / 2, number(of.ry, number(of.rx)))
  if (rx <= 0 || ry <= 0) return `M${x} ${y}h${w}v${h}h${-w}Z`
  const corner = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`
  return `M${x + rx} ${y}h${w - 2 * rx}${corner(rx, ry)}v${h - 2 * ry}${corner(-rx, ry)}h${2 * rx - w}${corner(-rx, -ry)}v${2 * ry - h}${corner(rx, -ry)}Z`
}

const NOT_DRAWN = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'metadata',
  'style',
  'title',
  'desc',
  'script',
  'linearGradient',
  'radialGradient',
  'filter',
])
const LEFT_OUT: Readonly<Record<string, string>> = { text: 'text', image: 'image', foreignObject: 'embedded page' }
const isHidden = ({ of }: Element) =>
  /display\s*:\s*none|visibility\s*:\s*hidden/.test(of.style ?? '') || of.display === 'none' || of.visibility === 'hidden'

interface Walk {
  readonly ids: ReadonlyMap<string, Element>
  readonly traces: Trace[]
  readonly leftOut: Tally
  points: number
  uses: number
}

/** Where a nested drawing or a use puts what it holds, the innermost first. */
function ownTransforms(element: Element): string[] {
  const { name, of } = element
  const own = of.transform ? [of.transform] : []
  if (name === 'use') return [`translate(${number(of.x)} ${number(of.y)})`, ...own]
  return name === 'svg' ? [...boxTransforms(of), `translate(${number(of.x)} ${number(of.y)})`, ...own] : own
}

/** A nested drawing's own box fitted into its width and height, in the middle. */
function boxTransforms(of: Element['of']): string[] {
  const { x, y, w, h } = viewBoxOf(of)
  const [width, height] = [number(of.width), number(of.height)]
  if (!(w > 0 && h > 0 && width > 0 && height > 0)) return []
  const scale = Math.min(width / w, height / h)
  return [`scale(${scale}) translate(${-x} ${-y})`, `translate(${(width - scale * w) / 2} ${(height - scale * h) / 2})`]
}

function walk(element: Element, outer: readonly string[], into: Walk, using: readonly Element[]): void {
  if (NOT_DRAWN.has(element.name) || isHidden(element)) return
  const left = LEFT_OUT[element.name]
  if (left) {
    into.leftOut.add(left)
    return
  }
  const transforms = [...ownTransforms(element), ...outer]
  if (element.name === 'use') walkUse(element, transforms, into, using)
  const data = dataOf(element)
  if (data) {
    const traces = pathTraces(data, transforms)
    into.points += traces.reduce((sum, trace) => sum + trace.points.length, 0)
    if (into.points > MOST_POINTS) throw new DrawnUnread('too-much', `the drawing has more than ${MOST_POINTS} points`)
    into.traces.push(...traces)
  }
  for (const child of element.children) walk(child, transforms, into, using)
}

function walkUse(element: Element, transforms: readonly string[], into: Walk, using: readonly Element[]): void {
  const href = element.of.href ?? ''
  const used = href.startsWith('#') ? into.ids.get(href.slice(1)) : undefined
  into.uses++
  if (into.uses > MOST_USES) throw new DrawnUnread('too-much', `the SVG repeats its parts more than ${MOST_USES} times`)
  if (!used || using.includes(used)) {
    into.leftOut.add(used ? 'part that holds itself' : 'part from outside the file')
    return
  }
  const next = [...using, used]
  if (used.name === 'symbol') for (const child of used.children) walk(child, transforms, into, next)
  else walk(used, transforms, into, next)
}

function idsOf(root: Element): Map<string, Element> {
  const ids = new Map<string, Element>()
  const stack = [root]
  for (let element = stack.pop(); element; element = stack.pop()) {
    if (element.of.id) ids.set(element.of.id, element)
    stack.push(...element.children)
  }
  return ids
}

/** The lines that an SVG draws, in millimetres with y up. Throws DrawnUnread. */
export function readSvg(text: string): DrawnLines {
  const root = readTree(text)
  const { transform, isUnitKnown } = rootTransform(root)
  const into: Walk = { ids: idsOf(root), traces: [], leftOut: makeTally(), points: 0, uses: 0 }
  for (const child of root.children) walk(child, [transform, 'scale(1 -1)'], into, [])
  return { traces: into.traces, isUnitKnown, notes: into.leftOut.notes() }
}
