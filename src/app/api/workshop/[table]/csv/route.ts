import { stringify } from 'csv-stringify/sync'
import { currentDb } from '@/server/db/connection'
import { PORTABLE, portableRows } from '@/server/db/portable'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'

/** One table of the workshop as CSV, things by their lasting names. */
export async function GET(request: Request, { params }: { params: Promise<{ table: string }> }) {
  const { table } = await params
  return ofWorkshop(request, () => {
    if (!PORTABLE.some(({ name }) => name === table)) return notFound(`there is no table "${table}"`)
    const rows = [...portableRows(currentDb(), table)].filter((one) => one.table === table).map(({ row }) => row)
    return new Response(stringify(rows, { header: true, bom: true, escape_formulas: true }), {
      headers: { 'content-type': 'text/csv; charset=utf-8', 'content-disposition': `attachment; filename="${table}.csv"` },
    })
  })
}
