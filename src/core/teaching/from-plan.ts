import type { Assembly } from '../assembly/assembly'
import type { FormResult } from '../forms/contract'
import { SOLDERS, type SolderId } from '../metals/solders'
import { findOperation } from '../operations/catalogue'
import type { PiecePlan, PlannedPart } from '../piece/plan-piece'
import { torchBook } from '../piece/torch'
import { checkRoute } from '../rules/check'
import { formatPlain } from '../units/format'
import type { Question, Trap } from './question'

/** As near as a careful hand marks: a blank within this share counts as right. */
const SIZE_TOLERANCE = 0.01

/** Answers that well-known slips give instead. */
function sizeTraps({ answer, outcomes, working, blanks }: FormResult): Trap[] {
  const inside = working.flatMap((step) => step.given).find(({ name, unit }) => /inside diameter/i.test(name) && unit === 'mm')?.value
  const thickness = blanks[0]?.thicknessMm ?? 0
  const bands: Trap[] =
    inside === undefined
      ? []
      : [
          { answer: Math.PI * inside, words: 'The inside diameter alone was taken: the thickness of the metal was left out.' },
          {
            answer: Math.PI * (inside + 2 * thickness),
            words: 'The outside diameter was taken: the middle of the metal keeps its length.',
          },
        ]
  const across = outcomes.find(({ label }) => /across|width/i.test(label))
  const flat: Trap[] =
    /diameter/.test(answer.name) && across
      ? [{ answer: across.valueMm, words: 'As wide as the finished piece: no metal was counted for its depth.' }]
      : []
  return [...bands, ...flat].filter(({ answer: slip }) => Math.abs(Number(slip) - answer.value) > SIZE_TOLERANCE * answer.value)
}

/** How large the blank of a result is. `about` tells what is known of the piece. */
export function sizeQuestion(id: string, about: string, result: FormResult): Question {
  const { answer, working } = result
  return {
    id,
    kind: 'size',
    prompt: `${about} How large is the ${answer.name}?`,
    answer: answer.value,
    unit: 'mm',
    tolerance: SIZE_TOLERANCE,
    traps: sizeTraps(result),
    working,
    why: `The ${answer.name} is ${formatPlain(answer.value, 2)} mm; it is marked at ${formatPlain(answer.markAt, 2)} mm.`,
  }
}

function aboutPart({ name, result, metal }: PlannedPart): string {
  const sizes = (result?.outcomes ?? []).slice(0, 3).map(({ label, valueMm }) => `${label.toLowerCase()} ${formatPlain(valueMm, 2)} mm`)
  return `${name}: ${sizes.join(', ')}, of metal ${formatPlain(metal?.thicknessMm ?? 0, 2)} mm thick.`
}

const titleOf = (assembly: Assembly, at: number) => findOperation(assembly.steps[at]?.op ?? '')?.title ?? ''

/** The same route with two steps changed places. */
function swapped(assembly: Assembly, i: number, j: number): Assembly {
  const steps = [...assembly.steps]
  ;[steps[i], steps[j]] = [steps[j] as Assembly['steps'][number], steps[i] as Assembly['steps'][number]]
  return { ...assembly, steps }
}

/** Two steps of a route whose order matters, asked as which comes first; tried from a place on, so that not always the first pair is asked. */
export function orderQuestion(id: string, assembly: Assembly, from: number): Question | undefined {
  const { length } = assembly.steps
  const before = new Set(checkRoute(assembly).findings.map(({ rule, message }) => rule + message))
  for (let k = 0; k < length; k++) {
    const i = (from + k) % length
    for (const j of [i + 1, i + 2, i + 3]) {
      if (j >= length || assembly.steps[i]?.op === assembly.steps[j]?.op) continue
      const finding = checkRoute(swapped(assembly, i, j)).findings.find(
        ({ rule, message, level }) => level !== 'note' && !before.has(rule + message),
      )
      const [first, next] = [titleOf(assembly, i), titleOf(assembly, j)]
      if (!finding || first === next) continue
      const choices = [
        { id: 'first', words: first },
        { id: 'next', words: next },
      ]
      return {
        id,
        kind: 'order',
        prompt: 'Which of these comes first?',
        choices: from % 2 === 0 ? choices : choices.reverse(),
        answer: 'first',
        traps: [],
        working: [],
        why: `${first} first. The other way round: ${finding.message}`,
      }
    }
  }
  return undefined
}

/** Before which step the metal is annealed. */
function annealQuestion(id: string, { assembly }: PiecePlan): Question | undefined {
  const { steps } = assembly
  const isForming = (at: number) => findOperation(steps[at]?.op ?? '')?.kind === 'cold'
  const anneal = steps.findIndex(({ op }, i) => op === 'anneal' && steps.some((_, j) => j > i && isForming(j)))
  const after = steps.findIndex((_, j) => j > anneal && isForming(j))
  if (anneal < 0 || after < 0) return undefined
  const others = steps.flatMap((_, j) => (isForming(j) && j !== after && titleOf(assembly, j) !== titleOf(assembly, after) ? [j] : []))
  if (others.length === 0) return undefined
  const shown = [after, ...others.slice(0, 3)].sort((a, b) => a - b)
  return {
    id,
    kind: 'anneal',
    prompt: 'Before which of these is the metal annealed?',
    choices: shown.map((at) => ({ id: String(at), words: titleOf(assembly, at) })),
    answer: String(after),
    traps: [],
    working: [],
    why: `Before “${titleOf(assembly, after)}”: what comes before has hardened it, and this works it again.`,
  }
}

/** Which solder a joint takes, where a piece has several. */
export function solderQuestion(id: string, what: string, right: SolderId, other: SolderId): Question {
  const [first, next] = [SOLDERS[right], SOLDERS[other]]
  return {
    id,
    kind: 'solder',
    prompt: `${what} Which solder is taken for the first of them?`,
    choices: [right, other].sort().map((solder) => ({ id: solder, words: SOLDERS[solder].title })),
    answer: right,
    traps: [{ answer: other, words: 'The one that flows first was taken: the next heat would open the joint again.' }],
    working: [],
    why: `${first.title} flows at ${first.liquidusC} °C, ${next.title} at ${next.liquidusC} °C: the joint that is made first has to stand the heat of the next.`,
  }
}

function planSolder(id: string, plan: PiecePlan): Question | undefined {
  const heats = torchBook(plan, { tools: [], torchW: 150, flux: 'white-paste' }).heats
  const used = heats.flatMap(({ solders, what }) => (solders[0] ? [{ solder: solders[0], what }] : []))
  const [first] = used
  const later = used.find(({ solder }) => first && SOLDERS[solder].liquidusC < SOLDERS[first.solder].liquidusC)
  return first && later ? solderQuestion(id, `First ${first.what}, later ${later.what}.`, first.solder, later.solder) : undefined
}

function sideQuestion(id: string, isHole: boolean): Question {
  const right = isHole ? 'inside' : 'outside'
  return {
    id,
    kind: 'side',
    prompt: isHole
      ? 'A window is pierced in the blank. Where does the saw run?'
      : 'The outline of the blank is sawn. Where does the saw run?',
    choices: [
      { id: 'inside', words: isHole ? 'inside the line, in the waste' : 'inside the line' },
      { id: 'on', words: 'on the line' },
      { id: 'outside', words: isHole ? 'outside the line' : 'outside the line, in the waste' },
    ],
    answer: right,
    traps: [{ answer: 'on', words: 'Half the kerf comes off the piece then.' }],
    working: [],
    why: 'The kerf is taken from what falls away, so that the line stays to be filed to.',
  }
}

/** What a piece asks of who is to make it: sizes, sides, order, anneal, solder. Parts without a size are left out. */
export function questionsOfPlan(plan: PiecePlan): Question[] {
  const sized = plan.parts.filter((part) => part.result !== undefined)
  const holes = sized.some(({ result }) => result?.blanks.some((blank) => blank.holes.length > 0))
  const isSawn = sized.some(({ result }) => result?.blanks.some((blank) => blank.stock === 'sheet'))
  return [
    ...sized.slice(0, 3).flatMap((part) => (part.result ? [sizeQuestion(`size-${part.id}`, aboutPart(part), part.result)] : [])),
    ...(isSawn ? [sideQuestion('side-outline', false)] : []),
    ...(holes ? [sideQuestion('side-hole', true)] : []),
    ...[0, 1].flatMap((n) => orderQuestion(`order-${n}`, plan.assembly, Math.floor((n * plan.assembly.steps.length) / 2) + n) ?? []),
    ...[annealQuestion('anneal', plan) ?? []].flat(),
    ...[planSolder('solder', plan) ?? []].flat(),
  ].filter((question, i, all) => all.findIndex((one) => sameAsked(one, question)) === i)
}

const sameAsked = (a: Question, b: Question) => a.prompt === b.prompt && a.why === b.why
