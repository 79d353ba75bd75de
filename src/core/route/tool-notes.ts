import { findAdviser } from '../advice'
import { SOLDER_IDS, SOLDERS } from '../metals/solders'
import { readMandrel } from '../toolwall/mandrel'
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
export type BoughtKind = 'blade' | 'drill' | 'punch' | 'cup' | 'hole-punch' | 'mandrel' | 'abrasive' | 'solder'

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

/** The tool of a kind nearest a size, by how far apart two sizes are. */
function nearest(piece: Piece, kind: OwnTool['kind'], size: number, apart = (a: number, b: number) => Math.abs(a - b)) {
  const own = usable(piece.tools, kind)
  return own.reduce<(typeof own)[number] | undefined>(
    (near, tool) => (!near || apart(tool.size, size) < apart(near.size, size) ? tool : near),
    undefined,
  )
}

/** A hole is as large as what makes it: a tool no further off than this is the one, mm. */
const SAME_HOLE_MM = 0.02

/** The bit or the punch nearest a hole, with how far off it is, and what else would make it. */
function sayHole(diameterMm: number, piece: Piece, kind: 'drill' | 'hole-punch'): Said {
  const best = nearest(piece, kind, diameterMm)
  if (!best) return undefined
  const off = best.size - diameterMm
  if (Math.abs(off) <= SAME_HOLE_MM) return { level: 'ok', message: `Yours: ${best.label}, ${formatPlain(best.size, 3)} mm` }
  const tool = kind === 'drill' ? 'bit' : 'punch'
  const instead = kind === 'drill' ? '' : ' A bit of the size serves too.'
  return {
    level: 'note',
    message: `Use a ${formatPlain(diameterMm, 2)} mm ${tool}; the closest you have is ${best.label}, ${Math.abs(off).toFixed(2)} mm ${off > 0 ? 'over' : 'under'}.${instead}`,
    buy: kind,
  }
}

/** A ball as much off as this share is another ball. */
const OTHER_BALL = 0.03

/** The punch of a hollow: a smaller one does not reach its curve, a larger one does not come down to it. */
function sayPunch(punchMm: number, piece: Piece): Said {
  const best = nearest(piece, 'punch', punchMm)
  if (!best || Math.abs(best.size - punchMm) <= OTHER_BALL * punchMm) return undefined
  return {
    level: 'note',
    message: `Use a punch of ${formatPlain(punchMm, 1)} mm; the closest you have is ${best.label}, ${formatPlain(best.size, 1)} mm. A smaller one serves, worked round in rings.`,
    buy: 'punch',
  }
}

/** Narrower rounds are bent with pliers or on a rod, mm inside. */
const LEAST_ON_MANDREL_MM = 10

/** Where a ring is rounded: on a mandrel that was measured there, or on any round bar of its size. */
function sayMandrel(insideMm: number, piece: Piece): Said {
  if (insideMm < LEAST_ON_MANDREL_MM) return undefined
  const readings = piece.tools.flatMap((tool) =>
    tool.kind === 'mandrel' && tool.count !== 0 ? [{ tool, reading: readMandrel(tool, insideMm) }] : [],
  )
  const measured = readings.filter(({ reading }) => reading.outcome !== 'not-calibrated')
  if (measured.length === 0) return undefined
  const found = measured.find(({ reading }) => reading.outcome === 'between')
  if (found) return { level: 'ok', message: `Yours: ${found.tool.label}, between ${found.reading.from} and ${found.reading.to}` }
  return {
    level: 'note',
    message: `Use a mandrel of ${formatPlain(insideMm, 1)} mm; none of yours that are measured has it. A round bar or tube of that size serves.`,
    buy: 'mandrel',
  }
}

/** A paper whose grain is as many times coarser or finer leaves other marks. */
const OTHER_GRAIN = 1.6

function sayAbrasive(gritUm: number, piece: Piece): Said {
  const times = (a: number, b: number) => Math.max(a / b, b / a)
  const best = nearest(piece, 'abrasive', gritUm, times)
  if (!best) return undefined
  if (times(best.size, gritUm) <= OTHER_GRAIN) return { level: 'ok', message: `Yours: ${best.label}, ${formatPlain(best.size, 1)} µm` }
  return {
    level: 'note',
    message: `Use an abrasive of about ${formatPlain(gritUm, 0)} µm; the closest you have is ${best.label}, ${formatPlain(best.size, 1)} µm.`,
    buy: 'abrasive',
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

type Params = Readonly<Record<string, unknown>>

/** What is said of a size where the step has it. */
const ofSize = (params: Params, name: string, say: (size: number) => Said): Said => {
  const size = params[name]
  return typeof size === 'number' ? say(size) : undefined
}

const NOTES_OF_OPERATION: Readonly<Record<string, (params: Params, piece: Piece) => readonly Said[]>> = {
  saw: (_, piece) => [sayBlade(piece)],
  drill: (params, piece) => [ofSize(params, 'diameterMm', (size) => sayHole(size, piece, 'drill'))],
  'punch-hole': (params, piece) => [ofSize(params, 'diameterMm', (size) => sayHole(size, piece, 'hole-punch'))],
  dap: (params, piece) => [
    ofSize(params, 'punchMm', (size) => sayPunch(size, piece)),
    ofSize(params, 'punchMm', (size) => sayCup(size, piece)),
  ],
  bend: (params, piece) => [
    params.manner === undefined || params.manner === 'round'
      ? ofSize(params, 'insideRadiusMm', (radius) => sayMandrel(2 * radius, piece))
      : undefined,
  ],
  sand: (params, piece) => [ofSize(params, 'gritUm', (grain) => sayAbrasive(grain, piece))],
  solder: (params, piece) => [saySolder(params.solder, piece)],
}

/** For each step of a route the smith's own tool for it, or what would be right and is not on the wall; silent where the wall has none of the kind. */
export function toolNotes(steps: readonly RouteStep[], piece: Piece): ToolNote[] {
  return steps.flatMap((step, i) => {
    const said = NOTES_OF_OPERATION[step.op]?.(step.params ?? {}, piece) ?? []
    return said.flatMap((one) => (one ? [{ step: i, ...one }] : []))
  })
}
