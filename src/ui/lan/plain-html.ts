import { PALETTE } from '../theme/palette'

export const inHtml = (text: string) => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`)

const STYLE = `
  body { margin: 0; min-height: 100vh; display: grid; place-items: center; background: ${PALETTE.petrol}; color: ${PALETTE.petrolText}; font: 18px/1.5 "Atkinson Hyperlegible Next Variable", system-ui, sans-serif }
  main { width: min(26rem, calc(100vw - 3rem)); padding: 2rem 0 }
  h1 { font-size: 40px; line-height: 1.1; margin: 0 0 .5rem }
  label { display: block; margin-top: 1.25rem; font-weight: 600 }
  input { box-sizing: border-box; width: 100%; min-height: 56px; margin-top: .25rem; padding: 0 .75rem; border: 1px solid ${PALETTE.petrolLine}; border-radius: 4px; font: inherit; font-weight: 400; font-size: 22px; background: #fff; color: ${PALETTE.onMetal} }
  input.fig { font-family: "Atkinson Hyperlegible Mono Variable", monospace; letter-spacing: .2em }
  button, a.button { display: block; box-sizing: border-box; text-align: center; text-decoration: none; line-height: 56px; width: 100%; min-height: 56px; margin-top: 1.5rem; border: 0; border-radius: 4px; font: inherit; line-height: 56px; font-weight: 700; background: ${PALETTE.verdigrisBench}; color: ${PALETTE.petrol}; cursor: pointer }
  [hidden] { display: none !important }
  a { color: #9fe0cf }
  ol { padding-left: 1.25rem } li { margin: .75rem 0 }
  code { font: 15px/1.6 "Atkinson Hyperlegible Mono Variable", monospace; word-spacing: .1em }
  [role=alert] { border-left: 4px solid ${PALETTE.fireBench}; padding-left: .75rem }
  [role=status] { border-left: 4px solid ${PALETTE.verdigrisBench}; padding-left: .75rem; margin-top: 1.25rem }
  :focus-visible { outline: 3px solid #fff; outline-offset: 2px }`

/** A page that an unpaired device sees: nothing of the workshop is on it, and none of the program’s own files. */
export function plainPage(title: string, body: string): string {
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>${inHtml(title)}</title><style>${STYLE}</style></head>
<body><main>${body}</main></body></html>`
}
