import { patternDxf, patternSvg } from '@/core/drawing'
import { printOf } from '../services/print-layout'
import { workshop } from '../workshop'
import { notFound } from './answer'
import { printedOf } from './asked-print'
import { ofWorkshop } from './of-workshop'

const TYPES = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf' } as const

/** A layout as a drawing at full size, to be saved. */
export function fileOfLayout(request: Request, id: number, kind: keyof typeof TYPES): Promise<Response> {
  return ofWorkshop(request, () => {
    const print = printOf(workshop(), id, { ...printedOf(request), method: 'glue' })
    const [pattern] = print?.patterns ?? []
    if (!print || !pattern) return notFound('this layout is not there')
    const title = print.fault ? `${print.title}. ${print.fault}` : print.title
    const text = kind === 'svg' ? patternSvg(title, pattern) : patternDxf(pattern)
    return new Response(text, {
      headers: { 'content-type': TYPES[kind], 'content-disposition': `attachment; filename="layout-${id}.${kind}"` },
    })
  })
}
