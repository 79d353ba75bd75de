import * as z from 'zod'
import type { Drawing } from '../drawing/drawing'
import { circleOutline } from '../geometry/outline'
import type { Outline } from '../geometry/point'
import type { InputIssue } from '../sizes/read-fields'
import { type OwnTool, sizeOfTool, TOOL_KIND_INFO } from '../toolwall/tools'
import { lengthMm, words } from '../units/fields'
import { formatPlain } from '../units/format'
import { derive, given, type WorkingLog } from '../working/derive'
import type { Picture, ToolPick } from './contract'
import { benchFields, defineAdviser } from './define-adviser'

const measured = (label: string) =>
  lengthMm({ label, min: 0.05, max: 500, help: 'Leave it empty where the tool wall knows it.' }).optional()

const input = z.strictObject({
  first: words('First tool', 80, 'Its name on the tool wall, or any label.'),
  firstMm: measured('First, as measured'),
  second: words('Second tool', 80, 'Its name on the tool wall, or any label.'),
  secondMm: measured('Second, as measured'),
  ...benchFields(),
})

interface Measured {
  readonly name: string
  readonly size: number
  readonly unit: 'mm' | 'µm' | '°C' | 'HRC'
  readonly detail: string
  readonly owned: boolean
}

const plain = (text: string) => text.trim().toLowerCase()

/** A tool with its size: as typed here, else as the wall knows it. A label alone ("tip 7") is never turned into one. */
function sizeFor(label: string, typedMm: number | undefined, owned: readonly OwnTool[], path: string): Measured | InputIssue {
  if (plain(label) === '') return { path, message: 'say which tool: its name on the tool wall, or the label on it' }
  if (typedMm !== undefined) return { name: label.trim(), size: typedMm, unit: 'mm', detail: 'as measured here', owned: false }
  const tool = owned.find((one) => plain(one.label) === plain(label))
  const size = tool && sizeOfTool(tool)
  const unit = tool && TOOL_KIND_INFO[tool.kind].size?.unit
  if (tool && size !== undefined && unit)
    return { name: tool.label, size, unit, detail: tool.measured === undefined ? 'as sold' : 'as measured', owned: true }
  const known = tool ? 'only the maker’s label is known' : 'it is not on the tool wall'
  return { path: `${path}Mm`, message: `${label.trim()}: ${known}, and a label is not a size. Measure it and enter the size to compare.` }
}

function pictureOf(first: Measured, second: Measured): Picture {
  if (first.unit !== 'mm') {
    const step = ({ name, size }: Measured) => ({ name, from: size, to: size })
    return {
      kind: 'ladder',
      ladder: { unit: first.unit, spacing: 'linear', joined: false, steps: [step(first), step(second)], limits: [] },
    }
  }
  const gap = 0.25 * Math.max(first.size, second.size)
  const disc = (at: number, size: number): Outline => circleOutline(size / 2).map(([x, y]) => [x + at, y])
  const secondAt = first.size / 2 + gap + second.size / 2
  const below = -Math.max(first.size, second.size) / 2
  const width = (at: number, { name, size }: Measured): Drawing['views'][number]['dimensions'][number] => ({
    from: [at - size / 2, below],
    to: [at + size / 2, below],
    offset: -1.4,
    text: `${name}: ${formatPlain(size, 3)}`,
  })
  return {
    kind: 'drawing',
    drawing: {
      views: [
        {
          id: 'both',
          title: 'Side by side',
          shapes: [
            { kind: 'region', layer: 'tool', outer: disc(0, first.size), holes: [] },
            { kind: 'region', layer: 'tool', outer: disc(secondAt, second.size), holes: [] },
          ],
          dimensions: [width(0, first), width(secondAt, second)],
          handles: [],
          notes: [],
        },
      ],
    },
  }
}

const pickOf = ({ name, size, unit, detail, owned }: Measured): ToolPick => ({ name, value: size, unit, detail, grade: 'right', owned })

export const compareAdviser = defineAdviser({
  id: 'compare',
  title: 'Two tools compared',
  question: 'Which is larger?',
  input,
  example: { first: 'domer 4', firstMm: 5.5, second: 'template 9', secondMm: '1/4 in' },
  advise: (input) => {
    const first = sizeFor(input.first, input.firstMm, input.owned, 'first')
    if ('path' in first) return first
    const second = sizeFor(input.second, input.secondMm, input.owned, 'second')
    if ('path' in second) return second
    if (first.unit !== second.unit)
      return {
        path: 'second',
        message: `${second.name} is known in ${second.unit} and ${first.name} in ${first.unit}: tools of one kind can be compared`,
      }
    const log: WorkingLog = []
    const difference = derive(log, {
      label: 'Second less first',
      formula: 'b − a',
      unit: first.unit,
      source: 'own-choice',
      given: [given('a', first.name, first.size, first.unit), given('b', second.name, second.size, second.unit)],
    })
    const by = `${formatPlain(Math.abs(difference), 3)} ${first.unit}`
    const larger = difference > 0 ? second : first
    const smaller = difference > 0 ? first : second
    const word = first.unit === '°C' ? 'higher' : first.unit === 'HRC' ? 'harder' : 'larger'
    return {
      answer: difference === 0 ? 'the same size' : `${larger.name} is ${word} by ${by}`,
      reason: `${larger.name} ${formatPlain(larger.size, 3)} ${first.unit} ${larger.detail}, ${smaller.name} ${formatPlain(smaller.size, 3)} ${first.unit} ${smaller.detail}. Labels of makers are names: only sizes are compared.`,
      picks: [pickOf(first), pickOf(second)],
      missing: null,
      checks: [],
      working: log,
      picture: pictureOf(first, second),
    }
  },
})
