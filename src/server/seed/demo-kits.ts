const ga = (number: string, mm: number) => ({ typed: `${number} ga`, mm })
const G26 = ga('26', 0.4049)
const G24 = ga('24', 0.5106)
const G22 = ga('22', 0.6438)
const G20 = ga('20', 0.8118)
const G18 = ga('18', 1.0237)
const G16 = ga('16', 1.2908)
const G14 = ga('14', 1.6281)

/** A piece of several parts started from its kit, with the sizes of each part. */
interface KitPiece {
  readonly kit: string
  readonly name: string
  readonly quantity: number
  readonly inputs: Readonly<Record<string, Readonly<Record<string, unknown>>>>
  /** What is struck on the blank of a part. */
  readonly marks?: Readonly<Record<string, readonly unknown[]>>
  /** How the blank of a part is etched. */
  readonly etch?: Readonly<Record<string, unknown>>
  /** How the faces of a part are to look, and how it is coloured. */
  readonly surface?: Readonly<Record<string, unknown>>
}

const sterling = (thicknessMm: unknown) => ({ alloy: 'sterling-925', thicknessMm })
const fine = (thicknessMm: unknown) => ({ alloy: 'fine-silver', thicknessMm })
const copper = (thicknessMm: unknown) => ({ alloy: 'copper-c110', thicknessMm })
const red = (thicknessMm: unknown) => ({ alloy: 'red-brass-c230', thicknessMm })
const brass = (thicknessMm: unknown) => ({ alloy: 'yellow-brass-c260', thicknessMm })
const nickel = (thicknessMm: unknown) => ({ alloy: 'nickel-silver-c752', thicknessMm })

/** A line of the map so wide, as a dark place. */
function mapLine([ax, ay]: Stop, [bx, by]: Stop, wideMm: number) {
  const long = Math.hypot(bx - ax, by - ay)
  const [nx, ny] = [((ay - by) / long) * (wideMm / 2), ((bx - ax) / long) * (wideMm / 2)]
  return [
    [ax + nx, ay + ny],
    [ax - nx, ay - ny],
    [bx - nx, by - ny],
    [bx + nx, by + ny],
  ]
}
type Stop = readonly [number, number]

/** A stop of the line as a dark disc. */
const stopDisc = ([x, y]: Stop) =>
  Array.from({ length: 32 }, (_, i) => [x + 2.4 * Math.cos((i * Math.PI) / 16), y + 2.4 * Math.sin((i * Math.PI) / 16)])

const STOPS: readonly Stop[] = [
  [-34, -14],
  [-18, -5],
  [-3, -9],
  [11, 3],
  [33, 0],
  [22, 17],
]
const RUNS = [
  [0, 1],
  [1, 2],
  [2, 3],
  [3, 4],
  [3, 5],
] as const
const box = (x: number, y: number) => [
  [-x, -y],
  [x, -y],
  [x, y],
  [-x, y],
]

/** Faces of a flat part as they are to look, its edges from the file. */
const faces = (face: string, back: string, edges: string) => [
  { name: 'Face', from: 'rolled sheet', finish: face },
  { name: 'Back', from: 'rolled sheet', finish: back },
  { name: 'Edges', from: 'file marks', finish: edges },
]

/** The route map: its frame, its lines and its stops stay, the ground between is etched. */
const ROUTE_ETCH = {
  depthMm: 0.25,
  bath: 'copper-sulphate',
  resist: 'toner-transfer',
  finestMm: 1.2,
  dark: [
    { outer: box(43, 26), holes: [box(40.5, 23.5)] },
    ...RUNS.map(([a, b]) => mapLine(STOPS[a] ?? [0, 0], STOPS[b] ?? [0, 0], 1.2)),
    ...STOPS.map(stopDisc),
  ],
}

/** Every kind of piece there is a kit for, as a fitting of the railway. */
export const KIT_PIECES: readonly KitPiece[] = [
  {
    kit: 'bezel-pendant-balls',
    name: 'Night-lamp pendant',
    quantity: 3,
    inputs: {
      bezel: { stoneLengthMm: 17, stoneWidthMm: 13, stoneHeightMm: 5.5, turnMm: 1.4, ...fine(G26) },
      plate: { ...sterling(G22) },
      balls: { ballMm: 2.4, ...sterling(G18) },
      bail: { insideMm: 4.6, ringCount: 1, ...sterling(G16) },
    },
  },
  {
    kit: 'bezel-sweated-ring',
    name: 'Lens in its ring',
    quantity: 2,
    inputs: {
      bezel: { stoneLengthMm: 14, stoneWidthMm: 14, stoneHeightMm: 5, turnMm: 1.3, ...fine(G26) },
      plate: { ...sterling(G20) },
      deco: { outsideMm: 22.5, windowMm: 16.5, ...sterling(G20) },
      bail: { insideMm: 5.4, ringCount: 1, ...sterling(G16) },
    },
  },
  {
    kit: 'tab-pendant',
    name: 'Signal-glass badge',
    quantity: 6,
    inputs: {
      plate: { stoneLengthMm: 25, stoneWidthMm: 18, edgeMm: 3.3, tabCount: 6, windowMm: 10, ...red(G22) },
      ring: { insideMm: 5.8, ringCount: 1, ...red(G18) },
    },
  },
  {
    kit: 'bead-cluster',
    name: 'Rivet-head cluster',
    quantity: 2,
    inputs: {
      beads: { widthMm: 8.5, heightMm: 2.8, ...sterling(G24) },
      large: { widthMm: 12.5, heightMm: 3.9, ...sterling(G24) },
      border: { profile: 'half-round', borderMm: 104, ...sterling(G14) },
      plate: { shape: 'oval', lengthMm: 41, widthMm: 24, ...sterling(G20) },
    },
  },
  {
    kit: 'ferrule-two-part',
    name: 'Lamp-handle ferrule',
    quantity: 4,
    inputs: {
      top: { acrossMm: 18.5, upMm: 8, heightOf: 'whole', baseMm: 1, widthMm: 13, ...red(0.8) },
      base: { shape: 'rectangle', lengthMm: 22, widthMm: 16, ...red(1) },
      wire: { acrossMm: 22, throughMm: 10, turnCount: 2, ...copper(0.5) },
    },
  },
  {
    kit: 'stamping-quartered',
    name: 'Crest in quarters',
    quantity: 2,
    inputs: {
      sheet: { lengthMm: 44, widthMm: 44, depthMm: 2.6, ...sterling(G24) },
      'quarter-a': { outsideMm: 44, insideMm: 11, sectorCount: 4, ...sterling(G24) },
      'quarter-b': { outsideMm: 44, insideMm: 11, sectorCount: 4, ...sterling(G24) },
      'ext-a': { holeMm: 1.4, holeCount: 3, webMm: 1.1, edgeMm: 1.6, widthMm: 5.4, ...sterling(G20) },
      'ext-b': { holeMm: 1.4, holeCount: 3, webMm: 1.1, edgeMm: 1.6, widthMm: 5.4, ...sterling(G20) },
    },
  },
  {
    kit: 'riveted-stack',
    name: 'Coach plate 4072, stacked',
    quantity: 6,
    inputs: {
      upper: { shape: 'shield', lengthMm: 54, widthMm: 43, holeMm: 1.7, holeCount: 2, holePitchMm: 28, ...brass(G20) },
      lower: { shape: 'shield', holeMm: 1.7, holeCount: 2, holePitchMm: 28, ...nickel(G18) },
      wires: { ...copper(G14) },
      hidden: { holeMm: 1.35, seatMm: 2.1, depthMm: 0.55, ...copper(G16) },
    },
  },
  {
    kit: 'buckle-double-d',
    name: 'Satchel buckle',
    quantity: 5,
    inputs: {
      frame: {
        strapMm: 27,
        windowMm: 10.5,
        frameMm: 5,
        tongue: 'apart',
        tongueMm: 1.6,
        strap: 'with',
        leatherMm: 2.8,
        slotMm: 15,
        holePitchMm: 22,
        girthMm: 880,
        ...brass(ga('13', 1.8278)),
      },
      tongue: { alloy: 'yellow-brass-c260' },
    },
  },
  {
    kit: 'wrapped-ring-tube-rivet',
    name: 'Pointsman’s ring',
    quantity: 2,
    inputs: {
      band: { insideDiameterMm: { typed: 'US 8 1/2', mm: 18.5426 }, widthMm: 7.5, overlapMm: 6.5, holeMm: 2.5, ...sterling(G18) },
      tube: { tubeMm: 2.4, upperMm: 2.6, lowerMm: 1.02, holeMm: 2.5, ...sterling(0.35) },
    },
  },
  {
    kit: 'stacking-rings-applied',
    name: 'Sorter’s rings',
    quantity: 3,
    inputs: {
      ring: { insideDiameterMm: { typed: 'US 7 3/4', mm: 17.93 }, ringCount: 3, widthMm: 1.7, ...sterling(G16) },
      shape: { shape: 'oval', lengthMm: 7, widthMm: 1.6, ...sterling(G22) },
    },
  },
  {
    kit: 'ring-bender',
    name: 'Fireman’s band',
    quantity: 2,
    inputs: { ring: { insideDiameterMm: { typed: 'US 10 1/4', mm: 19.96 }, stock: 'strip', widthMm: 5, ...sterling(ga('15', 1.4503)) } },
  },
  {
    kit: 'chain-strip-links',
    name: 'Whistle chain, linked',
    quantity: 1,
    inputs: {
      strip: { linkMm: 18, widthMm: 5.8, linkCount: 22, stripCount: 2, ...nickel(G20) },
      links: { linkMm: 18, widthMm: 5.8, linkCount: 22, stripCount: 2, ...nickel(G20) },
      rings: { longMm: 6.8, shortMm: 4, ...nickel(G18) },
    },
  },
  {
    kit: 'dome-notched-earrings',
    name: 'Signal-arm drops',
    quantity: 2,
    inputs: {
      disc: { widthMm: 24, heightMm: 6.5, opening: 'window', openingMm: 8, ...copper(G22) },
      wire: { rodMm: 9, tailMm: 16, frontMm: 6.5, ...sterling(G20) },
    },
  },
  {
    kit: 'fused-dust-earrings',
    name: 'Ember coins',
    quantity: 2,
    inputs: {
      coins: { lengthMm: 17, widthMm: 17, depthMm: 1.2, dustGrainMm: 0.35, schools: { die: 'pancake' }, ...sterling(G22) },
      wires: { rodMm: 8, tailMm: 14, frontMm: 6, ...sterling(G20) },
    },
  },
  {
    kit: 'bangle-hollow-stamped',
    name: 'Hollow bangle, lamp numbers',
    quantity: 2,
    inputs: { strip: { insideDiameterMm: { typed: 'bangle 2-7', mm: 61.9125 }, widthMm: 12.5, ...red(0.7) } },
    marks: {
      strip: [
        { kind: 'letters', text: '17  42  58  63', heightMm: 3, spacingMm: 0.6, line: { kind: 'straight', angleDeg: 0 } },
        { kind: 'hallmark', widthsMm: [1.4, 1.8, 1.4], heightMm: 1.8, gapMm: 0.6 },
      ],
    },
  },
  {
    kit: 'stamped-disc',
    name: 'Luggage disc',
    quantity: 10,
    inputs: { disc: { diameterMm: 26, holeMm: 2.8, ...copper(G18) }, ring: { insideMm: 5.6, ringCount: 1, ...copper(G16) } },
    marks: {
      disc: [
        {
          kind: 'map',
          id: 'Orrin Vale line',
          marginMm: 3,
          dotMm: 1.6,
          linkDotMm: 0.6,
          pitchMm: 1.5,
          points: [
            { name: 'Orrin Vale', x: 0, y: 0 },
            { name: 'Quillbank', x: 14, y: 7 },
            { name: 'Hollow Halt', x: 27, y: 4 },
            { name: 'Sorrel Junction', x: 38, y: 13 },
            { name: 'Brindle', x: 55, y: 11 },
            { name: 'Lanternmere', x: 47, y: 26 },
          ],
          links: [
            [0, 1],
            [1, 2],
            [2, 3],
            [3, 4],
            [3, 5],
          ],
        },
      ],
    },
  },
  {
    kit: 'mask',
    name: 'Boiler-house mask',
    quantity: 1,
    inputs: {
      sheet: { outline: 'half', widthMm: 182, heightMm: 88, eyeLengthMm: 36, eyeWidthMm: 16, eyesApartMm: 61, eyesUpMm: 6, ...copper(G18) },
    },
    surface: {
      sheet: { faces: faces('brush-glow', 'as-formed', 'satin'), patina: { agent: 'selenious', by: 'spray', runs: 3, relief: 'pumice' } },
    },
  },
  {
    kit: 'etched-plate',
    name: 'Route map plate',
    quantity: 2,
    inputs: { plate: { shape: 'rectangle', lengthMm: 92, widthMm: 58, ...brass(G18) } },
    etch: { plate: ROUTE_ETCH },
  },
  {
    kit: 'verdigris-plate',
    name: 'Weathered nameplate',
    quantity: 1,
    inputs: { plate: { shape: 'rectangle', lengthMm: 84, widthMm: 31, holeMm: 2.2, holeCount: 2, holePitchMm: 70, ...copper(G18) } },
    surface: {
      plate: { faces: faces('brush-glow', 'as-formed', 'satin'), patina: { agent: 'verdigris', runs: 5, relief: 'none', seal: 'lacquer' } },
    },
  },
  {
    kit: 'sulphide-disc',
    name: 'Smoked token',
    quantity: 8,
    inputs: { disc: { diameterMm: 25, holeMm: 3.2, ...copper(ga('19', 0.9116)) } },
    surface: { disc: { faces: faces('tumbled', 'satin', 'satin'), patina: { agent: 'sulphurated-potash', runs: 3, relief: 'pad' } } },
  },
  { kit: 'fold-star', name: 'Star for the van door', quantity: 1, inputs: { sheet: { sheet: 'six', reachMm: 28, ...copper(0.25) } } },
]
