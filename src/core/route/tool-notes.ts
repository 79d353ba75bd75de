import { findAdviser } from '../advice'
import { SOLDER_IDS, SOLDERS } from '../metals/solders'
import { type Bench, type OwnTool, usable } from '../toolwall/tools'
import { formatPlain } from '../units/format'
import type { RouteStep } from './temper'

/** Which of the smith's own tools a step takes, or what is missing. */
export interface ToolNote {
  /** Index of the step. */
  readonly step: number
  readonly level: 'ok' | 'note'
  readonly message: string
  /** The kind of tool that would have to be bought for it, where one would. */
  readonly buy?: BoughtKind
}

/** Kinds of tool that a step may want bought: what one costs is a figure of the bench. */
export type BoughtKind = 'blade' | 'drill' | 'cup' | 'solder'

interface Piece extends Bench {
  readonly thicknessMm: number
}

type Said = Omit<ToolNote, 'step'> | undefined

function owns(piece: Piece, kind: OwnTool['kind']): boolean {
  return usable(piece.tools, kind).length > 0
}

/** The smith's own blade for the sheet, where it cuts; what would be right, where none does or none is there. */
function sayBlade(piece: Piece): Said {
  if (piece.tools.length === 0) return undefined
  const run = findAdviser('blade')?.run({ thicknessMm: piece.thicknessMm, owned: piece.tools, figures: piece.figures })
  if (!run?.ok) return undefined
  const { missing, answer, picks } = run.advice
  const own = picks.filter((pick) => pick.owned)
  if (own.some((pick) => pick.grade === 'right')) return { level: 'ok', message: `Yours: ${answer}` }
  if (missing) return { level: 'note', message: missing, buy: 'blade' }
  if (own.some((pick) => pick.grade === 'usable')) return { level: 'note', message: `Yours serves: ${answer}` }
  const right = picks.find((pick) => pick.grade === 'right')
  const words = right ? `Use a ${right.name}` : 'No blade has teeth enough in metal this thin: shears or a knife, or clamp it between card'
  const message = `${words}; ${own.length > 0 ? 'none of yours cuts it' : 'your wall has no blade'}.`
  return right ? { level: 'note', message, buy: 'blade' } : { level: 'note', message }
}

/** The bit nearest a hole, with how far off it is. */
function sayDrill(diameterMm: number, piece: Piece): Said {
  const bits = usable(piece.tools, 'drill')
  const best = bits.reduce<(typeof bits)[number] | undefined>(
    (near, bit) => (!near || Math.abs(bit.size - diameterMm) < Math.abs(near.size - diameterMm) ? bit : near),
    undefined,
  )
  if (!best) return undefined
  const off = best.size - diameterMm
  if (Math.abs(off) <= 0.02) return { level: 'ok', message: `Yours: ${best.label}, ${formatPlain(best.size, 3)} mm` }
  return {
    level: 'note',
    message: `Use a ${formatPlain(diameterMm, 2)} mm bit; the closest you have is ${best.label}, ${Math.abs(off).toFixed(2)} ${off > 0 ? 'over' : 'under'}.`,
    buy: 'drill',
  }
}

/** The smallest cup that takes the punch with the metal round it. */
function sayCup(punchMm: number, piece: Piece): Said {
  const need = punchMm + 2 * piece.thicknessMm
  const cup = usable(piece.tools, 'cup').find((tool) => tool.size >= need - 1e-9)
  if (cup) return { level: 'ok', message: `Yours: the ${cup.label} cup` }
  return owns(piece, 'cup')
    ? { level: 'note', message: `Use a cup of ${formatPlain(need, 1)} mm or over; none of yours is as wide.`, buy: 'cup' }
    : undefined
}

function saySolder(id: unknown, piece: Piece): Said {
  const known = SOLDER_IDS.find((solder) => solder === id)
  const own = usable(piece.tools, 'solder')
  if (!known || own.length === 0) return undefined
  const wanted = SOLDERS[known].liquidusC
  const best = own.reduce((near, solder) => (Math.abs(solder.size - wanted) < Math.abs(near.size - wanted) ? solder : near))
  return Math.abs(best.size - wanted) <= 12
    ? { level: 'ok', message: `Yours: ${best.label}, flows at ${formatPlain(best.size, 0)} °C` }
    : {
        level: 'note',
        message: `Use a solder that flows near ${wanted} °C; the closest you have is ${best.label}, ${formatPlain(best.size, 0)} °C.`,
        buy: 'solder',
      }
}

const NOTE_OF_OPERATION: Readonly<Record<string, (params: Readonly<Record<string, unknown>>, piece: Piece) => Said>> = {
  saw: (_, piece) => sayBlade(piece),
  drill: (params, piece) => (typeof params.diameterMm === 'number' ? sayDrill(params.diameterMm, piece) : undefined),
  dap: (params, piece) => (typeof params.punchMm === 'number' ? sayCup(params.punchMm, piece) : undefined),
  solder: (params, piece) => saySolder(params.solder, piece),
}

/** For each step of a route the smith's own tool for it, or what would be right and is not on the wall; silent where the wall has none of the kind. */
export function toolNotes(steps: readonly RouteStep[], piece: Piece): ToolNote[] {
  return steps.flatMap((step, i) => {
    const said = NOTE_OF_OPERATION[step.op]?.(step.params ?? {}, piece)
    return said ? [{ step: i, ...said }] : []
  })
}
