import { type OwnTool, sizeOfTool, TOOL_KIND_INFO } from '@/core/toolwall'
import { formatPlain } from '@/core/units'

/** A tool's size as it is read: measured first, and said to be. */
export function sizeWords(tool: OwnTool): string {
  const { size } = TOOL_KIND_INFO[tool.kind]
  if (!size) return tool.facts?.marks ? `${tool.facts.marks.length} ${tool.facts.marks.length === 1 ? 'mark' : 'marks'}` : 'no marks yet'
  const value = sizeOfTool(tool)
  if (value === undefined) return tool.kind === 'hammer' ? 'soft face' : 'not measured: plans cannot use it'
  return `${formatPlain(value, size.unit === 'mm' ? 3 : 1)} ${size.unit}${tool.measured === undefined ? '' : ', measured'}`
}
