'use client'
import { isRound, type PlacedMark } from '@/core/marks'
import { FONTS, PALETTE } from '../theme/palette'
import type { FaceScale } from './face-scale'

/** One blow on the flat blank: a letter in its room, a dot, a hole that is open, a stamp’s outline with its middle. */
export function Blow({ blow, isChosen, scale }: { readonly blow: PlacedMark; readonly isChosen: boolean; readonly scale: FaceScale }) {
  const { x, y, turnDeg, widthMm, heightMm, kind, text } = blow
  const ink = isChosen ? PALETTE.verdigris : PALETTE.onMetal
  const [w, h] = [widthMm * scale.pxPerMm, heightMm * scale.pxPerMm]
  const at = `translate(${scale.toX(x).toFixed(2)} ${scale.toY(y).toFixed(2)}) rotate(${(-turnDeg).toFixed(3)})`
  if (isRound(blow))
    return (
      <circle
        cx={scale.toX(x)}
        cy={scale.toY(y)}
        r={w / 2}
        fill={kind === 'hole' ? PALETTE.ground : ink}
        stroke={ink}
        strokeWidth={kind === 'hole' ? 1.4 : 0}
      />
    )
  if (kind !== 'letter')
    return (
      <g transform={at}>
        <rect x={-w / 2} y={-h / 2} width={w} height={h} fill={ink} fillOpacity={0.16} stroke={ink} strokeWidth={1.3} />
        <path d={`M${-w / 4} 0H${w / 4}M0 ${-h / 4}V${h / 4}`} stroke={ink} strokeWidth={1} />
      </g>
    )
  return (
    <g transform={at}>
      <rect x={-w / 2} y={-h} width={w} height={h} fill={ink} fillOpacity={isChosen ? 0.1 : 0} />
      {/* capitals stand seven tenths of their type size high */}
      <text
        textAnchor="middle"
        fontFamily={FONTS.text}
        fontWeight={800}
        fontSize={h / 0.7}
        textLength={w * 0.86}
        lengthAdjust="spacingAndGlyphs"
        fill={ink}
      >
        {text}
      </text>
    </g>
  )
}
