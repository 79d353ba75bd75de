import { outlinesPattern, type Pattern, patternDxf, patternSvg } from '@/core/drawing'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { runTask } from '@/server/long/run-task'
import { workshop } from '@/server/workshop'

const TYPES: Readonly<Record<string, string>> = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf', pdf: 'application/pdf' }

/** A template at full size: as SVG, DXF or PDF. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string; kind: string }> }) {
  const { id, kind } = await params
  return ofWorkshop(request, async () => {
    const { templates, settings } = workshop()
    const template = templates.one(Number(id))
    const type = TYPES[kind]
    if (!template || !type) return notFound('this template is not there')
    const { outer, holes, name } = template
    const middle = outer.reduce(([x, y], [px, py]) => [x + px / outer.length, y + py / outer.length] as [number, number], [0, 0])
    const pattern: Pattern = {
      lines: [...outlinesPattern([outer]).lines, ...outlinesPattern(holes, 'saw-inside').lines],
      labels: [{ at: middle, text: name }],
    }
    const { paper, checkBarMm } = settings.read()
    const print = { title: name, patterns: [pattern], isTemplate: true, isMirrored: false, method: 'scribe' as const, paper, checkBarMm }
    const body =
      kind === 'pdf'
        ? Buffer.from(await runTask('layoutPdf', print, { seconds: 60, signal: request.signal }))
        : kind === 'svg'
          ? patternSvg(name, pattern)
          : patternDxf(pattern)
    const place = kind === 'pdf' ? 'inline' : 'attachment'
    return new Response(body, {
      headers: { 'content-type': type, 'content-disposition': `${place}; filename="template-${template.id}.${kind}"` },
    })
  })
}
