import { describe, expect, it } from 'vitest'
import { patternDxf } from '../drawing/dxf'
import { outlinesPattern, patternSvg } from '../drawing/svg'
import { circleOutline, netAreaMm2, roundedRectangle } from '../geometry/outline'
import type { Outline } from '../geometry/point'
import { readDrawn } from './read-drawn'

const svg = (inner: string, root = 'width="100mm" height="80mm" viewBox="0 0 100 80"') =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${root}>${inner}</svg>`

function read(text: string, longestMm?: number) {
  const answer = readDrawn(text, { longestMm })
  if (!answer.ok) throw new Error(`${answer.code}: ${answer.message}`)
  return answer
}
function refusal(text: string) {
  const answer = readDrawn(text)
  if (answer.ok) throw new Error('it was read')
  return answer
}

/** Group codes and values of a DXF, as a program would write them. */
const dxf = (entities: string, header = '', blocks = '') =>
  [
    '0\nSECTION\n2\nHEADER',
    header,
    '0\nENDSEC',
    blocks && `0\nSECTION\n2\nBLOCKS\n${blocks}\n0\nENDSEC`,
    '0\nSECTION\n2\nENTITIES',
    entities,
    '0\nENDSEC\n0\nEOF\n',
  ]
    .filter((part) => part !== '')
    .join('\n')
const MM = '9\n$INSUNITS\n70\n4'
const INCH = '9\n$INSUNITS\n70\n1'
const line = (x0: number, y0: number, x1: number, y1: number) => `0\nLINE\n8\n0\n10\n${x0}\n20\n${y0}\n30\n0\n11\n${x1}\n21\n${y1}\n31\n0`

describe('SVG in true millimetres', () => {
  it('takes a rectangle as large as its unit and view box say, y up', () => {
    const answer = read(svg('<rect x="10" y="5" width="40" height="25"/>', 'width="50mm" height="40mm" viewBox="0 0 100 80"'))
    expect(answer.lengthMm).toBeCloseTo(20, 9)
    expect(answer.widthMm).toBeCloseTo(12.5, 9)
    expect(answer.isSizeKnown).toBe(true)
    expect(Math.max(...(answer.regions[0]?.outer ?? []).map(([, y]) => y))).toBeCloseTo(-2.5, 9)
  })

  it('keeps circles and ellipses, turned and squeezed by nested transforms, to their closed-form areas', () => {
    const answer = read(svg('<g transform="translate(30 30) rotate(25)"><g transform="scale(2 0.5)"><circle r="8"/></g></g>'))
    // chords lie at most 0.003 mm within the ellipse of half axes 16 and 4
    expect(answer.areaMm2).toBeGreaterThan(Math.PI * 15.997 * 3.997)
    expect(answer.areaMm2).toBeLessThan(Math.PI * 16 * 4)
  })

  it('applies skew, matrix and a turn about a point in their order', () => {
    const unit = '<rect width="10" height="10"/>'
    expect(read(svg(`<g transform="skewX(30)">${unit}</g>`)).areaMm2).toBeCloseTo(100, 6)
    expect(read(svg(`<g transform="matrix(2 0 0 3 5 5)">${unit}</g>`)).areaMm2).toBeCloseTo(600, 6)
    const turned = read(svg(`<g transform="rotate(90 10 10) translate(0 -5)">${unit}</g>`))
    const xs = (turned.regions[0]?.outer ?? []).map(([x]) => x)
    expect([Math.min(...xs), Math.max(...xs)]).toEqual([expect.closeTo(15, 9), expect.closeTo(25, 9)])
  })

  it('reads relative commands, shorthand curves and packed arc flags', () => {
    const half = read(svg('<path d="m10 20a10 10 0 0120 0z"/>'))
    expect(half.areaMm2).toBeCloseTo((Math.PI * 100) / 2, 0)
    const smooth = read(svg('<path d="M10 40C10 30 20 30 20 40S30 50 30 40V60H10Z"/>'))
    expect(smooth.lengthMm).toBeCloseTo(20, 6)
  })

  it('makes a line within a line a hole, and a line within that metal again', () => {
    const answer = read(svg('<circle cx="30" cy="30" r="20"/><circle cx="30" cy="30" r="12"/><circle cx="30" cy="30" r="5"/>'))
    expect(answer.regions).toHaveLength(2)
    expect(answer.areaMm2).toBeCloseTo(Math.PI * (400 - 144 + 25), 0)
  })

  it('follows use and symbol, and leaves out what holds itself or lies outside the file', () => {
    const used = read(svg('<defs><rect id="a" width="10" height="4"/></defs><use href="#a" x="5" y="5"/><use xlink:href="#a" x="40"/>'))
    expect(used.regions).toHaveLength(2)
    const loop = read(svg('<g id="g"><rect width="9" height="9"/><use href="#g"/></g><use href="other.svg#x"/>'))
    expect(loop.notes.join('; ')).toContain('part that holds itself')
    expect(loop.notes.join('; ')).toContain('part from outside the file')
  })

  it('leaves text and images out with a note, and what is hidden without one', () => {
    const answer = read(
      svg('<rect width="20" height="10"/><text>Tag</text><image href="x.png"/><g style="display:none"><rect width="90" height="70"/></g>'),
    )
    expect(answer.notes).toEqual(['left out: 1 × text', 'left out: 1 × image'])
    expect(answer.lengthMm).toBeCloseTo(20, 9)
  })

  it('asks for a length where the file names no unit, and scales by it', () => {
    const drawing = svg('<rect width="300" height="200"/>', 'viewBox="0 0 400 400"')
    const unknown = read(drawing)
    expect(unknown.isSizeKnown).toBe(false)
    expect(unknown.notes.at(-1)).toContain('does not say its unit')
    const known = read(drawing, 45)
    expect([known.lengthMm, known.widthMm, known.isSizeKnown]).toEqual([expect.closeTo(45, 9), expect.closeTo(30, 9), true])
  })

  it('joins lines drawn one by one, closes a small gap and says so, and shows a wide one', () => {
    const open = (x: number) => svg(`<path d="M0 0H30"/><path d="M30 20V0"/><path d="M30 20H0"/><path d="M0 20V${x}"/>`)
    expect(read(open(0)).mended).toHaveLength(0)
    expect(read(open(0.2)).notes[0]).toMatch(/closed a gap of 0\.20 mm at 0\.0, /)
    const wide = refusal(open(3))
    expect(wide.code).toBe('open')
    expect(wide.open[0]?.mm).toBeCloseTo(3, 6)
    expect(wide.lines).toHaveLength(4)
  })

  it.each([
    ['a line that crosses itself', svg('<path d="M0 0L20 20L20 0L0 20Z"/>'), 'crosses'],
    ['nothing drawn', svg('<text>only words</text>'), 'nothing'],
    ['a path that is none', svg('<path d="M0 0L10 bananas"/>'), 'bad-path'],
    ['a file cut off', '<svg xmlns="http://www.w3.org/2000/svg"><g><rect wid', 'not-svg'],
    ['entities that grow', '<!DOCTYPE s [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><svg>&b;</svg>', 'not-svg'],
    ['another kind of page', '<html><body/></html>', 'not-svg'],
    ['groups without end', `<svg>${'<g>'.repeat(500)}`, 'too-deep'],
    ['numbers beyond reason', svg('<rect width="1e30" height="5"/>'), 'no-numbers'],
  ])('refuses %s in words', (_, text, code) => {
    const { code: given, message } = refusal(text)
    expect(given).toBe(code)
    expect(message.length).toBeGreaterThan(15)
  })

  it('runs no script and stops at what repeats itself without end', () => {
    const boom = Array.from({ length: 14 }, (_, i) => `<g id="l${i + 1}">${`<use href="#l${i}"/>`.repeat(8)}</g>`).join('')
    expect(
      refusal(svg(`<script>process.exit(3)</script><rect id="l0" width="5" height="5"/><defs>${boom}</defs><use href="#l14"/>`)).code,
    ).toBe('too-much')
  })
})

describe('DXF', () => {
  it('reads lines and arcs joined into a slot, in the unit the file names', () => {
    const slot = [
      line(0, 0, 30, 0),
      line(30, 10, 0, 10),
      '0\nARC\n8\n0\n10\n30\n20\n5\n40\n5\n50\n270\n51\n90',
      '0\nARC\n8\n0\n10\n0\n20\n5\n40\n5\n50\n90\n51\n270',
    ].join('\n')
    const area = 300 + Math.PI * 25
    // chords lie up to 0.003 mm within the arcs, 31.4 mm of them
    expect(Math.abs(read(dxf(slot, MM)).areaMm2 - area)).toBeLessThan(0.1)
    expect(read(dxf(slot, INCH)).areaMm2 / (area * 25.4 ** 2)).toBeCloseTo(1, 3)
    expect(read(dxf(slot)).isSizeKnown).toBe(false)
  })

  it('reads bulges of polylines old and new', () => {
    const old = '0\nPOLYLINE\n8\n0\n66\n1\n70\n1\n0\nVERTEX\n8\n0\n10\n0\n20\n0\n42\n1\n0\nVERTEX\n8\n0\n10\n20\n20\n0\n42\n1\n0\nSEQEND'
    const light = '0\nLWPOLYLINE\n8\n0\n90\n2\n70\n1\n10\n0\n20\n0\n42\n1\n10\n20\n20\n0\n42\n1'
    expect(read(dxf(old, MM)).areaMm2).toBeCloseTo(Math.PI * 100, 0)
    expect(read(dxf(light, MM)).areaMm2).toBeCloseTo(Math.PI * 100, 0)
  })

  it('places blocks turned, mirrored and in rows', () => {
    const block = `0\nBLOCK\n8\n0\n2\nTAG\n10\n0\n20\n0\n${line(0, 0, 6, 0)}\n${line(6, 0, 0, 3)}\n${line(0, 3, 0, 0)}\n0\nENDBLK`
    const insert = '0\nINSERT\n8\n0\n2\nTAG\n10\n5\n20\n5\n41\n-1\n42\n2\n50\n90\n70\n3\n44\n20'
    const answer = read(dxf(insert, MM, block))
    expect(answer.regions).toHaveLength(3)
    expect(answer.areaMm2).toBeCloseTo(3 * 18, 6)
  })

  it('reads ellipses and splines: a spline of degree two with three controls is the parabola it must be', () => {
    const ellipse = '0\nELLIPSE\n8\n0\n10\n0\n20\n0\n11\n12\n21\n0\n40\n0.5\n41\n0\n42\n6.283185307'
    expect(read(dxf(ellipse, MM)).areaMm2).toBeCloseTo(Math.PI * 72, 0)
    const knots = [0, 0, 0, 1, 1, 1].map((k) => `40\n${k}`).join('\n')
    const controls = [
      [0, 0],
      [10, 20],
      [20, 0],
    ]
      .map(([x, y]) => `10\n${x}\n20\n${y}\n30\n0`)
      .join('\n')
    const spline = `0\nSPLINE\n8\n0\n70\n8\n71\n2\n72\n6\n73\n3\n${knots}\n${controls}`
    // two thirds of the box of 20 x 10 that the parabola fills (closed form), less what 48 chords leave
    expect(Math.abs(read(dxf(`${spline}\n${line(20, 0, 0, 0)}`, MM)).areaMm2 - (2 / 3) * 200)).toBeLessThan(0.1)
  })

  it('leaves out words and what it cannot draw, and says so', () => {
    const answer = read(dxf(`0\nCIRCLE\n8\n0\n10\n0\n20\n0\n40\n8\n0\nTEXT\n8\n0\n10\n0\n20\n0\n40\n2\n1\nhello`, MM))
    expect(answer.notes).toEqual(['left out: 1 × text'])
  })

  it.each([
    ['a file cut off', '0\nSECTION\n2\nENTITIES\n0\nLINE\n8\n0\n10\n1', /cannot be read|nothing is drawn/],
    ['no drawing', 'this is a shopping list', /cannot be read|nothing is drawn/],
    [
      'a block within itself',
      dxf('0\nINSERT\n2\nA\n10\n0\n20\n0', MM, '0\nBLOCK\n2\nA\n10\n0\n20\n0\n0\nINSERT\n2\nA\n10\n0\n20\n0\n0\nENDBLK'),
      /nothing is drawn/,
    ],
  ])('refuses %s in words', (_, text, words) => {
    expect(refusal(text).message).toMatch(words)
  })
})

describe('what is written and read again', () => {
  const shapes: readonly (readonly [string, Outline])[] = [
    ['a disc', circleOutline(17)],
    ['a rounded plate', roundedRectangle(44, 21, 6)],
    ['a wavy plate', circleOutline(20).map(([x, y]) => [x * (1 + 0.1 * Math.sin(5 * Math.atan2(y, x))), y] as const)],
  ]
  const farthest = (a: Outline, b: Outline) =>
    Math.max(
      ...a.map(([x, y]) =>
        Math.min(
          ...b.map((p, i) => {
            const q = b[(i + 1) % b.length] ?? p
            const [dx, dy] = [q[0] - p[0], q[1] - p[1]]
            const t = Math.max(0, Math.min(1, ((x - p[0]) * dx + (y - p[1]) * dy) / (dx * dx + dy * dy || 1)))
            return Math.hypot(x - p[0] - t * dx, y - p[1] - t * dy)
          }),
        ),
      ),
    )

  it.each(shapes)('%s comes back by DXF within 0.01 mm', (_, outline) => {
    const text = patternDxf(outlinesPattern([outline]))
    const { outer } = read(text).regions[0] ?? { outer: [] }
    expect(farthest(outline, outer)).toBeLessThan(0.01)
    expect(read(text).isSizeKnown).toBe(true)
  })

  it.each(shapes)('%s comes back by SVG with its size and area', (_, outline) => {
    const answer = read(patternSvg('plate', outlinesPattern([outline])))
    expect(Math.abs(answer.areaMm2 - netAreaMm2(outline))).toBeLessThan(0.02)
  })
})
