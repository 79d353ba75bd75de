import type { DapStageResult } from '@/core/forming'
import { formatPlain } from '@/core/units'
import { PALETTE } from '../theme/palette'
import { HeightHandle } from './height-handle'
import { Figure, OtherStages, SECTION, Stretches, scaleOf } from './section-metal'

interface DomeSectionProps {
  readonly stages: readonly DapStageResult[]
  readonly chosen: number
  readonly thicknessMm: number
  readonly discMm: number
  /** Another height of the dome was tried, by its middle; `isStill` once the hand lets go. */
  readonly onHeight?: (heightMm: number, isStill: boolean) => void
}

/** A dome cut through its middle at one stage: the punch in it, the metal as thick as it has become, and the stages before and after. */
export function DomeSection({ stages, chosen, thicknessMm, discMm, onHeight }: DomeSectionProps) {
  const stage = stages[chosen]
  if (!stage) return null
  const scale = scaleOf(discMm, Math.max(...stages.map((one) => one.heightMm), discMm * 0.12))
  const { sphereRadiusMm, heightMm, pole, rim, rimDiameterMm, punchMm } = stage
  const words = `Section after the ${formatPlain(punchMm, 1)} mm punch: ${formatPlain(heightMm, 2)} mm high, ${formatPlain(rimDiameterMm, 2)} mm across the rim, ${formatPlain(pole.thicknessMm, 2)} mm thick at the crown and ${formatPlain(rim.thicknessMm, 2)} mm at the rim`
  return (
    <div style={{ position: 'relative' }}>
      <svg
        viewBox={`0 0 ${SECTION.width} ${SECTION.height}`}
        width="100%"
        role="img"
        aria-label={words}
        style={{ maxHeight: SECTION.height, display: 'block' }}
      >
        <clipPath id="punch-above">
          <rect x="0" y="0" width={SECTION.width} height={scale.y(-discMm * 0.04)} />
        </clipPath>
        <circle
          cx={scale.x(0)}
          cy={scale.y(heightMm - sphereRadiusMm)}
          r={(punchMm / 2) * scale.perMm}
          fill={PALETTE.steel}
          stroke={PALETTE.steelEdge}
          clipPath="url(#punch-above)"
        />
        <OtherStages stages={stages} chosen={chosen} scale={scale} />
        <Stretches profile={stage.profile} thicknessMm={thicknessMm} scale={scale} />
        <Figure at={[scale.x(0), scale.y(heightMm) - 14]} text={formatPlain(pole.thicknessMm, 2)} anchor="middle" />
        <Figure at={[scale.x(rimDiameterMm / 2) + 12, scale.y(0) + 4]} text={formatPlain(rim.thicknessMm, 2)} anchor="start" />
        <Figure at={[scale.x(-rimDiameterMm / 2) - 12, scale.y(0) + 4]} text={formatPlain(rim.thicknessMm, 2)} anchor="end" />
      </svg>
      {onHeight ? (
        <svg
          viewBox={`0 0 ${SECTION.width} ${SECTION.height}`}
          width="100%"
          role="group"
          aria-label="Another height"
          style={{ position: 'absolute', inset: 0, maxHeight: SECTION.height, pointerEvents: 'none' }}
        >
          <HeightHandle
            at={[scale.x(0), scale.y(heightMm)]}
            heightMm={heightMm}
            mostMm={discMm / (2 * Math.SQRT2)}
            perMm={scale.perMm}
            onHeight={onHeight}
          />
        </svg>
      ) : null}
    </div>
  )
}
