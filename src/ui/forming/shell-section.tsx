import type { ShellStage, ShellWay } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { PALETTE } from '../theme/palette'
import { Figure, lineOf, OtherStages, SECTION, type SectionScale, Stretches, scaleOf } from './section-metal'

interface ShellSectionProps {
  readonly stages: readonly ShellStage[]
  readonly chosen: number
  readonly thicknessMm: number
}

const TOOL = { fill: PALETTE.steel, stroke: PALETTE.steelEdge } as const
/** Where the rim is held, the plate goes on past it by this share of its half width. */
const HELD = 0.3
/** Figures of a held rim stand under the pad, px. */
const RIM_UNDER = 42

interface ToolProps {
  readonly stage: ShellStage
  readonly scale: SectionScale
  readonly halfMm: number
  readonly highMm: number
}

/** The plate with the opening that holds the rim down, and the pad that pushes. */
function Plate({ scale: { x, y, perMm }, halfMm }: ToolProps) {
  const wide = HELD * halfMm * perMm
  const high = 0.22 * halfMm * perMm
  return (
    <>
      {[x(-halfMm) - wide, x(halfMm)].map((left) => (
        <rect key={left} x={left} y={y(0) - high - 3} width={wide} height={high} {...TOOL} />
      ))}
      <rect x={x(-halfMm) - wide} y={y(0) + 3} width={2 * (halfMm * perMm + wide)} height={0.12 * halfMm * perMm} {...TOOL} />
      {[x(-halfMm) - wide, x(halfMm)].map((left) => (
        <rect key={left} x={left} y={y(0) - 2} width={wide} height={4} fill={PALETTE.hairline} />
      ))}
    </>
  )
}

/** A body that fills all under the metal, or all it is sunk into. */
function Block({ stage: { profile }, scale, halfMm, highMm }: ToolProps) {
  const { x, y } = scale
  const floor = Math.max(y(0), y(highMm)) + 0.12 * highMm * scale.perMm
  const wide = 1.12 * halfMm
  const edge = profile.at(-1)
  if (!edge) return null
  const rim = y(edge.zMm)
  return <path d={`${lineOf(profile, scale)}L${x(wide)} ${rim}L${x(wide)} ${floor}L${x(-wide)} ${floor}L${x(-wide)} ${rim}Z`} {...TOOL} />
}

/** The head of a stake under the crown, where the wall is raised round it. */
function Stake({ scale: { x, y }, halfMm, highMm }: ToolProps) {
  const head = x(0.3 * halfMm) - x(0)
  const top = y(highMm) + 6
  return (
    <path
      d={`M${x(0) - head} ${top + head}A${head} ${head} 0 0 1 ${x(0) + head} ${top + head}L${x(0) + 0.4 * head} ${y(0) + 30}L${x(0) - 0.4 * head} ${y(0) + 30}Z`}
      {...TOOL}
    />
  )
}

const TOOLS: Readonly<Record<ShellWay, (props: ToolProps) => React.ReactNode>> = { held: Plate, pressed: Block, sunk: Block, raised: Stake }

const most = (stages: readonly ShellStage[], of: (point: ShellStage['profile'][number]) => number) =>
  Math.max(...stages.flatMap(({ profile }) => profile.map(of)))

/** A shell cut through its middle after one step: the tool behind it, the metal as thick as it has become, the other stages dashed. */
export function ShellSection({ stages, chosen, thicknessMm }: ShellSectionProps) {
  const stage = stages[chosen]
  const [crown, rim] = [stage?.profile[0], stage?.profile.at(-1)]
  if (!stage || !crown || !rim) return null
  const halfMm = most(stages, ({ rMm }) => rMm)
  const highMm = Math.max(
    most(stages, ({ zMm }) => zMm),
    0.3 * halfMm,
  )
  const isDown = stage.way === 'sunk'
  const scale = scaleOf(2 * halfMm * (stage.way === 'held' ? 1 + HELD : 1.12), highMm, isDown)
  const Tool = TOOLS[stage.way]
  const ownHalfMm = Math.max(...stage.profile.map(({ rMm }) => rMm))
  const words = `Section after “${stage.title}”: ${formatPlain(2 * rim.rMm, 2)} mm across the rim, ${formatPlain(crown.zMm, 2)} mm ${isDown ? 'deep' : 'high'}, ${formatPlain(crown.thicknessMm, 2)} mm thick at the crown and ${formatPlain(rim.thicknessMm, 2)} mm at the rim`
  return (
    <svg
      viewBox={`0 0 ${SECTION.width} ${SECTION.height}`}
      width="100%"
      role="img"
      aria-label={words}
      style={{ maxHeight: SECTION.height, display: 'block' }}
    >
      <Tool stage={stage} scale={scale} halfMm={ownHalfMm} highMm={crown.zMm} />
      <OtherStages stages={stages} chosen={chosen} scale={scale} />
      <Stretches profile={stage.profile} thicknessMm={thicknessMm} scale={scale} />
      <Figure at={[scale.x(0), scale.y(crown.zMm) + (isDown ? -12 : -14)]} text={formatPlain(crown.thicknessMm, 2)} anchor="middle" />
      {[1, -1].map((side) => (
        <Figure
          key={side}
          at={[scale.x(side * rim.rMm) + side * 12, scale.y(rim.zMm) + (stage.way === 'held' ? RIM_UNDER : -8)]}
          text={formatPlain(rim.thicknessMm, 2)}
          anchor={side > 0 ? 'start' : 'end'}
        />
      ))}
    </svg>
  )
}
