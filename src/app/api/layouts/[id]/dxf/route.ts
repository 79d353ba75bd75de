import { fileOfLayout } from '@/server/http/layout-file'

/** The layout as DXF in millimetres, a layer for each purpose. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  return fileOfLayout(request, Number((await params).id), 'dxf')
}
