import type { Jar } from '@/server/db/repositories'
import { colourOf } from '../drawing/metal-colour'
import { PALETTE } from '../theme/palette'

const WIDE = 96
const TALL = 124
const GLASS = { left: 14, right: 82, top: 26, bottom: 116 } as const
/** A jar is drawn full at this mass, g; what is over shows as full. */
const FULL_G = 250

/** A jar with its metal in it, as high as it is heavy: pieces of sheet, or the grain of filings. */
export function JarDrawn({ jar }: { readonly jar: Pick<Jar, 'alloy' | 'kind' | 'massG' | 'isMixed'> }) {
  const { face, edge } = colourOf(jar.alloy)
  const share = jar.massG > 0 ? Math.max(0.06, Math.sqrt(Math.min(1, jar.massG / FULL_G))) : 0
  const top = GLASS.bottom - share * (GLASS.bottom - GLASS.top - 8)
  const id = `jar-${jar.alloy}-${jar.kind}`
  return (
    <svg viewBox={`0 0 ${WIDE} ${TALL}`} width={WIDE} height={TALL} aria-hidden>
      <defs>
        <pattern id={id} width={jar.kind === 'filings' ? 4 : 15} height={jar.kind === 'filings' ? 4 : 11} patternUnits="userSpaceOnUse">
          <rect width="15" height="11" fill={face} />
          {jar.kind === 'filings' ? (
            <path d="M1 1h1M3 2.5h1M0.5 3.4h1" stroke={edge} strokeWidth={0.8} />
          ) : (
            <path d="M1 2l6-1 2 4-7 2zM10 6l4-3 1 6-5 1z" fill="none" stroke={edge} strokeWidth={0.9} />
          )}
        </pattern>
      </defs>
      {share > 0 ? <rect x={GLASS.left} y={top} width={GLASS.right - GLASS.left} height={GLASS.bottom - top} fill={`url(#${id})`} /> : null}
      {jar.isMixed ? (
        <path
          d={`M${GLASS.left} ${GLASS.bottom - 4}L${GLASS.right} ${top + 2}`}
          stroke={PALETTE.fire}
          strokeWidth={3}
          strokeDasharray="7 4"
        />
      ) : null}
      <path
        d={`M${GLASS.left} ${GLASS.top}V${GLASS.bottom - 6}q0 6 6 6H${GLASS.right - 6}q6 0 6 -6V${GLASS.top}`}
        fill="none"
        stroke={PALETTE.ruleLine}
        strokeWidth={2.4}
      />
      <rect
        x={GLASS.left - 4}
        y={GLASS.top - 14}
        width={GLASS.right - GLASS.left + 8}
        height={14}
        rx={2}
        fill={PALETTE.steel}
        stroke={PALETTE.steelEdge}
      />
    </svg>
  )
}
