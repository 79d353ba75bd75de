import { PALETTE } from '../theme/palette'

const inHtml = (text: string) => text.replace(/[&<>"']/g, (sign) => `&#${sign.charCodeAt(0)};`)

interface PairPage {
  /** A code that came with the address. */
  readonly code: string
  readonly problem?: string
}

const STYLE = `
  body { margin: 0; min-height: 100vh; display: grid; place-items: center; background: ${PALETTE.petrol}; color: ${PALETTE.petrolText}; font: 18px/1.5 "Atkinson Hyperlegible Next Variable", system-ui, sans-serif }
  main { width: min(26rem, calc(100vw - 3rem)) }
  h1 { font-size: 40px; line-height: 1.1; margin: 0 0 .5rem }
  label { display: block; margin-top: 1.25rem; font-weight: 600 }
  input { box-sizing: border-box; width: 100%; min-height: 56px; margin-top: .25rem; padding: 0 .75rem; border: 1px solid ${PALETTE.petrolLine}; border-radius: 4px; font: inherit; font-weight: 400; font-size: 22px; background: #fff; color: ${PALETTE.onMetal} }
  input.fig { font-family: "Atkinson Hyperlegible Mono Variable", monospace; letter-spacing: .2em }
  button { width: 100%; min-height: 56px; margin-top: 1.5rem; border: 0; border-radius: 4px; font: inherit; font-weight: 700; background: ${PALETTE.verdigrisBench}; color: ${PALETTE.petrol}; cursor: pointer }
  [role=alert] { border-left: 4px solid ${PALETTE.fireBench}; padding-left: .75rem }
  :focus-visible { outline: 3px solid #fff; outline-offset: 2px }`

/** The one page an unpaired device sees: nothing of the workshop is on it, and it needs no script. */
export function pairPage({ code, problem }: PairPage): string {
  return `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>Pair with the workshop</title><style>${STYLE}</style></head>
<body><main><h1>Pair this device</h1>
<p>The code stands under Settings on a device that is paired already, and where the program was started.</p>
${problem ? `<p role="alert">${inHtml(problem)}</p>` : ''}
<form method="post" action="/pair">
<label>Code<input class="fig" name="code" value="${inHtml(code)}" inputmode="numeric" autocomplete="one-time-code" maxlength="12" required></label>
<label>What this device is called<input name="name" maxlength="40" placeholder="phone by the bench"></label>
<button>Pair</button>
</form></main></body></html>`
}
