/**
 * Photographs of the measuring card that were never taken: a camera with a lens, light, shadows, blur, noise and a tone curve of its own,
 * drawn ray by ray. It shares no code with what reads them but the card's printed figures.
 */
import { CELL_MM, COLOUR_HALF_MM, DOT_CENTRES, DOT_RADIUS_MM, isCellBlack, MARK_CENTRES, MARK_CODES, MARK_MM } from '@/core/picture/card'

export type Rgb = readonly [number, number, number]
export type Xy = readonly [number, number]

export const MATERIALS = {
  dark: [0.03, 0.03, 0.035],
  red: [0.35, 0.05, 0.04],
  blue: [0.05, 0.1, 0.4],
  stone: [0.12, 0.3, 0.28],
  brass: [0.6, 0.42, 0.14],
  copper: [0.62, 0.3, 0.18],
  grey: [0.25, 0.25, 0.25],
  steel: [0.4, 0.41, 0.42],
  silver: [0.72, 0.72, 0.7],
} as const satisfies Record<string, Rgb>

export interface Shot {
  readonly outline: readonly Xy[]
  readonly material: Rgb
  /** What the thing lies on: the white or the green card, or plain paper with a dark bar on it, `BAR`. */
  readonly field: 'white' | 'green' | 'paper'
  readonly width: number
  readonly heightMm?: number
  readonly tiltDeg?: number
  readonly tiltTowardsDeg?: number
  readonly rollDeg?: number
  readonly lens?: number
  readonly fringePx?: number
  readonly blurPx?: number
  readonly noise?: number
  readonly bowMm?: Xy
  readonly exposure?: number
  readonly toneCurve?: number
  readonly sharpen?: number
  readonly gradient?: Xy
  readonly handShadow?: boolean
  readonly castMm?: Xy
  readonly contact?: number
  readonly glareAt?: Xy
  readonly shine?: number
  readonly printScale?: Xy
  readonly hideMarks?: readonly number[]
  readonly mirrored?: boolean
  readonly seed?: number
  readonly focal35Mm?: number
}

function random(seed: number): () => number {
  let state = seed >>> 0 || 1
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 4294967296
  }
}

/** Signed distance to an outline (negative inside), sampled on a lattice and told between its points. */
function distanceField(outline: readonly Xy[], stepMm = 0.1, marginMm = 12) {
  const xs = outline.map((p) => p[0])
  const ys = outline.map((p) => p[1])
  const [x0, y0] = [Math.min(...xs) - marginMm, Math.min(...ys) - marginMm]
  const columns = Math.ceil((Math.max(...xs) + marginMm - x0) / stepMm) + 2
  const rows = Math.ceil((Math.max(...ys) + marginMm - y0) / stepMm) + 2
  const field = new Float32Array(columns * rows)
  const edges = outline.map((a, i) => [a, outline[(i + 1) % outline.length] ?? a] as const)
  for (let r = 0; r < rows; r++)
    for (let c = 0; c < columns; c++) {
      const [x, y] = [x0 + c * stepMm, y0 + r * stepMm]
      let [nearest, inside] = [Infinity, false]
      for (const [a, b] of edges) {
        const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
        const t = Math.max(0, Math.min(1, ((x - a[0]) * dx + (y - a[1]) * dy) / (dx * dx + dy * dy)))
        nearest = Math.min(nearest, (x - a[0] - t * dx) ** 2 + (y - a[1] - t * dy) ** 2)
        if (a[1] > y !== b[1] > y && x < ((b[0] - a[0]) * (y - a[1])) / (b[1] - a[1]) + a[0]) inside = !inside
      }
      field[r * columns + c] = inside ? -Math.sqrt(nearest) : Math.sqrt(nearest)
    }
  return (x: number, y: number): number => {
    const u = (x - x0) / stepMm
    const v = (y - y0) / stepMm
    if (!(u >= 0 && v >= 0 && u < columns - 1 && v < rows - 1)) return marginMm
    const c = Math.floor(u)
    const r = Math.floor(v)
    const fu = u - c
    const fv = v - r
    const at = r * columns + c
    return (
      ((field[at] ?? 0) * (1 - fu) + (field[at + 1] ?? 0) * fu) * (1 - fv) +
      ((field[at + columns] ?? 0) * (1 - fu) + (field[at + columns + 1] ?? 0) * fu) * fv
    )
  }
}

const INK: Rgb = [0.035, 0.035, 0.035]
const PAPER: Rgb = [0.86, 0.86, 0.85]
const FIELDS = { white: PAPER, green: [0.05, 0.36, 0.12] } as const satisfies Record<string, Rgb>
/** The bar that lies on plain paper: from where to where, mm, and how wide. */
export const BAR = { from: [-50, -42], to: [50, -42], wideMm: 9 } as const

/** The colour printed at a place on the card, mm. */
function printedAt(x: number, y: number, field: Shot['field'], hidden: readonly number[]): Rgb {
  if (field === 'paper') return Math.abs(x) < BAR.to[0] && Math.abs(y - BAR.to[1]) < BAR.wideMm / 2 ? INK : PAPER
  if (Math.abs(x) < COLOUR_HALF_MM[0] && Math.abs(y) < COLOUR_HALF_MM[1]) return FIELDS[field]
  for (let i = 0; i < MARK_CENTRES.length; i++) {
    const dx = x - (MARK_CENTRES[i]?.[0] ?? 0)
    const dy = y - (MARK_CENTRES[i]?.[1] ?? 0)
    if (Math.abs(dx) > MARK_MM / 2 || Math.abs(dy) > MARK_MM / 2 || hidden.includes(i)) continue
    const column = Math.floor((dx + MARK_MM / 2) / CELL_MM) - 1
    const row = Math.floor((MARK_MM / 2 - dy) / CELL_MM) - 1
    if (column < 0 || column > 3 || row < 0 || row > 3) return INK
    return isCellBlack(MARK_CODES[i] ?? 0, row, column) ? INK : PAPER
  }
  if (Math.abs(Math.abs(y) - 78) < 2.1 || Math.abs(Math.abs(x) - 121) < 2.1)
    for (let i = 0; i < DOT_CENTRES.length; i++) {
      const dx = x - (DOT_CENTRES[i]?.[0] ?? 0)
      const dy = y - (DOT_CENTRES[i]?.[1] ?? 0)
      if (dx * dx + dy * dy < DOT_RADIUS_MM * DOT_RADIUS_MM) return INK
    }
  return Math.abs(x) < 148 && Math.abs(y) < 105 ? PAPER : [0.2, 0.15, 0.1]
}

const MIDDLE: readonly Xy[] = [[0, 0]]
const QUARTERS: readonly Xy[] = [
  [-0.25, -0.25],
  [0.25, -0.25],
  [-0.25, 0.25],
  [0.25, 0.25],
]

const step = (from: number, to: number, x: number) => {
  const t = Math.max(0, Math.min(1, (x - from) / (to - from)))
  return t * t * (3 - 2 * t)
}

function blur(plane: Float32Array, width: number, height: number, sigma: number): void {
  const reach = Math.ceil(3 * sigma)
  const bell = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * sigma * sigma)))
  const total = bell.reduce((a, b) => a + b, 0)
  const line = new Float32Array(Math.max(width, height))
  const pass = (count: number, length: number, across: number, along: number) => {
    for (let k = 0; k < count; k++) {
      for (let i = 0; i < length; i++) {
        let sum = 0
        for (let j = -reach; j <= reach; j++) {
          const at = i + j < 0 ? 0 : i + j >= length ? length - 1 : i + j
          sum += (bell[j + reach] ?? 0) * (plane[k * across + at * along] ?? 0)
        }
        line[i] = sum / total
      }
      for (let i = 0; i < length; i++) plane[k * across + i * along] = line[i] ?? 0
    }
  }
  pass(height, width, width, 1)
  pass(width, height, 1, width)
}

/** Bytes of the photograph, four to a pixel, and what it is of. */
export function photograph(shot: Shot) {
  const { width, field, material } = shot
  const height = Math.round(width * 0.75)
  const [tilt, towards, roll] = [shot.tiltDeg ?? 0, shot.tiltTowardsDeg ?? 0, shot.rollDeg ?? 0].map((deg) => (deg * Math.PI) / 180) as [
    number,
    number,
    number,
  ]
  const focal = ((shot.focal35Mm ?? 26) / Math.hypot(36, 24)) * Math.hypot(width, height)
  const distance = (focal * 270 * (1 + 0.75 * Math.sin(tilt))) / (width * 0.9)
  // the camera's axes by those of the card: it looks at a place near the middle from a tilted stand
  const stand = [
    Math.sin(tilt) * Math.cos(towards) * distance + 3,
    Math.sin(tilt) * Math.sin(towards) * distance - 2,
    Math.cos(tilt) * distance,
  ] as const
  const ahead = [-Math.sin(tilt) * Math.cos(towards), -Math.sin(tilt) * Math.sin(towards), -Math.cos(tilt)] as const
  const cross = (a: readonly number[], b: readonly number[]) =>
    [
      (a[1] ?? 0) * (b[2] ?? 0) - (a[2] ?? 0) * (b[1] ?? 0),
      (a[2] ?? 0) * (b[0] ?? 0) - (a[0] ?? 0) * (b[2] ?? 0),
      (a[0] ?? 0) * (b[1] ?? 0) - (a[1] ?? 0) * (b[0] ?? 0),
    ] as const
  const rawRight = cross(ahead, [-Math.sin(roll), Math.cos(roll), 0])
  const size = Math.hypot(...rawRight)
  const right = rawRight.map((v) => v / size) as unknown as readonly [number, number, number]
  const down = cross(ahead, right)
  const axis = [width / 2 - 0.5 + 0.004 * width, height / 2 - 0.5 - 0.003 * width] as const
  const lens = shot.lens ?? 0
  const bow = shot.bowMm ?? [0, 0]
  const h = shot.heightMm ?? 0
  const scale = shot.printScale ?? [1, 1]
  const distanceTo = distanceField(shot.outline)
  const cast = shot.castMm ?? [0, 0]
  const [gx, gy] = shot.gradient ?? [0, 0]
  const exposure = shot.exposure ?? 1
  const hidden = shot.hideMarks ?? []

  const light = (x: number, y: number) => {
    let l = exposure * (1 + (gx * x) / 130 + (gy * y) / 87)
    if (shot.handShadow) l *= 1 - 0.4 * step(-8, 8, y - 20 - 0.35 * x)
    return l
  }
  const paperAt = (x: number, y: number, channel: number) => {
    const d = distanceTo(x, y)
    let l = light(x, y)
    if (shot.castMm) l *= 1 - 0.45 * step(1.2, -1.2, distanceTo(x - cast[0], y - cast[1]))
    l *= 1 - (shot.contact ?? 0) * Math.exp(-Math.max(0, d) / 0.7)
    return (printedAt(x / (scale[0] ?? 1), y / (scale[1] ?? 1), field, hidden)[channel] ?? 0) * l
  }
  const metalAt = (x: number, y: number, channel: number) => {
    const l = light(x, y) * (1 + (shot.shine ?? 0) * Math.sin(0.09 * x + 0.13 * y))
    // light thrown back has the colour of the lamp and not of the metal
    const glare = shot.glareAt ? 4 * Math.exp(-((x - shot.glareAt[0]) ** 2 + (y - shot.glareAt[1]) ** 2) / 12) : 0
    return (material[channel] ?? 0) * l + glare
  }
  // the last place a ray met, kept in two variables: a picture has tens of millions of rays
  let hitX = 0
  let hitY = 0
  const isBowed = bow[0] !== 0 || bow[1] !== 0
  const hit = (rx: number, ry: number, rz: number, z0: number): void => {
    hitX = 0
    hitY = 0
    for (let i = 0; i < (isBowed ? 4 : 1); i++) {
      const z = z0 + bow[0] * (1 - (hitX / 130) ** 2) + bow[1] * (1 - (hitY / 87) ** 2)
      const t = (z - stand[2]) / rz
      hitX = stand[0] + t * rx
      hitY = stand[1] + t * ry
    }
  }
  const seen = (px: number, py: number, channel: number): number => {
    const u0 = (px - axis[0]) / focal
    const v0 = (py - axis[1]) / focal
    const wanted = Math.sqrt(u0 * u0 + v0 * v0)
    let r = wanted
    for (let i = 0; i < 4 && lens !== 0; i++) r -= (r * (1 + lens * r * r) - wanted) / (1 + 3 * lens * r * r)
    const share = wanted > 0 ? r / wanted : 1
    const u = u0 * share
    const v = v0 * share
    const rx = right[0] * u + down[0] * v + ahead[0]
    const ry = right[1] * u + down[1] * v + ahead[1]
    const rz = right[2] * u + down[2] * v + ahead[2]
    hit(rx, ry, rz, 0)
    const x = hitX
    const y = hitY
    if (h === 0) return distanceTo(x, y) < 0 ? metalAt(x, y, channel) : paperAt(x, y, channel)
    hit(rx, ry, rz, h)
    const tx = hitX
    const ty = hitY
    if (distanceTo(tx, ty) < 0) return metalAt(tx, ty, channel)
    for (let i = 1; i <= 12; i++) {
      const s = i / 12
      if (distanceTo(tx + (x - tx) * s, ty + (y - ty) * s) < 0) return 0.6 * metalAt(x, y, channel)
    }
    return paperAt(x, y, channel)
  }
  /** Whether a pixel shows nothing but bare field, or nothing but metal: one ray is enough there. */
  const isPlain = (px: number, py: number) => {
    const u = (px - axis[0]) / focal
    const v = (py - axis[1]) / focal
    hit(right[0] * u + down[0] * v + ahead[0], right[1] * u + down[1] * v + ahead[1], right[2] * u + down[2] * v + ahead[2], 0)
    return Math.abs(hitX) < 100 && Math.abs(hitY) < 60 && Math.abs(distanceTo(hitX, hitY)) > 7 + h
  }
  const fringe = (shot.fringePx ?? 0) / Math.hypot(width / 2, height / 2)
  const chance = random(shot.seed ?? 1)
  const bell = () => chance() + chance() + chance() + chance() + chance() + chance() - 3
  const plain = new Uint8Array(width * height)
  for (let at = 0; at < plain.length; at++) plain[at] = isPlain(at % width, Math.floor(at / width)) ? 1 : 0
  const planes = [0, 1, 2].map((channel) => {
    const plane = new Float32Array(width * height)
    const grow = 1 + (channel - 1) * fringe
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        let sum = 0
        const spots = plain[y * width + x] ? MIDDLE : QUARTERS
        for (let k = 0; k < spots.length; k++) {
          const sx = spots[k]?.[0] ?? 0
          const sy = spots[k]?.[1] ?? 0
          sum += seen(width / 2 - 0.5 + (x + sx - width / 2 + 0.5) / grow, height / 2 - 0.5 + (y + sy - height / 2 + 0.5) / grow, channel)
        }
        plane[y * width + x] = sum / spots.length
      }
    blur(plane, width, height, shot.blurPx ?? 0.9)
    for (let i = 0; i < plane.length; i++) {
      const l = Math.max(0, (plane[i] ?? 0) + (shot.noise ?? 0.004) * Math.sqrt(0.02 + (plane[i] ?? 0)) * 1.4 * bell())
      const e = l <= 0.0031308 ? 12.92 * l : 1.055 * Math.min(1, l) ** (1 / 2.4) - 0.055
      plane[i] = Math.max(0, Math.min(1, e + (shot.toneCurve ?? 0) * (e - 0.5) * e * (1 - e) * 4))
    }
    if (shot.sharpen) {
      const soft = plane.slice()
      blur(soft, width, height, 1)
      for (let i = 0; i < plane.length; i++) plane[i] = (plane[i] ?? 0) + (shot.sharpen ?? 0) * ((plane[i] ?? 0) - (soft[i] ?? 0))
    }
    return plane
  })
  const rgba = new Uint8ClampedArray(4 * width * height)
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const to = 4 * (y * width + (shot.mirrored ? width - 1 - x : x))
      for (const [channel, plane] of planes.entries()) rgba[to + channel] = Math.round(255 * (plane[y * width + x] ?? 0))
      rgba[to + 3] = 255
    }
  /** Where the picture shows a place on the ground. */
  const pixelOf = ([x, y]: Xy): Xy => {
    const way = [x - stand[0], y - stand[1], -stand[2]] as const
    const along = (axes: readonly number[]) => way.reduce((sum, part, i) => sum + part * (axes[i] ?? 0), 0)
    const [u, v] = [along(right) / along(ahead), along(down) / along(ahead)]
    const bent = 1 + lens * (u * u + v * v)
    return [axis[0] + focal * u * bent, axis[1] + focal * v * bent]
  }
  return { width, height, rgba, focal35Mm: shot.focal35Mm ?? 26, pixelOf }
}
