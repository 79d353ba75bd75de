import { outlinesPattern, type Pattern } from '@/core/drawing'
import { boundsOf, middleOf } from '@/core/geometry'
import type { Template } from '../db/repositories'
import { workshop } from '../workshop'
import { notFound } from './answer'
import { ofWorkshop } from './of-workshop'
import { isPatternKind, patternFile } from './pattern-file'

function patternOf({ outer, holes, name }: Template): Pattern {
  return {
    lines: [...outlinesPattern([outer]).lines, ...outlinesPattern(holes, 'saw-inside').lines],
    labels: [{ at: middleOf(boundsOf(outer)), text: name }],
  }
}

/** A template at full size: as SVG, DXF or PDF. */
export function fileOfTemplate(request: Request, id: number, kind: string): Promise<Response> {
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const template = repositories.templates.one(id)
    if (!template || !isPatternKind(kind)) return notFound('this template is not there')
    const names = { title: template.name, file: `template-${id}` }
    return patternFile(patternOf(template), names, kind, repositories, request.signal)
  })
}
