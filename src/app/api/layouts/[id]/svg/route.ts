import { fileOfLayout } from '@/server/http/layout-file'

/** The layout as SVG in real millimetres. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return fileOfLayout(request, Number((await params).id), 'svg')
}
