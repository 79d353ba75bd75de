import { outlinesPattern, type Pattern, patternDxf, patternSvg } from '@/core/drawing'
import { boundsOf, middleOf } from '@/core/geometry'
import type { Repositories, Template } from '../db/repositories'
import { runTask } from '../long/run-task'
import { workshop } from '../workshop'
import { notFound } from './answer'
import { ofWorkshop } from './of-workshop'

const TYPES = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf', pdf: 'application/pdf' } as const
type Kind = keyof typeof TYPES

const isKind = (word: string): word is Kind => Object.hasOwn(TYPES, word)

function patternOf({ outer, holes, name }: Template): Pattern {
  return {
    lines: [...outlinesPattern([outer]).lines, ...outlinesPattern(holes, 'saw-inside').lines],
    labels: [{ at: middleOf(boundsOf(outer)), text: name }],
  }
}

/** A template as a page to print. */
async function paged(name: string, pattern: Pattern, { settings }: Repositories, signal: AbortSignal): Promise<Uint8Array<ArrayBuffer>> {
  const { paper, checkBarMm } = settings.read()
  const print = { title: name, patterns: [pattern], isTemplate: true, isMirrored: false, method: 'scribe' as const, paper, checkBarMm }
  return new Uint8Array(await runTask('layoutPdf', print, { seconds: 60, signal }))
}

/** A template at full size: as SVG, DXF or PDF. */
export function fileOfTemplate(request: Request, id: number, kind: string): Promise<Response> {
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const template = repositories.templates.one(id)
    if (!template || !isKind(kind)) return notFound('this template is not there')
    const pattern = patternOf(template)
    const { name } = template
    const write = {
      svg: () => patternSvg(name, pattern),
      dxf: () => patternDxf(pattern),
      pdf: () => paged(name, pattern, repositories, request.signal),
    }
    const place = kind === 'pdf' ? 'inline' : 'attachment'
    return new Response(await write[kind](), {
      headers: { 'content-type': TYPES[kind], 'content-disposition': `${place}; filename="template-${id}.${kind}"` },
    })
  })
}
