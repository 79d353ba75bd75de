'use client'
import { ALLOYS, SOLDERS } from '@/core/metals'
import type { HeatCard, TorchBook } from '@/core/piece'
import { FONTS, PALETTE } from '../theme/palette'
import { type LadderShape, LEFT, ladderShape, RUNG } from './ladder-shape'

interface HeatLadderProps {
  readonly book: TorchBook
  readonly height: number
  readonly chosen: number
  readonly onChoose: (index: number) => void
}

/** Lettering that lines run under. */
const HALO = { stroke: PALETTE.ground, strokeWidth: 5, paintOrder: 'stroke' } as const

/** The melting range of each solder of a heat, a bar from where it begins to where it flows. */
function Solders({ card, shape, x }: { readonly card: HeatCard; readonly shape: LadderShape; readonly x: number }) {
  return card.solders.map((id, i) => {
    const { title, solidusC, liquidusC } = SOLDERS[id]
    const left = x - 26 + i * 30
    const [top, bottom] = [shape.toY(liquidusC), shape.toY(solidusC)]
    return (
      <g key={id}>
        <rect x={left} y={top} width={24} height={Math.max(3, bottom - top)} fill={PALETTE.steel} stroke={PALETTE.steelEdge} />
        <line x1={left - 4} x2={left + 28} y1={top} y2={top} stroke={PALETTE.fire} strokeWidth={3} />
        <text x={left + 32} y={top + 5} fontSize={13} fontFamily={FONTS.mono} fill={PALETTE.ink} {...HALO}>
          {liquidusC}
        </text>
        <text x={left + 32} y={top + 22} fontSize={12.5} fill={PALETTE.muted} {...HALO}>
          {title.replace(/ \(.*/, '')}
        </text>
      </g>
    )
  })
}

/** Where each metal in the heat begins to melt: a strip of it, and nothing may go above. */
function Metals({ card, shape, x }: { readonly card: HeatCard; readonly shape: LadderShape; readonly x: number }) {
  return card.metals.map(({ alloy, title, solidusC }) => (
    <g key={alloy}>
      <line
        x1={x - RUNG / 2 + 8}
        x2={x + RUNG / 2 - 8}
        y1={shape.toY(solidusC)}
        y2={shape.toY(solidusC)}
        stroke={PALETTE.steelEdge}
        strokeWidth={7}
      />
      <line
        x1={x - RUNG / 2 + 9}
        x2={x + RUNG / 2 - 9}
        y1={shape.toY(solidusC)}
        y2={shape.toY(solidusC)}
        stroke={ALLOYS[alloy].colour.face}
        strokeWidth={5}
      />
      <text x={x - RUNG / 2 + 10} y={shape.toY(solidusC) - 8} fontSize={12.5} fill={PALETTE.muted}>
        {title} melts from {Math.round(solidusC)}
      </text>
    </g>
  ))
}

/** From each earlier joint that a heat reaches to the heat: how far under it the new solder flows. */
function Reaches({ book, shape }: { readonly book: TorchBook; readonly shape: LadderShape }) {
  return book.heats.flatMap(({ joints }, i) =>
    joints.flatMap(({ joint, flowC, reaches }) =>
      reaches.map(({ joint: earlier, gapC }) => {
        const from = book.heats.findIndex((heat) => heat.joints.some((one) => one.joint === earlier))
        if (from < 0 || flowC === null) return null
        const [x1, x2, y1, y2] = [shape.middleOf(from) + 4, shape.middleOf(i) - 30, shape.toY(flowC + gapC), shape.toY(flowC)]
        const colour = gapC < 10 ? PALETTE.fire : gapC < 20 ? PALETTE.ochre : PALETTE.verdigris
        return (
          <g key={`${joint}-${earlier}`}>
            <path
              d={`M${x1} ${y1}H${x2 - 18}V${y2}`}
              fill="none"
              stroke={colour}
              strokeWidth={2}
              strokeDasharray={gapC < 10 ? '3 3' : undefined}
            />
            <text x={x2 - 22} y={(y1 + y2) / 2 + 5} textAnchor="end" fontSize={13} fontFamily={FONTS.mono} fill={colour} {...HALO}>
              {gapC >= 0 ? `${gapC}° under` : `${-gapC}° over`}
            </text>
          </g>
        )
      }),
    ),
  )
}

/** The heats in order as a ladder that falls: each solder has to flow well under those it would loosen. */
export function HeatLadder({ book, height, chosen, onChoose }: HeatLadderProps) {
  const shape = ladderShape(book, height)
  return (
    <svg width={shape.width} height={height} role="group" aria-label="Heats in order, by temperature" style={{ display: 'block' }}>
      {shape.ticks.map(({ tempC, y }) => (
        <g key={tempC}>
          <line x1={LEFT - 6} x2={shape.width} y1={y} y2={y} stroke={PALETTE.hairline} strokeWidth={0.8} />
          <text x={LEFT - 10} y={y + 4} textAnchor="end" fontSize={12.5} fontFamily={FONTS.mono} fill={PALETTE.muted}>
            {tempC}
          </text>
        </g>
      ))}
      <text x={6} y={16} fontSize={12.5} fill={PALETTE.muted}>
        °C
      </text>
      <Reaches book={book} shape={shape} />
      {book.heats.map((card, i) => {
        const x = shape.middleOf(i)
        return (
          <g key={card.step}>
            <Metals card={card} shape={shape} x={x} />
            <Solders card={card} shape={shape} x={x} />
            <g
              role="button"
              tabIndex={0}
              aria-label={`Heat ${i + 1}: ${card.what}`}
              aria-pressed={i === chosen}
              onClick={() => onChoose(i)}
              onKeyDown={(event) => {
                if (event.key === 'Enter' || event.key === ' ') onChoose(i)
              }}
              style={{ cursor: 'pointer' }}
            >
              <rect
                x={x - RUNG / 2 + 4}
                y={height - 38}
                width={RUNG - 8}
                height={34}
                rx={4}
                fill={i === chosen ? PALETTE.verdigrisSoft : PALETTE.white}
                stroke={i === chosen ? PALETTE.verdigris : PALETTE.hairline}
              />
              <text x={x} y={height - 16} textAnchor="middle" fontSize={13.5} fontWeight={600} fill={PALETTE.ink}>
                {i + 1} {card.what.length > 22 ? `${card.what.slice(0, 20)}…` : card.what}
              </text>
            </g>
          </g>
        )
      })}
    </svg>
  )
}
