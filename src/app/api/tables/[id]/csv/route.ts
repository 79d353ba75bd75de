import { findTable } from '@/core/tables'
import { tableCsv } from '@/server/export/table-csv'
import { guarded, notFound } from '@/server/http/answer'

export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return guarded(() => {
    const table = findTable(id)
    if (!table) return notFound(`there is no table "${id}"`)
    return new Response(tableCsv(table), {
      headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${table.id}.csv"` },
    })
  })
}
