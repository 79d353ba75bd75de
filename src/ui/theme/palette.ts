/** Cool ground, warm metal: the only warm colours are metal, fire and limits. */
export const PALETTE = {
  ink: '#1b2a2e',
  muted: '#4d5d62',
  hairline: '#c6d0d1',
  ground: '#e6ebea',
  paper: '#f6f8f8',
  white: '#ffffff',
  petrol: '#1d2b30',
  petrolDeep: '#121f20',
  petrolLine: '#3a4d51',
  petrolText: '#e9efee',
  petrolMuted: '#a9b9b9',
  verdigris: '#1f6b63',
  verdigrisSoft: '#d5e6e2',
  verdigrisBench: '#3fa68f',
  ochre: '#70500a',
  ochreSoft: '#f1e6cd',
  fire: '#b4400f',
  fireSoft: '#f6ddd0',
  fireBench: '#e5833a',
  ribbon: '#9dafc2',
  ribbonBench: '#476a72',
  ribbonNow: '#8fc2be',
} as const

export const FONTS = {
  text: '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif',
  mono: '"Atkinson Hyperlegible Mono Variable", ui-monospace, monospace',
  head: '"Bricolage Grotesque Variable", "Atkinson Hyperlegible Next Variable", sans-serif',
} as const
