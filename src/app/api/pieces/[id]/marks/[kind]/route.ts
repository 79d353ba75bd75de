import { fileOfMarks } from '@/server/http/marks-file'

/** The guide of a piece’s marks at full size: as SVG, DXF or PDF. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string; kind: string }> }) {
  const { id, kind } = await params
  return fileOfMarks(request, Number(id), kind)
}
