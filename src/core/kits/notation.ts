import type { AssemblyStep, Ref } from '../assembly/assembly'
import { InvariantError } from '../working/invariant'
import { FINISHES } from './finishes'

/** Answers under which a step stands in the route: all of these questions, each with one of these answers. */
type Tags = readonly { readonly school: string; readonly answers: readonly string[] }[]

/** A step as a kit writes it. */
interface WrittenStep {
  readonly op: string
  readonly on: readonly string[]
  readonly at: string | undefined
  readonly params: Readonly<Record<string, unknown>>
  readonly tags: Tags
  readonly repeat: string | undefined
}

const STEP = /^(?<op>\*[a-z ]+\*|[a-z-]+) (?<on>[\w+-]+)(?: @(?<at>[\w-]+))?(?: \((?<params>[^()]*)\))?(?: \[(?<tags>[^\]]+)\])?$/
const GROUP_END = / \) repeated: (?<until>.+)$/

function readValue(text: string): string | number {
  return /^-?\d+(\.\d+)?$/.test(text) ? Number(text) : text
}

function readParams(text: string | undefined): Record<string, unknown> {
  const pairs = (text ?? '').split(',').filter(Boolean)
  return Object.fromEntries(
    pairs.map((pair) => {
      const [name = '', ...rest] = pair.trim().split(' ')
      return [name, rest.length > 0 ? readValue(rest.join(' ')) : true]
    }),
  )
}

function readTags(text: string | undefined): Tags {
  return (text ?? '')
    .split(',')
    .filter(Boolean)
    .map((tag) => {
      const [school = '', ...answers] = tag.trim().split(' ')
      return { school, answers: answers.filter((answer) => answer !== 'or') }
    })
}

function readStep(text: string, repeat: string | undefined): WrittenStep {
  const found = STEP.exec(text)?.groups
  if (!found?.op || !found.on)
    throw new InvariantError('kit step', { got: text, expected: 'a step such as saw plate @window (what window)' })
  return { op: found.op, on: found.on.split('+'), at: found.at, params: readParams(found.params), tags: readTags(found.tags), repeat }
}

/** Steps in their order, those between brackets as one group that is repeated. */
function readSteps(text: string): WrittenStep[] {
  const tokens = text.split('·').map((token) => token.trim().replace(/\s+/g, ' '))
  const steps: WrittenStep[] = []
  let group: string | undefined
  tokens.forEach((token, i) => {
    if (token.startsWith('( ')) {
      const end = tokens.slice(i).find((later) => GROUP_END.test(later))
      group = GROUP_END.exec(end ?? '')?.groups?.until
    }
    steps.push(readStep(token.replace(/^\( /, '').replace(GROUP_END, ''), group))
    if (GROUP_END.test(token)) group = undefined
  })
  return steps
}

const stands = (tags: Tags, schools: Readonly<Record<string, string>>) =>
  tags.every(({ school, answers }) => answers.includes(schools[school] ?? ''))

/** A named finish as the steps it stands for, on the same things. */
function spelledOut(step: WrittenStep): WrittenStep[] {
  const finish = FINISHES[step.op]
  if (!finish) return [step]
  return readSteps(finish.replaceAll(' x', ` ${step.on.join('+')}`)).map((item) => ({ ...item, tags: [...step.tags, ...item.tags] }))
}

/**
 * Reads a route written as `saw plate @window (what window) [S42 A] · ( fold sheet ) repeated: for every crease · …` and gives the steps that
 * stand in it under the methods chosen. Throws `InvariantError` for what it cannot read.
 */
export function writtenRoute(text: string, schools: Readonly<Record<string, string>>): AssemblyStep[] {
  return readSteps(text)
    .flatMap(spelledOut)
    .filter(({ tags }) => stands(tags, schools))
    .map(({ op, on, at, params, repeat }, i) => ({
      id: `${i + 1}-${op}`,
      op,
      on: on.map((thing): Ref => ({ thing, ...(at ? { place: at } : {}) })),
      params,
      ...(repeat ? { repeat } : {}),
    }))
}

/** The questions whose answers change which steps a written route has. */
export function schoolsIn(text: string): string[] {
  return [
    ...new Set(
      readSteps(text)
        .flatMap(spelledOut)
        .flatMap(({ tags }) => tags.map(({ school }) => school)),
    ),
  ].sort()
}
