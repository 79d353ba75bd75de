import type { MetalRecord } from '@/server/services/metal-record'
import { FONTS, PALETTE } from '../theme/palette'

const [WIDE, TALL, LEFT] = [820, 112, 10]
/** The line the pieces are drawn on, and the one of the figures under it. */
const [ROW, FOOT] = [60, 86]
/** A mark grows with how many pieces it stands for, up to so large. */
const [SMALL, LARGE] = [3, 9]

const xOf = (percent: number) => LEFT + ((WIDE - 2 * LEFT) * percent) / 100
const sizeFor = (pieces: number) => Math.min(LARGE, SMALL + Math.sqrt(pieces))

/** Where pieces of a metal held and where they cracked, by the reduction since they were last soft, with the limit that this tells. */
export function LimitPicture({ metal: { worked, limit, tablePercent, title } }: { readonly metal: MetalRecord }) {
  const held = worked.filter(({ crackedPercent }) => crackedPercent === undefined)
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${TALL}`}
      role="img"
      aria-label={`${title}: how far pieces were worked, and where they cracked`}
      style={{ width: '100%', display: 'block', margin: '8px 0' }}
    >
      <rect x={xOf(limit.low)} y={ROW - 24} width={xOf(limit.high) - xOf(limit.low)} height={48} fill={PALETTE.verdigris} opacity={0.16} />
      <line x1={xOf(limit.value)} x2={xOf(limit.value)} y1={ROW - 24} y2={ROW + 24} stroke={PALETTE.verdigris} strokeWidth={2} />
      <line
        x1={xOf(tablePercent)}
        x2={xOf(tablePercent)}
        y1={ROW - 18}
        y2={ROW + 18}
        stroke={PALETTE.muted}
        strokeWidth={1.5}
        strokeDasharray="4 3"
      />
      {[
        { percent: limit.value, says: 'your record', y: ROW - 44, fill: PALETTE.verdigris },
        { percent: tablePercent, says: 'the table', y: ROW - 29, fill: PALETTE.muted },
      ].map(({ percent, says, y, fill }) => (
        <text key={says} x={xOf(percent)} y={y} textAnchor="middle" fontSize={13} fill={fill}>
          {says}
        </text>
      ))}
      <line x1={LEFT} x2={WIDE - LEFT} y1={ROW} y2={ROW} stroke={PALETTE.hairline} />
      {held.map(({ heldPercent, pieces }) => (
        <circle key={heldPercent} cx={xOf(heldPercent)} cy={ROW} r={sizeFor(pieces)} fill={PALETTE.steel} stroke={PALETTE.steelEdge} />
      ))}
      {worked.flatMap(({ heldPercent, crackedPercent, pieces }) =>
        crackedPercent === undefined
          ? []
          : [
              <path
                key={`${heldPercent} ${crackedPercent}`}
                d={`M ${xOf(heldPercent)} ${ROW - 12} H ${xOf(crackedPercent)} l -5 -5 l 10 5 l -10 5 l 5 -5`}
                fill="none"
                stroke={PALETTE.fire}
                strokeWidth={Math.min(5, 1 + pieces)}
              />,
            ],
      )}
      {[0, 20, 40, 60, 80, 100].map((percent) => (
        <text
          key={percent}
          x={xOf(percent)}
          y={FOOT + 16}
          textAnchor={percent === 0 ? 'start' : percent === 100 ? 'end' : 'middle'}
          fontFamily={FONTS.mono}
          fontSize={12}
          fill={PALETTE.muted}
        >
          {percent} %
        </text>
      ))}
    </svg>
  )
}
