import type { Faces } from '@/core/advice'
import { FONTS, PALETTE } from '../theme/palette'

const SOFTEST = 10
const HARDEST = 70
/** Where two hard faces begin to chip each other. */
const CHIPS_AT = 45

function Bar({ face, y, word }: { readonly face: Faces['striking']; readonly y: number; readonly word: string }) {
  const toX = (hrc: number) => 20 + ((hrc - SOFTEST) / (HARDEST - SOFTEST)) * 480
  const [low, high] = face.hrc ?? [SOFTEST, SOFTEST + 3]
  const hard = face.hrc !== null && high >= CHIPS_AT
  return (
    <g>
      <text x={20} y={y - 12} fontSize={14} fontWeight={600} fill={PALETTE.ink}>
        {word} {face.title}
      </text>
      <rect x={20} y={y} width={480} height={22} fill="none" stroke={PALETTE.hairline} />
      <rect x={toX(low)} y={y} width={Math.max(6, toX(high) - toX(low))} height={22} fill={hard ? PALETTE.fire : PALETTE.verdigris} />
      <text x={toX(high) + 10} y={y + 16} fontFamily={FONTS.mono} fontSize={13} fill={PALETTE.muted}>
        {face.hrc ? `${low} to ${high} HRC` : 'soft'}
      </text>
    </g>
  )
}

/** How hard the two faces are: two long bars past the line chip each other. */
export function FacesPicture({ faces }: { readonly faces: Faces }) {
  const x = 20 + ((CHIPS_AT - SOFTEST) / (HARDEST - SOFTEST)) * 480
  return (
    <svg
      width={620}
      height={210}
      viewBox="0 0 620 210"
      style={{ maxWidth: '100%', height: 'auto' }}
      role="img"
      aria-label={`${faces.striking.title} on ${faces.struck.title}`}
    >
      <line x1={x} x2={x} y1={24} y2={180} stroke={PALETTE.fire} strokeDasharray="5 4" />
      <text x={x + 6} y={196} fontSize={12.5} fill={PALETTE.fire}>
        hard on hard chips past here
      </text>
      <Bar face={faces.striking} y={50} word="Strikes:" />
      <Bar face={faces.struck} y={130} word="Is struck:" />
    </svg>
  )
}
