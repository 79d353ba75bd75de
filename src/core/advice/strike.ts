import * as z from 'zod'
import type { Check, CheckLevel } from '../forms/contract'
import { TOOL_FACES, type ToolFace } from '../tables/tools/tool-data'
import { usable } from '../toolwall/tools'
import { choice } from '../units/fields'
import type { Faces, ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

function titles(part: 'striking' | 'struck'): Record<string, string> {
  return Object.fromEntries(TOOL_FACES.filter((face) => face.part === part).map((face) => [face.id, face.title]))
}

const STRIKING = titles('striking')
const STRUCK = titles('struck')

const input = z.strictObject({
  hammer: choice('Strikes', STRIKING),
  on: choice('Is struck', STRUCK),
  ...benchFields(),
})

/** A face this hard chips on another as hard. */
const HARD_HRC = 45

function faceOf(id: string): ToolFace {
  return TOOL_FACES.find((face) => face.id === id) ?? { id, title: id, part: 'both' }
}

/** A hammer of the smith's own counts with the hardness that was measured. */
function hardnessOf(face: ToolFace, owned: z.output<typeof input>['owned']): number {
  const own = usable(owned, 'hammer').find((tool) => tool.facts?.face === face.id)
  return own?.size ?? (face.hrc ? (face.hrc[0] + face.hrc[1]) / 2 : 0)
}

interface Verdict {
  readonly level: CheckLevel
  readonly code: string
  readonly message: string
}

const ON_TOOLS = new Set(['letter-stamp', 'dapping-punch', 'disc-cutter', 'chisel'])

interface Meeting {
  readonly hammer: ToolFace
  readonly on: ToolFace
  readonly hrc: number
}

interface StrikeRule extends Verdict {
  readonly when: (meeting: Meeting) => boolean
}

const isHard = ({ hrc }: Meeting) => hrc >= HARD_HRC
const isOnTool = ({ on }: Meeting) => ON_TOOLS.has(on.id)

/** First that applies, gravest first (facts high, hardness low). */
const RULES: readonly StrikeRule[] = [
  {
    when: ({ on }) => on.id === 'hammer-face',
    level: 'stop',
    code: 'face-on-face',
    message: 'Never one hammer face on another: chips fly off like shot.',
  },
  {
    when: (meeting) => meeting.on.id === 'hard-steel-sheet' && isHard(meeting),
    level: 'stop',
    code: 'hard-sheet',
    message: 'Hardened steel against hardened steel chips. Stamps for soft metal never go on stainless or hardened steel.',
  },
  {
    when: ({ on }) => on.id === 'hard-steel-sheet',
    level: 'warn',
    code: 'soft-on-hard-sheet',
    message: 'It will not move this metal, and stamps for soft metal never go on it.',
  },
  {
    when: ({ on, hrc }) => on.id === 'anvil' && hrc > 0,
    level: 'warn',
    code: 'bare-anvil',
    message: 'Not on the bare face: metal in between, or both are marked and a hard edge may chip.',
  },
  {
    when: ({ on, hrc }) => on.id === 'wooden-punch' && hrc > 0,
    level: 'warn',
    code: 'splits-wood',
    message: 'Steel splits a wooden punch: use a mallet.',
  },
  {
    when: (meeting) => isOnTool(meeting) && meeting.hammer.polished === true,
    level: 'warn',
    code: 'spoils-face',
    message: 'A planishing face is spoilt by the first blow on a tool, and hard on hard may chip. Keep a plain hammer for tools.',
  },
  {
    when: (meeting) => isOnTool(meeting) && isHard(meeting),
    level: 'warn',
    code: 'hard-on-hard',
    message: 'Hardened face on a hardened head may chip: take a brass hammer or a plain unhardened one kept for tools.',
  },
  {
    when: (meeting) => isOnTool(meeting) && meeting.hammer.id.endsWith('mallet'),
    level: 'note',
    code: 'light-blow',
    message: 'Safe, but light: a mallet takes several blows and a second blow blurs a stamp.',
  },
  {
    when: ({ hammer, on }) => on.id === 'soft-sheet' && hammer.id === 'tool-hammer',
    level: 'note',
    code: 'marks-sheet',
    message: 'Its face is not dressed for sheet: every mark of it shows.',
  },
  { when: () => true, level: 'ok', code: 'pair', message: 'A good pair.' },
]

function judge(hammer: ToolFace, on: ToolFace, hrc: number): Verdict {
  const rule = RULES.find((item) => item.when({ hammer, on, hrc }))
  return { level: rule?.level ?? 'ok', code: rule?.code ?? 'pair', message: rule?.message ?? '' }
}

const RANK: readonly CheckLevel[] = ['ok', 'note', 'warn', 'stop']
const GRADES: Readonly<Record<CheckLevel, ToolPick['grade']>> = { ok: 'right', note: 'usable', warn: 'no', stop: 'no' }

function picture(hammer: ToolFace, on: ToolFace): Faces {
  return { striking: { title: hammer.title, hrc: hammer.hrc ?? null }, struck: { title: on.title, hrc: on.hrc ?? null } }
}

const EYES: Check = {
  level: 'note',
  code: 'eyes',
  source: 'bench-practice',
  message: 'Eye protection always; grind mushroomed heads back before the next blow.',
}

export const strikeAdviser = defineAdviser({
  id: 'strike',
  title: 'Hammer on tool',
  question: 'May this strike that?',
  input,
  example: { hammer: 'brass-hammer', on: 'letter-stamp' },
  advise: (input) => {
    const [hammer, on] = [faceOf(input.hammer), faceOf(input.on)]
    const verdict = judge(hammer, on, hardnessOf(hammer, input.owned))
    const others = TOOL_FACES.filter((face) => face.part === 'striking')
      .map((face) => ({ face, verdict: judge(face, on, hardnessOf(face, input.owned)) }))
      .sort((a, b) => RANK.indexOf(a.verdict.level) - RANK.indexOf(b.verdict.level))
    const best = others[0]
    const owned = new Set(usable(input.owned, 'hammer').map((tool) => tool.facts?.face))
    const lacks =
      owned.size > 0 &&
      best &&
      verdict.level !== 'ok' &&
      ![...owned].some((id) => others.some((other) => other.face.id === id && other.verdict.level === 'ok'))
    return {
      answer:
        verdict.level === 'ok'
          ? `Yes: ${hammer.title} on ${on.title}`
          : verdict.level === 'note'
            ? `It works: ${hammer.title} on ${on.title}`
            : `No: ${hammer.title} on ${on.title}`,
      reason: verdict.message,
      picks: others.map(
        ({ face, verdict: judged }): ToolPick => ({
          name: face.title,
          value: face.hrc ? (face.hrc[0] + face.hrc[1]) / 2 : 0,
          unit: 'HRC',
          detail: judged.message,
          grade: GRADES[judged.level],
          owned: owned.has(face.id),
        }),
      ),
      missing: lacks ? `Use a ${best.face.title}; you have none that fits.` : null,
      checks: [{ ...verdict, source: 'bench-practice' }, EYES],
      working: [],
      picture: { kind: 'faces', faces: picture(hammer, on) },
    }
  },
})
