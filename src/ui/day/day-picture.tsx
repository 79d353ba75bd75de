'use client'
import { useId } from 'react'
import { RESOURCES } from '@/core/operations'
import type { PlacedTask, ScheduleAnswer, ScheduleInput } from '@/core/schedule'
import type { DayTray } from '@/server/services/day-question'
import { useDates } from '../shared/dates'
import { FONTS, PALETTE } from '../theme/palette'
import {
  CHIP,
  clockMarks,
  type DayScale,
  dayScale,
  LABEL,
  layersOf,
  ROW,
  type Station,
  SURFACE,
  stationsOf,
  TOP,
  viewFrom,
  WIDE,
} from './day-geometry'
import { StationSurface } from './station-surface'

interface DayPictureProps {
  readonly answer: ScheduleAnswer
  readonly input: ScheduleInput
  readonly trays: readonly DayTray[]
  readonly spanMin: number
  readonly nowIso: string
}

const END = WIDE - 8
const clamp = (x: number) => Math.max(LABEL, Math.min(END, x))
const isIn = (scale: DayScale, from: string, to: string) => scale.x(to) > LABEL && scale.x(from) < END

/** The clock as a steel rule along the top. */
function ClockRule({ scale }: { readonly scale: DayScale }) {
  const { clock } = useDates()
  return (
    <g>
      <line x1={LABEL} x2={END} y1={TOP - 12} y2={TOP - 12} stroke={PALETTE.ruleLine} />
      {clockMarks(scale).map(({ iso, isHour, isFigure }) => (
        <g key={iso}>
          <line
            x1={scale.x(iso)}
            x2={scale.x(iso)}
            y1={TOP - 12}
            y2={TOP - 12 - (isFigure ? 13 : isHour ? 9 : 5)}
            stroke={PALETTE.ruleInk}
          />
          {isFigure && scale.x(iso) < END - 60 ? (
            <text x={scale.x(iso) + 3} y={TOP - 20} fontSize={12} fontFamily={FONTS.mono} fill={PALETTE.ruleInk}>
              {clock(iso)}
            </text>
          ) : null}
        </g>
      ))}
    </g>
  )
}

interface Lying {
  readonly scale: DayScale
  readonly rowY: (station: Station) => number
}

/** A step as a piece of its tray’s metal where it is worked; what looks after itself afterwards trails behind it. */
function Metal({
  task,
  tray,
  layer,
  scale,
  rowY,
  hatch,
}: Lying & { readonly task: PlacedTask; readonly tray: DayTray | undefined; readonly layer: number; readonly hatch: string }) {
  if (!tray || !isIn(scale, task.from, task.to)) return null
  const [from, until, to] = [task.from, task.handsUntil, task.to].map((iso) => clamp(scale.x(iso))) as [number, number, number]
  const y = rowY(task.resource) + 7 + Math.min(layer, 2) * 4
  const { face, edge } = tray.colour
  const words = `${tray.letter}, ${tray.name}: ${tray.steps[task.step]?.title ?? task.op}`
  return (
    <g>
      <title>{words}</title>
      {to > until + 0.5 ? (
        <g>
          <rect x={until} y={y + 4} width={to - until} height={CHIP - 8} fill={PALETTE.paper} fillOpacity={0.7} />
          <rect
            x={until}
            y={y + 4}
            width={to - until}
            height={CHIP - 8}
            fill={`url(#${hatch})`}
            stroke={PALETTE.steelEdge}
            strokeWidth={0.8}
          />
        </g>
      ) : null}
      <rect x={from} y={y} width={Math.max(2.5, until - from)} height={CHIP} rx={2} fill={face} stroke={edge} strokeWidth={1.2} />
      {until - from > 13 ? (
        <text x={from + 4} y={y + 16} fontSize={13} fontWeight={700} fontFamily={FONTS.text} fill={PALETTE.onMetal}>
          {tray.letter}
        </text>
      ) : null}
    </g>
  )
}

/** Where the hands go through the day: one line from station to station, thick where they work, thin on the way, dotted where they wait. */
function HandsLine({ tasks, scale, rowY }: Lying & { readonly tasks: readonly PlacedTask[] }) {
  const worked = tasks.filter(({ from, handsUntil }) => handsUntil > from && isIn(scale, from, handsUntil))
  const at = (task: PlacedTask) => rowY(task.resource) + 1
  return (
    <g fill="none" stroke={PALETTE.verdigris} strokeLinecap="round">
      {worked.map((task, i) => {
        const before = worked[i - 1]
        const x = clamp(scale.x(task.from))
        const left = before && clamp(scale.x(before.handsUntil))
        return (
          <g key={`${task.tray}-${task.step}`}>
            {before && left !== undefined ? (
              <path
                d={`M${left} ${at(before)}L${Math.max(left, x - 4)} ${at(before)}L${x} ${at(task)}`}
                strokeWidth={1.2}
                strokeDasharray={x - left > 8 ? '1 5' : undefined}
              />
            ) : null}
            <path d={`M${x} ${at(task)}H${clamp(scale.x(task.handsUntil))}`} strokeWidth={4} />
          </g>
        )
      })}
    </g>
  )
}

/** Nights, breaks and days off, over the whole bench. */
function Rests({
  input,
  scale,
  height,
  hatch,
}: {
  readonly input: ScheduleInput
  readonly scale: DayScale
  readonly height: number
  readonly hatch: string
}) {
  return (
    <g>
      {input.breaks
        .filter(({ from, to }) => isIn(scale, from, to))
        .map(({ from, to }) => (
          <rect
            key={`${from}${to}`}
            x={clamp(scale.x(from))}
            y={TOP - 12}
            width={clamp(scale.x(to)) - clamp(scale.x(from))}
            height={height - TOP + 6}
            fill={`url(#${hatch})`}
            opacity={0.55}
          />
        ))}
    </g>
  )
}

/** The day as the bench it is worked at: its stations one below the other, the metal where it is, the way of the hands through all of it. */
export function DayPicture({ answer, input, trays, spanMin, nowIso }: DayPictureProps) {
  const id = useId()
  const scale = dayScale(viewFrom(input), spanMin)
  const stations = stationsOf(answer)
  const rowY = (station: Station) => TOP + Math.max(0, stations.indexOf(station)) * ROW
  const height = TOP + stations.length * ROW + 2
  const trayOf = new Map(trays.map((tray) => [tray.id, tray] as const))
  const nowX = scale.x(nowIso)
  const [restHatch, waitHatch] = [`${id}-rest`, `${id}-wait`]
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${height}`}
      width="100%"
      role="img"
      aria-label={`The day at ${stations.length} stations of the bench; the steps stand in order below`}
      style={{ display: 'block', minWidth: 760 }}
    >
      <defs>
        <pattern id={restHatch} width={7} height={7} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1={0} y1={0} x2={0} y2={7} stroke={PALETTE.ruleLine} strokeWidth={2.4} />
        </pattern>
        <pattern id={waitHatch} width={5} height={5} patternUnits="userSpaceOnUse" patternTransform="rotate(-45)">
          <line x1={0} y1={0} x2={0} y2={5} stroke={PALETTE.steelEdge} strokeWidth={1.1} />
        </pattern>
      </defs>
      <ClockRule scale={scale} />
      {stations.map((station) => (
        <g key={station}>
          <text x={2} y={rowY(station) + 23} fontSize={14} fontWeight={600} fontFamily={FONTS.text} fill={PALETTE.ink}>
            {RESOURCES[station].replace(/^./, (first) => first.toUpperCase())}
          </text>
          <StationSurface station={station} y={rowY(station)} />
        </g>
      ))}
      <Rests input={input} scale={scale} height={height} hatch={restHatch} />
      {stations.flatMap((station) => {
        const here = answer.tasks.filter(({ resource }) => resource === station)
        const layers = layersOf(here)
        return here.map((task) => (
          <Metal
            key={`${task.tray}-${task.step}`}
            task={task}
            tray={trayOf.get(task.tray)}
            layer={layers.get(task) ?? 0}
            scale={scale}
            rowY={rowY}
            hatch={waitHatch}
          />
        ))
      })}
      <HandsLine tasks={answer.tasks} scale={scale} rowY={rowY} />
      {nowX >= LABEL && nowX <= END ? (
        <g>
          <line
            x1={nowX}
            x2={nowX}
            y1={TOP - 14}
            y2={TOP + (stations.length - 1) * ROW + SURFACE + 4}
            stroke={PALETTE.ink}
            strokeWidth={1.4}
          />
          <circle cx={nowX} cy={TOP - 14} r={4} fill={PALETTE.ink} />
          <text x={nowX + 8} y={TOP - 36} fontSize={12} fontWeight={700} fontFamily={FONTS.text} fill={PALETTE.ink}>
            now
          </text>
        </g>
      ) : null}
    </svg>
  )
}
