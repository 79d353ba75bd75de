import { type OwnTool, sizeOfTool } from '@/core/toolwall'
import { PALETTE } from '../theme/palette'

/** Pixels to a millimetre on the wall; drills are thin, so they are drawn larger. */
const SCALE = 2.1
const DRILL_SCALE = 9

const STEEL = { fill: '#cdd6d8', stroke: '#4f5c60', strokeWidth: 1 } as const
const WOOD = { fill: '#c9b48e', stroke: '#6b5833', strokeWidth: 1 } as const

function Round({ mm, hollow }: { readonly mm: number; readonly hollow: boolean }) {
  const r = Math.max(2, (mm * SCALE) / 2)
  return (
    <svg width={2 * r + 4} height={hollow ? r + 6 : 2 * r + 16} aria-hidden="true">
      {hollow ? (
        <path d={`M2 2h${2 * r}A${r} ${r} 0 0 1 2 2Z`} {...STEEL} />
      ) : (
        <>
          <rect x={r + 2 - Math.max(1.5, r * 0.3)} y={0} width={Math.max(3, r * 0.6)} height={14} {...STEEL} />
          <circle cx={r + 2} cy={r + 14} r={r} {...STEEL} />
        </>
      )}
    </svg>
  )
}

function DrillBit({ mm }: { readonly mm: number }) {
  const w = Math.max(1.5, mm * DRILL_SCALE)
  return (
    <svg width={w + 4} height={64} aria-hidden="true">
      <path d={`M2 0h${w}v52l${-w / 2} 10l${-w / 2} -10Z`} {...STEEL} />
      {[10, 22, 34, 46].map((y) => (
        <path key={y} d={`M2 ${y + 6}L${w + 2} ${y - 2}`} stroke="#4f5c60" strokeWidth={0.8} />
      ))}
    </svg>
  )
}

function BladeShape({ tool }: { readonly tool: OwnTool }) {
  const width = (tool.facts?.widthMm ?? 0.5) * 10
  const pitch = 100 / (tool.facts?.teethPerCm ?? 20)
  const teeth = Math.floor(90 / pitch)
  const edge = Array.from(
    { length: teeth },
    (_, i) => `L${2 + width + 2.4} ${4 + i * pitch + pitch * 0.15}L${2 + width} ${4 + (i + 0.85) * pitch}`,
  )
  return (
    <svg width={width + 8} height={98} aria-hidden="true">
      <path d={`M2 4H${2 + width}${edge.join('')}V94H2Z`} {...STEEL} />
    </svg>
  )
}

function Paper({ micron }: { readonly micron: number }) {
  const r = Math.min(3.2, Math.max(0.35, micron / 25))
  const step = Math.max(2.2, r * 3)
  const count = Math.floor(44 / step)
  return (
    <svg width={50} height={50} aria-hidden="true">
      <rect x={1} y={1} width={48} height={48} fill="#c7c1b4" stroke="#6d675a" />
      {Array.from({ length: count * count }, (_, i) => (
        <circle
          key={i}
          cx={4 + (i % count) * step + ((Math.floor(i / count) % 2) * step) / 2}
          cy={4 + Math.floor(i / count) * step}
          r={r}
          fill="#6d675a"
        />
      ))}
    </svg>
  )
}

function SolderBar({ flowC }: { readonly flowC: number }) {
  const height = 20 + ((flowC - 600) / 250) * 44
  return (
    <svg width={26} height={70} aria-hidden="true">
      <rect x={3} y={68 - Math.max(8, height)} width={20} height={Math.max(8, height)} fill="#dfe5e8" stroke="#5f6a73" />
      <path d={`M3 ${68 - Math.max(8, height)}h20`} stroke={PALETTE.fire} strokeWidth={3} />
    </svg>
  )
}

function Hammer({ hard }: { readonly hard: boolean }) {
  return (
    <svg width={56} height={72} aria-hidden="true">
      <rect x={25} y={18} width={6} height={52} {...WOOD} />
      <path d="M6 6h34l10 6-10 6H6Z" {...(hard ? STEEL : WOOD)} />
    </svg>
  )
}

function Mandrel({ marks }: { readonly marks: number }) {
  return (
    <svg width={46} height={98} aria-hidden="true">
      <path d="M18 2h10l12 86H6Z" {...STEEL} />
      {Array.from({ length: Math.min(14, marks) }, (_, i) => (
        <path key={i} d={`M${17 - i * 0.8} ${10 + i * 5.6}h${12 + i * 1.6}`} stroke="#4f5c60" strokeWidth={0.8} />
      ))}
      <rect x={17} y={88} width={12} height={9} {...WOOD} />
    </svg>
  )
}

function Stake({ mm }: { readonly mm: number }) {
  const r = Math.min(44, Math.max(8, mm * 0.9))
  return (
    <svg width={2 * r + 4} height={r * 0.6 + 44} aria-hidden="true">
      <path d={`M2 ${r * 0.6 + 2}Q${r + 2} ${-r * 0.5} ${2 * r + 2} ${r * 0.6 + 2}Z`} {...STEEL} />
      <path d={`M${r - 5} ${r * 0.6 + 2}h14l-3 40h-8Z`} {...STEEL} />
    </svg>
  )
}

function Stamp({ mm }: { readonly mm: number }) {
  return (
    <svg width={30} height={64} aria-hidden="true">
      <path d="M8 0h14v40l-4 16h-6l-4-16Z" {...STEEL} />
      <text x={15} y={30} textAnchor="middle" fontSize={Math.min(16, Math.max(7, mm * 4))} fontWeight={700} fill="#4f5c60">
        A
      </text>
    </svg>
  )
}

/** A tool as it hangs on the wall: its working end true to size among its own kind; dashed where its size is not known. */
export function ToolShape({ tool }: { readonly tool: OwnTool }) {
  const size = sizeOfTool(tool)
  if (tool.kind === 'mandrel') return <Mandrel marks={tool.facts?.marks?.length ?? 0} />
  if (tool.kind === 'hammer') return <Hammer hard={(size ?? 0) >= 20} />
  if (size === undefined)
    return (
      <svg width={34} height={48} aria-hidden="true">
        <rect x={3} y={3} width={28} height={42} fill="none" stroke={PALETTE.muted} strokeDasharray="4 3" />
        <text x={17} y={30} textAnchor="middle" fontSize={16} fill={PALETTE.muted}>
          ?
        </text>
      </svg>
    )
  if (tool.kind === 'drill') return <DrillBit mm={size} />
  if (tool.kind === 'blade') return <BladeShape tool={tool} />
  if (tool.kind === 'abrasive') return <Paper micron={size} />
  if (tool.kind === 'solder') return <SolderBar flowC={size} />
  if (tool.kind === 'stake') return <Stake mm={size} />
  if (tool.kind === 'stamp') return <Stamp mm={size} />
  return <Round mm={size} hollow={tool.kind === 'cup' || tool.kind === 'disc-cutter' || tool.kind === 'hole-punch'} />
}
