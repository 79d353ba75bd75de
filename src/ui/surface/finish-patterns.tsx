'use client'
import type { FinishId } from '@/core/surface'

interface FinishPatternsProps {
  /** Before the name of each pattern: two drawings on one page keep apart. */
  readonly id: string
  readonly colour: { readonly face: string; readonly edge: string }
}

/** Straight scratches: so far apart, and so strong. */
function Scratches({ id, gap, strength, colour }: FinishPatternsProps & { readonly gap: number; readonly strength: number }) {
  return (
    <pattern id={id} width={gap * 4} height={gap} patternUnits="userSpaceOnUse" patternTransform="rotate(-18)">
      <rect width={gap * 4} height={gap} fill={colour.face} />
      <path d={`M0 ${gap / 2}H${gap * 4}`} stroke={colour.edge} strokeOpacity={strength} strokeWidth={gap / 3} />
    </pattern>
  )
}

/** How each finish looks on a metal, to fill a face with: by what the light does on it, not by colour alone. */
export function FinishPatterns({ id, colour }: FinishPatternsProps) {
  return (
    <defs>
      <linearGradient id={`${id}-mirror`} x1="0" y1="0" x2="1" y2="1">
        <stop offset="0" stopColor="#ffffff" stopOpacity="0.95" />
        <stop offset="0.3" stopColor={colour.face} />
        <stop offset="0.48" stopColor={colour.edge} stopOpacity="0.75" />
        <stop offset="0.52" stopColor="#ffffff" stopOpacity="0.9" />
        <stop offset="0.8" stopColor={colour.face} />
        <stop offset="1" stopColor={colour.edge} stopOpacity="0.6" />
      </linearGradient>
      <Scratches id={`${id}-fine-satin`} gap={2.2} strength={0.22} colour={colour} />
      <Scratches id={`${id}-satin`} gap={4} strength={0.34} colour={colour} />
      <pattern id={`${id}-brush-glow`} width="26" height="12" patternUnits="userSpaceOnUse">
        <rect width="26" height="12" fill={colour.face} />
        <path d="M0 9q6.5-7 13 0t13 0M0 4q6.5-5 13 0t13 0" fill="none" stroke="#ffffff" strokeOpacity="0.55" strokeWidth="1.4" />
      </pattern>
      <pattern id={`${id}-abrasive-texture`} width="13" height="13" patternUnits="userSpaceOnUse">
        <rect width="13" height="13" fill={colour.face} />
        <path d="M1 2l5 6M8 1l-3 5M11 5l-6 7M2 10l4 2M9 9l3 4" stroke={colour.edge} strokeOpacity="0.6" strokeWidth="1.1" />
      </pattern>
      <pattern id={`${id}-tumbled`} width="9" height="9" patternUnits="userSpaceOnUse">
        <rect width="9" height="9" fill={colour.face} />
        <circle cx="2.5" cy="2.5" r="1.5" fill="#ffffff" fillOpacity="0.6" />
        <circle cx="7" cy="6.5" r="1.5" fill="#ffffff" fillOpacity="0.6" />
      </pattern>
      <pattern id={`${id}-as-formed`} width="40" height="40" patternUnits="userSpaceOnUse">
        <rect width="40" height="40" fill={colour.face} />
      </pattern>
    </defs>
  )
}

/** The fill of a face with this finish. */
export const finishFill = (id: string, finish: FinishId) => `url(#${id}-${finish})`
