'use client'
import { FUMED } from '@/core/surface'
import { PALETTE } from '../theme/palette'

/** Tools are light on the dark bench, so that they are told from the metal. */
const STEEL = '#d3dedd'

interface StepPictureProps {
  readonly op: string
  readonly params: Readonly<Record<string, unknown>>
  readonly metal: string
  /** Of a heat: whether the flame goes under the heavier side. */
  readonly fromBelow: boolean
}

function arc(cx: number, cy: number, r: number, half: number): string {
  const [dx, dy] = [r * Math.sin(half), r * Math.cos(half)]
  return `M${cx - dx} ${cy + dy}A${r} ${r} 0 0 0 ${cx + dx} ${cy + dy}`
}

function Dap({ params, metal }: Pick<StepPictureProps, 'params' | 'metal'>) {
  const radius = Number(params.punchMm ?? 30) / 2
  const disc = Number(params.discMm ?? 20)
  const half = Math.min(Math.PI / 2, 2 * Math.asin(Math.min(Math.SQRT1_2, disc / (4 * radius))))
  const scale = Math.min(150 / radius, 250 / (2 * radius * Math.sin(Math.min(1.2, half + 0.12))))
  const r = radius * scale
  const cy = 190 - r
  return (
    <>
      <path d={arc(270, cy, r + 22, Math.min(1.45, half + 0.12))} stroke={PALETTE.petrolLine} strokeWidth={30} />
      <path d={arc(270, cy, r, half)} stroke={metal} strokeWidth={8} />
    </>
  )
}

function Band({ metal, open }: { readonly metal: string; readonly open: boolean }) {
  return (
    <>
      <circle cx={270} cy={120} r={72} stroke={PALETTE.petrolLine} strokeWidth={10} />
      <path d={open ? 'M262 33A87 87 0 1 0 300 38' : 'M270 33A87 87 0 1 0 270.1 33'} stroke={metal} strokeWidth={14} />
      {open ? null : <path d="M270 24v18" stroke={PALETTE.fireBench} strokeWidth={3} />}
    </>
  )
}

function Heat({ metal }: { readonly metal: string }) {
  return (
    <>
      <path d="M130 176h280" stroke={PALETTE.petrolLine} strokeWidth={18} />
      <path d="M170 158h200" stroke={metal} strokeWidth={10} />
      <path
        d="M210 148c-16-34 10-44 6-84 30 24 40 54 24 84M262 148c-20-40 14-58 8-108 38 34 50 72 28 108M316 148c-14-30 8-40 6-72 26 22 34 46 20 72"
        stroke={PALETTE.fireBench}
        strokeWidth={4}
      />
    </>
  )
}

/** The flame under what is heavy, on a mesh; what is light stands on it and only follows. */
function HeatBelow({ metal }: { readonly metal: string }) {
  return (
    <>
      <path d="M130 118h280" stroke={PALETTE.petrolLine} strokeWidth={6} strokeDasharray="10 7" />
      <path d="M170 104h200" stroke={metal} strokeWidth={16} />
      <path d="M246 84h48" stroke={metal} strokeWidth={22} opacity={0.75} />
      <path
        d="M210 206c-16-28 10-36 6-70 30 20 40 46 24 70M262 206c-20-34 14-48 8-82 38 26 50 58 28 82M316 206c-14-26 8-34 6-64 26 18 34 40 20 64"
        stroke={PALETTE.fireBench}
        strokeWidth={4}
      />
    </>
  )
}

function Bath({ metal }: { readonly metal: string }) {
  return (
    <>
      <path d="M160 60v130h220V60" stroke={PALETTE.petrolLine} strokeWidth={10} />
      <path d="M166 92c30-14 40 14 70 0s40 14 70 0 40 14 68 0" stroke="#8fb8c4" strokeWidth={4} />
      <path d="M220 164h100" stroke={metal} strokeWidth={12} />
    </>
  )
}

function Edge({ metal, saw }: { readonly metal: string; readonly saw: boolean }) {
  return (
    <>
      <path d="M120 150h300" stroke={metal} strokeWidth={26} />
      <path d={saw ? 'M330 40v150' : 'M300 70l130 60'} stroke={STEEL} strokeWidth={saw ? 5 : 16} strokeDasharray={saw ? '6 3' : 'none'} />
      <path d="M318 120v60" stroke={PALETTE.fireBench} strokeWidth={2} strokeDasharray="8 5" />
    </>
  )
}

function Rivet({ metal }: { readonly metal: string }) {
  return (
    <>
      <path d="M150 190h240" stroke={PALETTE.petrolLine} strokeWidth={24} />
      <path d="M170 138h200M170 162h200" stroke={metal} strokeWidth={20} opacity={0.75} />
      <path d="M252 178c2-10 34-10 36 0zM252 122c2-22 34-22 36 0zM260 122h20v56h-20z" fill={metal} />
      <path d="M238 30h64v36h-64z" fill={STEEL} />
      <path d="M270 72v30M262 94l8 10 8-10" stroke={PALETTE.fireBench} strokeWidth={3} />
    </>
  )
}

function Stone({ metal, by }: { readonly metal: string; readonly by: unknown }) {
  const wall = by === 'tabs' ? 'M190 178v-62l26-22M350 178v-62l-26-22' : 'M186 178v-58l16-14M354 178v-58l-16-14'
  return (
    <>
      <path d="M140 190h260" stroke={PALETTE.petrolLine} strokeWidth={16} />
      <path d="M204 172v-34c14-34 118-34 132 0v34z" fill={STEEL} opacity={0.55} />
      <path d="M172 176h196" stroke={metal} strokeWidth={9} />
      <path d={wall} stroke={metal} strokeWidth={8} strokeLinejoin="round" />
      <path d="M168 84l18 16M372 84l-18 16" stroke={PALETTE.fireBench} strokeWidth={3} />
    </>
  )
}

function Fold({ metal }: { readonly metal: string }) {
  return (
    <>
      <path d="M120 160h160V60" stroke={metal} strokeWidth={12} strokeLinejoin="round" />
      <path d="M276 160h144" stroke={metal} strokeWidth={12} strokeDasharray="10 8" opacity={0.5} />
      <path d="M140 136h118v-26H140M140 184h118v20H140" stroke={STEEL} strokeWidth={8} />
      <path d="M392 132c-8-40-40-66-82-72" stroke={PALETTE.fireBench} strokeWidth={3} strokeDasharray="8 5" />
    </>
  )
}

function Drill({ metal }: { readonly metal: string }) {
  return (
    <>
      <path d="M140 196h260" stroke={PALETTE.petrolLine} strokeWidth={20} />
      <path d="M150 172h110M280 172h110" stroke={metal} strokeWidth={22} />
      <path d="M260 24h20v118l-10 16-10-16z" fill={STEEL} />
      <path d="M260 60l20 16M260 88l20 16M260 116l20 16" stroke={PALETTE.petrolLine} strokeWidth={5} />
      <path d="M270 40v150" stroke={PALETTE.fireBench} strokeWidth={2} strokeDasharray="8 5" />
    </>
  )
}

/** A mist over metal that stands on points. */
function Mist({ metal }: { readonly metal: string }) {
  return (
    <>
      <path d="M92 96q22-22 22-34h14q0 12 22 34v92h-58zM106 34h48v22h-48zM154 40h14v8h-14z" fill={STEEL} />
      <path d="M150 56q8 14 4 28" stroke={STEEL} strokeWidth={5} />
      <path d="M180 46l60 86M180 44l130 84M180 42l206 74" stroke="#8fb8c4" strokeWidth={4} strokeDasharray="3 12" strokeLinecap="round" />
      <path d="M200 150h220" stroke={metal} strokeWidth={12} />
      <path d="M236 158l-10 36h20zM384 158l-10 36h20z" fill={PALETTE.petrolLine} />
    </>
  )
}

/** Metal hung in a closed vessel, over what fumes and never in it. */
function Fumes({ metal }: { readonly metal: string }) {
  return (
    <>
      <path d="M160 40h220M170 40v156h200V40" stroke={PALETTE.petrolLine} strokeWidth={9} />
      <path d="M176 182h188" stroke="#8fb8c4" strokeWidth={14} />
      <path d="M240 44v36M300 44v36" stroke={STEEL} strokeWidth={2} />
      <path d="M222 88h96" stroke={metal} strokeWidth={14} />
      <path d="M216 164c-10-18 10-22 0-42M270 164c-10-18 10-22 0-42M324 164c-10-18 10-22 0-42" stroke="#8fb8c4" strokeWidth={3} />
    </>
  )
}

const isOfFumes = (agent: unknown) => FUMED.some((id) => id === agent)

/** What the hands do at this step, drawn: the metal in its colour against the tool. */
export function StepPicture({ op, params, metal, fromBelow }: StepPictureProps) {
  const flame = fromBelow ? <HeatBelow metal={metal} /> : <Heat metal={metal} />
  const pictures: Readonly<Record<string, React.ReactNode>> = {
    dap: <Dap params={params} metal={metal} />,
    bend: params.manner === 'fold' ? <Fold metal={metal} /> : <Band metal={metal} open />,
    drill: <Drill metal={metal} />,
    rivet: <Rivet metal={metal} />,
    'set-stone': <Stone metal={metal} by={params.by} />,
    melt: <Heat metal={metal} />,
    'true-up': <Band metal={metal} open={false} />,
    anneal: <Heat metal={metal} />,
    solder: flame,
    fuse: flame,
    pickle: <Bath metal={metal} />,
    'patina-dip': <Bath metal={metal} />,
    'patina-spray': <Mist metal={metal} />,
    'spray-flux': <Mist metal={metal} />,
    verdigris: isOfFumes(params.agent) ? <Fumes metal={metal} /> : <Mist metal={metal} />,
    'heat-colour': <Heat metal={metal} />,
    rinse: <Bath metal={metal} />,
    degrease: <Bath metal={metal} />,
    etch: <Bath metal={metal} />,
    neutralise: <Bath metal={metal} />,
    soak: <Bath metal={metal} />,
    saw: <Edge metal={metal} saw />,
  }
  return (
    <svg viewBox="0 0 540 220" width="100%" fill="none" strokeLinecap="butt" aria-hidden="true" style={{ maxHeight: 300 }}>
      {pictures[op] ?? <Edge metal={metal} saw={false} />}
    </svg>
  )
}
