/** Cool ground, warm metal: the only warm colours are metal, fire and limits. By day. */
const LIGHT = {
  ink: '#1b2a2e',
  muted: '#4d5d62',
  hairline: '#c6d0d1',
  ground: '#e6ebea',
  paper: '#f6f8f8',
  white: '#ffffff',
  verdigris: '#1f6b63',
  onVerdigris: '#ffffff',
  verdigrisSoft: '#d5e6e2',
  ochre: '#70500a',
  ochreSoft: '#f1e6cd',
  fire: '#b4400f',
  fireSoft: '#f6ddd0',
  ribbon: '#9dafc2',
  ribbonRed: '#d98a66',
  steel: '#aebcc4',
  steelEdge: '#4f5c60',
  rule: '#d2dadb',
  ruleInk: '#2c3d42',
  ruleLine: '#93a3a7',
} as const

export type Tone = keyof typeof LIGHT

/** The same by lamplight. */
const DARK: Readonly<Record<Tone, string>> = {
  ink: '#e8efee',
  muted: '#a9b9b9',
  hairline: '#3a4d51',
  ground: '#121d20',
  paper: '#18262a',
  white: '#203237',
  verdigris: '#63c3ae',
  onVerdigris: '#06201b',
  verdigrisSoft: '#1d4640',
  ochre: '#e3bd6e',
  ochreSoft: '#3d3319',
  fire: '#f59a6b',
  fireSoft: '#4a2a1c',
  ribbon: '#5d7a8c',
  ribbonRed: '#a3552f',
  steel: '#71838c',
  steelEdge: '#b4c2c6',
  rule: '#1d2b30',
  ruleInk: '#b9c8c8',
  ruleLine: '#4b6067',
}

/** What a browser is told of the tones of a scheme: custom properties that every use of PALETTE names. */
const propertiesOf = (tones: Readonly<Record<Tone, string>>) =>
  Object.fromEntries(Object.entries(tones).map(([name, value]) => [`--tone-${name}`, value]))

export const SCHEMES = { light: LIGHT, dark: DARK } as const
export const SCHEME_PROPERTIES = { light: propertiesOf(LIGHT), dark: propertiesOf(DARK) } as const

/** The tones as a style names them; which colour each is, the scheme says. What lies on metal and at the bench is the same by day and night. */
export const PALETTE = {
  ...(Object.fromEntries(Object.keys(LIGHT).map((name) => [name, `var(--tone-${name})`])) as Record<Tone, string>),
  onMetal: '#1b2a2e',
  petrol: '#1d2b30',
  petrolDeep: '#121f20',
  petrolLine: '#3a4d51',
  petrolText: '#e9efee',
  petrolMuted: '#a9b9b9',
  verdigrisBench: '#5cc3ab',
  fireBench: '#f3a76d',
  fireOnPetrol: '#f3c99a',
  ribbonBench: '#476a72',
  ribbonNow: '#8fc2be',
} as const

export const FONTS = {
  text: '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif',
  mono: '"Atkinson Hyperlegible Mono Variable", ui-monospace, monospace',
  head: '"Bricolage Grotesque Variable", "Atkinson Hyperlegible Next Variable", sans-serif',
} as const
