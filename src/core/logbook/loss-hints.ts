/** A tray that went through a step like the one before the hands, and what was lost at it. */
export interface TrayAtStep {
  /** Pieces that came to the step. */
  readonly pieces: number
  /** Why each that was lost there was lost, in the words that were noted. */
  readonly lost: readonly string[]
  /** Whether the metal was annealed between the first forming and this step. */
  readonly wasAnnealed: boolean
}

/** Fewer pieces than this say nothing. */
const LEAST_PIECES = 3
/** One loss may be chance; a warning begins with so many, or with so large a share. */
const LEAST_LOST = 2
const LARGE_SHARE = 0.2

const sum = (trays: readonly TrayAtStep[]) => trays.reduce((all, { pieces }) => all + pieces, 0)
const lostOf = (trays: readonly TrayAtStep[]) => trays.reduce((all, { lost }) => all + lost.length, 0)

function reasonsOf(trays: readonly TrayAtStep[]): string {
  const counts = new Map<string, number>()
  for (const words of trays.flatMap(({ lost }) => lost)) {
    const reason = words.trim() === '' ? 'no reason noted' : words.trim()
    counts.set(reason, (counts.get(reason) ?? 0) + 1)
  }
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([reason, count]) => (count > 1 ? `${reason} (${count})` : reason))
    .join(', ')
}

/** What tells those that lost from those that did not; empty where nothing does. */
function differs(trays: readonly TrayAtStep[]): string {
  const [annealed, not] = [trays.filter(({ wasAnnealed }) => wasAnnealed), trays.filter(({ wasAnnealed }) => !wasAnnealed)]
  if (lostOf(not) === 0 || lostOf(annealed) > 0) return ''
  return annealed.length === 0
    ? ' None of them was annealed before it.'
    : ' All of them without an anneal before it; none was lost with one.'
}

/** A piece in which the metal itself gave way, as the bench has it. */
export const CRACKED = 'split or cracked'
/** Whether that is what a reason says, in whatever words. */
export const isCracked = (reason: string) => /\b(split|splits|crack|cracks|cracked|tore|torn)\b/i.test(reason)

/** What a smith’s own record warns of at a step: “3 of your last 5 were lost here: split or cracked (3). All of them without an anneal before it.” */
export function lossHint(trays: readonly TrayAtStep[]): string | undefined {
  const [pieces, lost] = [sum(trays), lostOf(trays)]
  if (pieces < LEAST_PIECES || lost === 0) return undefined
  if (lost < LEAST_LOST && lost / pieces < LARGE_SHARE) return undefined
  return `${lost} of your last ${pieces} ${lost === 1 ? 'was' : 'were'} lost here: ${reasonsOf(trays)}.${differs(trays)}`
}
