export type Confidence = 'high' | 'medium' | 'low'

/** Where a formula or a number comes from. Everything here is cited from memory; `confidence` says how sure. */
export interface Source {
  readonly title: string
  readonly confidence: Confidence
  readonly note: string
}

export const SOURCES = {
  definition: { title: 'Definition', confidence: 'high', note: 'Exact by definition.' },
  faraday: {
    title: 'Faraday’s law of electrolysis',
    confidence: 'high',
    note: 'Constant exact since 2019 (CODATA); atomic weights of IUPAC. From memory.',
  },
  'closed-form': { title: 'Geometry', confidence: 'high', note: 'Closed-form mathematics.' },
  'spherical-cap': {
    title: 'Geometry of the spherical cap',
    confidence: 'high',
    note: 'Area of a cap is π·(a² + h²); radius (a² + h²)/2h.',
  },
  pappus: {
    title: 'Pappus’s centroid theorem',
    confidence: 'high',
    note: 'A section keeps its volume when it is bent on the circle of its centroid.',
  },
  hill: {
    title: 'Hill, Mathematical Theory of Plasticity, 1950',
    confidence: 'high',
    note: 'Pure bending keeps the thickness; the kept length is that of the mean radius. From memory.',
  },
  'astm-b258': {
    title: 'ASTM B258, American wire gauge (B&S)',
    confidence: 'high',
    note: 'd = 0.127 mm × 92^((36 − n)/39). From memory, checked by formula.',
  },
  'bs-3737': {
    title: 'BS 3737, standard wire gauge (SWG)',
    confidence: 'high',
    note: 'Table. Values from memory, high; number of the standard medium.',
  },
  'us-msg': {
    title: 'US manufacturers’ standard gauge for steel sheet',
    confidence: 'high',
    note: 'Table from ounce weights. From memory.',
  },
  'us-galvanised': {
    title: 'US galvanised sheet gauge',
    confidence: 'high',
    note: 'MSG weight and 2.5 oz/ft² of zinc. Trade table, from memory.',
  },
  'us-1893-gauge': { title: 'US standard gauge, 1893', confidence: 'medium', note: 'oz per ft² / 640 in inches. From memory.' },
  'us-steel-wire': { title: 'US steel wire gauge', confidence: 'medium', note: 'Trade table, from memory.' },
  'astm-b370': {
    title: 'ASTM B370, copper sheet for building',
    confidence: 'high',
    note: 'Thickness from ounces to the square foot. From memory.',
  },
  'asme-b94-11m': { title: 'ANSI/ASME B94.11M, twist drills', confidence: 'high', note: 'Inch values exact. From memory.' },
  'us-ring-scale': {
    title: 'US trade ring scale, diameter form',
    confidence: 'high',
    note: 'D = 0.458 in + 0.032 in × size. From memory.',
  },
  'bs-6820': {
    title: 'BS 6820:1987, ring sizes',
    confidence: 'high',
    note: 'C = 40 mm + 1.25 mm per letter from C. Formula from memory, high; history of the standard medium.',
  },
  'iso-8653': { title: 'ISO 8653, ring sizes', confidence: 'high', note: 'The size is the inside circumference in mm. From memory.' },
  'japan-ring': {
    title: 'Japanese trade ring numbers',
    confidence: 'medium',
    note: 'Inside diameter (n + 38)/3 mm. Trade scale, from memory; JIS S 4700 itself follows the circumference.',
  },
  'continental-ring': {
    title: 'Continental ring scale',
    confidence: 'medium',
    note: 'Circumference less 40 mm. Trade scale, from memory.',
  },
  'bangle-scale': {
    title: 'South Asian bangle notation',
    confidence: 'high',
    note: 'a-b is a inches and b sixteenths, inside. Trade custom.',
  },
  'iso-6344': {
    title: 'ISO 6344 (FEPA P), coated abrasives',
    confidence: 'high',
    note: 'Median grain; P240 and finer high, coarser medium. From memory.',
  },
  'ansi-b74-18': { title: 'ANSI B74.18 (CAMI), coated abrasives', confidence: 'medium', note: 'Sources differ by about 5 %. From memory.' },
  'jis-r-6001': { title: 'JIS R 6001, abrasive grains', confidence: 'medium', note: 'From memory.' },
  'fepa-f': { title: 'FEPA F, bonded abrasives', confidence: 'medium', note: 'Another scale than FEPA P. From memory.' },
  'aws-a5-8': {
    title: 'AWS A5.8, filler metals for brazing',
    confidence: 'medium',
    note: 'BAg-7, BAg-9, BAg-10 and BCuP high, hard solder medium, IT low; from memory. The supplier’s sheet wins.',
  },
  'astm-b601': {
    title: 'ASTM B601, temper names of copper alloys',
    confidence: 'high',
    note: 'Tempers by B&S numbers of reduction. From memory.',
  },
  'iso-9202': {
    title: 'ISO 9202, fineness of precious metals',
    confidence: 'high',
    note: 'Number of the standard high, full list medium. From memory.',
  },
  chemistry: { title: 'General chemistry', confidence: 'high', note: 'Well-known reactions; the product’s safety sheet decides.' },
  cone: {
    title: 'Geometry of the cone',
    confidence: 'high',
    note: 'A frustum unrolls to a sector of radius ℓR/(R − r) and angle 2π(R − r)/ℓ.',
  },
  'din-6935': {
    title: 'DIN 6935, cold bending of flat steel',
    confidence: 'medium',
    note: 'k = 0.65 + 0.5·log10(r/t), at most 1; the neutral line lies at k/2. From memory.',
  },
  ramanujan: {
    title: 'Ramanujan, perimeter of an ellipse',
    confidence: 'high',
    note: 'Second approximation, 1914; right to 1e-8 mm at these sizes.',
  },
  'parallel-curve': {
    title: 'Parallel curves (Steiner)',
    confidence: 'high',
    note: 'A curve set off by h round a convex outline is longer by 2π·h.',
  },
  'alloy-handbook': {
    title: 'Handbook property pages (ASM Handbook vol. 2; CDA alloy data)',
    confidence: 'high',
    note: 'From memory; each number has its own grade.',
  },
  'temper-fit': {
    title: 'Fit to handbook temper tables (ASTM B36, B152, B122; ASM vol. 2)',
    confidence: 'medium',
    note: 'Reproduces annealed yield and the tempers it was fitted to; passing such checks proves the code, not the physics.',
  },
  tabor: { title: 'Tabor, hardness from flow stress', confidence: 'medium', note: 'HV = C·σ(ε + 0.08)/9.81, C fitted per alloy, ±8 %.' },
  'von-mises': { title: 'von Mises equivalent strain', confidence: 'high', note: 'Plane strain counts 2/√3.' },
  'trade-limit': {
    title: 'Trade limits of cold reduction',
    confidence: 'low',
    note: 'Bench practice with a lognormal spread of 0.30; ±30 % at best.',
  },
  'anneal-model': {
    title: 'Recrystallisation kinetics, estimated',
    confidence: 'low',
    note: 'Additive softening; half-softening temperatures ±50 °C.',
  },
  'dap-fit': { title: 'Fit to a free-rim doming model', confidence: 'medium', note: 'Minimum plastic work; ±2–3 % of the blank.' },
  'clamped-bulge': {
    title: 'Clamped bulge of a hardening sheet (Chakrabarty and Alexander)',
    confidence: 'medium',
    note: 'Within 8 % to a depth of 0.6 of the half width; an upper bound where the rim slips.',
  },
  springback: {
    title: 'Bending moment through the thickness, on the flow curve',
    confidence: 'low',
    note: 'Springback ± 15 %: the modulus of silver and what bending back takes off are not known better.',
  },
  'bench-practice': { title: 'Common practice, no source', confidence: 'medium', note: 'Trade custom.' },
  'house-default': { title: 'House default', confidence: 'low', note: 'A suggestion to start from; your own figure wins.' },
  'own-record': {
    title: 'Your own allowance',
    confidence: 'medium',
    note: 'From your readings in the Book, drawn in where they are few, or as you typed it.',
  },
  'own-choice': { title: 'Your own entry', confidence: 'high', note: 'As you gave it.' },
} as const satisfies Record<string, Source>

export type SourceId = keyof typeof SOURCES
