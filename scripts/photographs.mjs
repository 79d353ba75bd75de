import { existsSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { build } from 'esbuild'
import sharp from 'sharp'

/** Takes the photographs of the measuring card that the tests look at: drawn, never taken. `node scripts/photographs.mjs` writes them anew, or those it is given. */
const OUT = 'tests/fixtures/photographs'
const TRUTH = join(OUT, 'truth.json')

const around = (count, radius) =>
  Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * i) / count
    const r = radius(i, angle)
    return [r * Math.cos(angle), r * Math.sin(angle)]
  })
const box = (w, h) => [
  [-w / 2, -h / 2],
  [w / 2, -h / 2],
  [w / 2, h / 2],
  [-w / 2, h / 2],
]
const put = (outline, deg, dx, dy) => {
  const [cos, sin] = [Math.cos((deg * Math.PI) / 180), Math.sin((deg * Math.PI) / 180)]
  return outline.map(([x, y]) => [x * cos - y * sin + dx, x * sin + y * cos + dy])
}
const SHAPES = {
  tag: box(62, 34),
  strip: box(96, 8),
  disc: around(144, () => 19),
  oval: around(144, (_, angle) => (26 * 17) / Math.hypot(17 * Math.cos(angle), 26 * Math.sin(angle))),
  star: around(10, (i) => (i % 2 ? 13 : 29)),
  corner: [
    [0, 0],
    [46, 0],
    [46, 14],
    [16, 14],
    [16, 37],
    [0, 37],
  ].map(([x, y]) => [x - 18, y - 15]),
}

const usual = {
  field: 'white',
  width: 2200,
  tiltDeg: 14,
  tiltTowardsDeg: 60,
  rollDeg: 6,
  lens: 0.03,
  fringePx: 0.4,
  blurPx: 0.9,
  noise: 0.003,
  gradient: [0.08, -0.06],
  castMm: [0.8, 1.1],
  contact: 0.25,
  toneCurve: 0.15,
  sharpen: 0.4,
  exposure: 0.72,
}
const seen = (id, shape, material, more = {}) => ({ id, outline: shape, material, ...usual, ...more })

/** What is on each photograph; `asks` is what is asked of it, `refused` why it must not be measured. */
export function shots(M) {
  const small = { width: 1900 }
  const bare = { width: 1900, field: 'paper' }
  return [
    seen('strip-red', put(SHAPES.strip, -22, 4, 3), M.red, { seed: 1 }),
    seen('star-dark', put(SHAPES.star, 11, -8, 4), M.dark, { seed: 2, tiltDeg: 6 }),
    seen('tag-brass-shadow', put(SHAPES.tag, 33, 5, -4), M.brass, { seed: 3, handShadow: true, tiltDeg: 20 }),
    seen('oval-stone-high', put(SHAPES.oval, 50, -12, 6), M.stone, { seed: 4, heightMm: 5, tiltDeg: 17 }),
    seen('corner-copper-high', put(SHAPES.corner, -15, 3, 2), M.copper, { seed: 5, heightMm: 2.4, lens: -0.04 }),
    seen('disc-silver-green', put(SHAPES.disc, 0, 15, -5), M.silver, { seed: 6, field: 'green', shine: 0.12 }),
    seen('tag-steel-green', put(SHAPES.tag, 70, -6, 2), M.steel, { seed: 7, field: 'green', tiltDeg: 22 }),
    seen('tag-red-stretched', put(SHAPES.tag, 8, 6, 6), M.red, { seed: 8, printScale: [1.012, 0.994], bowMm: [0.6, 0] }),
    seen('tag-blue-one-side', put(SHAPES.tag, 12, 4, 5), M.blue, { seed: 17, tiltTowardsDeg: 20, rollDeg: 3 }),
    seen('tag-blue-other-side', put(SHAPES.tag, 12, 4, 5), M.blue, { seed: 18, tiltTowardsDeg: 230, rollDeg: 176, tiltDeg: 8 }),
    seen('bare-tag-red', put(SHAPES.tag, 14, 6, 12), M.red, { seed: 19, ...bare, tiltDeg: 3 }),
    seen('bare-corner-blue', put(SHAPES.corner, -20, -4, 14), M.blue, { seed: 20, ...bare, tiltDeg: 6, tiltTowardsDeg: 100, lens: -0.03 }),
    seen('bare-oval-high', put(SHAPES.oval, 30, 8, 16), M.copper, { seed: 21, ...bare, tiltDeg: 2, heightMm: 4 }),
    seen('refused-bare-edge', put(SHAPES.tag, 0, 128, 0), M.red, { seed: 22, ...bare, refused: 'over-frame' }),
    seen('refused-silver-on-white', put(SHAPES.oval, 20, 0, 0), M.silver, { seed: 9, ...small, refused: 'like-card|in-pieces' }),
    seen('refused-over-frame', put(SHAPES.tag, 0, 88, 0), M.red, { seed: 10, ...small, refused: 'over-frame' }),
    seen('refused-marks-hidden', put(SHAPES.disc, 0, 0, 0), M.red, { seed: 11, ...small, hideMarks: [0, 3], refused: 'marks-hidden' }),
    seen('refused-bowed', put(SHAPES.disc, 0, 0, 0), M.red, { seed: 12, ...small, bowMm: [0, 3], refused: 'bowed' }),
    seen('refused-mirrored', put(SHAPES.corner, 0, 0, 0), M.red, { seed: 13, ...small, mirrored: true, refused: 'mirrored' }),
    seen('refused-empty', put(SHAPES.disc, 0, 400, 400), M.red, { seed: 14, ...small, refused: 'empty' }),
    seen('refused-tilted', put(SHAPES.tag, 0, 0, 0), M.red, {
      seed: 15,
      ...small,
      tiltDeg: 55,
      rollDeg: 0,
      tiltTowardsDeg: 90,
      refused: 'tilted',
    }),
    seen('refused-coarse', put(SHAPES.tag, 0, 0, 0), M.red, { seed: 16, width: 800, refused: 'coarse' }),
  ]
}

/** The program that draws them, bundled. */
export async function darkroom() {
  const outfile = join(mkdtempSync(join(tmpdir(), 'fold-anvil-darkroom-')), 'darkroom.mjs')
  const stdin = { contents: "export { BAR, photograph, MATERIALS } from './tests/support/photograph'", resolveDir: '.', loader: 'ts' }
  await build({ stdin, outfile, bundle: true, platform: 'node', format: 'esm', alias: { '@': './src' }, logLevel: 'warning' })
  return import(pathToFileURL(outfile).href)
}

if (process.argv[1]?.endsWith('photographs.mjs')) {
  const { BAR, photograph, MATERIALS } = await darkroom()
  mkdirSync(OUT, { recursive: true })
  const told = []
  const only = process.argv.slice(2)
  const before = existsSync(TRUTH) ? JSON.parse(readFileSync(TRUTH, 'utf8')) : []
  for (const shot of shots(MATERIALS)) {
    let points = before.find(({ id }) => id === shot.id)?.points
    if (only.length === 0 || only.includes(shot.id)) {
      const { width, height, rgba, pixelOf } = photograph(shot)
      if (shot.field === 'paper') points = [BAR.from, BAR.to].map((place) => pixelOf(place).map((px) => Number(px.toFixed(1))))
      await sharp(Buffer.from(rgba.buffer), { raw: { width, height, channels: 4 } })
        .removeAlpha()
        .jpeg({ quality: 86, chromaSubsampling: '4:2:0' })
        .toFile(join(OUT, `${shot.id}.jpg`))
    }
    const { id, outline, heightMm = 0, printScale = [1, 1], refused } = shot
    told.push({
      id,
      outline: outline.map(([x, y]) => [Number(x.toFixed(4)), Number(y.toFixed(4))]),
      heightMm,
      printScale,
      ...(refused ? { refused } : {}),
      ...(points ? { points } : {}),
    })
    process.stdout.write(`${id}\n`)
  }
  writeFileSync(TRUTH, `${JSON.stringify(told, null, 1)}\n`)
}
