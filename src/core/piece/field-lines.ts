import { contentOf, isSameContent } from '../content'
import { findForm } from '../forms/registry'
import { enteredRows } from './compare'
import type { DesignPart, PieceDesign } from './design'
import type { RouteEdits } from './edits'

/** One line of what stands beside what was to be written. */
export interface FieldLine {
  readonly label: string
  readonly now: string
  readonly yours: string
}

const LABELS: Readonly<Record<string, string>> = {
  kit: 'Kit',
  keep: 'Not to be lost',
  schools: 'Methods',
  route: 'Changes on the route',
  name: 'Name',
  form: 'Form',
  inputVersion: 'Version of what was typed',
  count: 'How many',
  bought: 'As bought',
  marks: 'Marks',
  etch: 'Etch',
  surface: 'Finish',
}
const LONGEST = 120

type Loose = Readonly<Record<string, unknown>>

function plain(value: unknown): string {
  const text = typeof value === 'string' ? value : contentOf(value).replace(/[{}"[\]]/g, '')
  return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text || '–'
}

/** A line where two contents differ; where their words do not, it says so. */
function lineOf(label: string, now: unknown, yours: unknown, say: (value: unknown) => string = plain): FieldLine[] {
  if (isSameContent(now, yours)) return []
  const [first, second] = [say(now), say(yours)]
  return [{ label, now: first, yours: first === second ? `${second}, with other details` : second }]
}

const keysOf = (a: Loose, b: Loose, without: readonly string[]) =>
  [...new Set([...Object.keys(a), ...Object.keys(b)])].filter((key) => !without.includes(key))

function linesOfKeys(a: Loose, b: Loose, prefix: string, without: readonly string[]): FieldLine[] {
  return keysOf(a, b, without).flatMap((key) =>
    lineOf(`${prefix}${LABELS[key] ?? key}`, a[key], b[key], key === 'route' ? sayRoute : plain),
  )
}

function sayRoute(value: unknown): string {
  if (!value) return 'none'
  const route = value as RouteEdits
  const steps = [
    ...route.removed.map((id) => `without ${id}`),
    ...route.placed.map((item) => `${item.id} after ${item.after ?? 'the start'}`),
  ]
  const changed = route.changed.map((item) => `${item.id}: ${JSON.stringify(item.params)}`)
  const reasons = route.reasons?.map(({ id, rule, reason }) => `${id} against ${rule}: ${reason}`) ?? []
  return [...steps, ...changed, ...reasons].join(', ') || 'none'
}

/** What differs in a part beside the fields of its form. */
function partLines(a: DesignPart, b: DesignPart, prefix: string): FieldLine[] {
  const named = [...(findForm(b.form)?.fields ?? []).map((field) => field.name), 'bands', 'originals']
  return [...linesOfKeys({ ...a }, { ...b }, prefix, ['id', 'input']), ...linesOfKeys(a.input, b.input, prefix, named)]
}

/** Members by their id, without it. */
function contents(members: readonly { readonly id: string }[]): ReadonlyMap<string, Loose> {
  return new Map(members.map(({ id, ...content }) => [id, content]))
}

/** A line for each member of the same id whose content differs, with what differs of it. */
function memberLines(now: PieceDesign['others'] | PieceDesign['joints'], yours: typeof now): FieldLine[] {
  const before = contents(now)
  return [...contents(yours)].flatMap(([id, b]) => {
    const a = before.get(id)
    if (!a) return []
    const differing = keysOf(a, b, []).filter((key) => !isSameContent(a[key], b[key]))
    const only = (content: Loose) => Object.fromEntries(differing.map((key) => [key, content[key]]))
    const name = b.name ?? a.name
    return lineOf(typeof name === 'string' && name !== '' ? name : id, only(a), only(b))
  })
}

const idsOf = ({ parts, others, joints }: PieceDesign) => [...parts, ...others, ...joints].map(({ id }) => id).join(', ')

/** What differs between the design that stands and one that would take its place: empty only where they are the same through and through. */
export function fieldLines(now: PieceDesign, yours: PieceDesign): FieldLine[] {
  if (isSameContent(now, yours)) return []
  const several = now.parts.length > 1
  const lines = [
    ...enteredRows(now, yours).map((row) => ({ label: row.label, now: row.first || '–', yours: row.second || '–' })),
    ...yours.parts.flatMap((b) => {
      const a = now.parts.find(({ id }) => id === b.id)
      return a ? partLines(a, b, several ? `${b.name || b.id}: ` : '') : []
    }),
    ...lineOf('Parts', idsOf(now), idsOf(yours)),
    ...memberLines(now.others, yours.others),
    ...memberLines(now.joints, yours.joints),
    ...linesOfKeys({ ...now }, { ...yours }, '', ['parts', 'others', 'joints']),
  ]
  return lines.length > 0 ? lines : [{ label: 'Details', now: 'as they stand', yours: 'others' }]
}
