import type { EtchBath } from '@/core/etching'
import { PALETTE } from '../theme/palette'

/** The colour of each solution as it stands in its bottle. */
const LIQUID: Readonly<Record<EtchBath, string>> = { 'copper-sulphate': '#4f8fc9', salt: '#cfdcdd', 'copper-nitrate': '#4aa6b0' }
const WIDE = 84
const TALL = 124
const SLUDGE_EACH_PX = 4
const MOST_SLUDGE_PX = 28

interface BathDrawnProps {
  readonly kind: EtchBath
  /** Uses since it was filtered: so high lies the sludge. */
  readonly uses: number
  readonly isOut: boolean
}

/** A bottle with its label and its liquid; what the etches left lies at the bottom until it is filtered. */
export function BathDrawn({ kind, uses, isOut }: BathDrawnProps) {
  const sludge = Math.min(MOST_SLUDGE_PX, uses * SLUDGE_EACH_PX)
  return (
    <svg viewBox={`0 0 ${WIDE} ${TALL}`} width={WIDE} height={TALL} aria-hidden>
      {isOut ? null : (
        <>
          <path d="M12 52h60v56q0 8-8 8H20q-8 0-8-8z" fill={LIQUID[kind]} fillOpacity={0.75} />
          {sludge > 0 ? (
            <path d={`M12 ${116 - sludge}h60v${sludge - 8}q0 8-8 8H20q-8 0-8-8z`} fill={PALETTE.steelEdge} fillOpacity={0.55} />
          ) : null}
        </>
      )}
      <path
        d="M32 6h20v20l16 14q4 4 4 10v58q0 8-8 8H20q-8 0-8-8V50q0-6 4-10l16-14z"
        fill="none"
        stroke={PALETTE.ruleLine}
        strokeWidth={2.4}
      />
      <path d="M30 4h24v9H30z" fill={PALETTE.steel} stroke={PALETTE.steelEdge} />
      <path d="M20 64h44v26H20z" fill={PALETTE.paper} stroke={PALETTE.hairline} />
      <path d="M25 71h34M25 77h26M25 83h30" stroke={PALETTE.muted} strokeWidth={1.4} />
    </svg>
  )
}
