import { fileOfTemplate } from '@/server/http/template-file'

/** A template at full size: as SVG, DXF or PDF. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string; kind: string }> }) {
  const { id, kind } = await params
  return fileOfTemplate(request, Number(id), kind)
}
