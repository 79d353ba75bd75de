import { guarded, notFound } from '@/server/http/answer'
import { UNWATCHED } from '@/server/long/under-way'
import { lookAtBackup } from '@/server/services/backups'

/** What is in a backup, against what is there now: looked at before it is put back. */
export async function GET(request: Request, { params }: { params: Promise<{ file: string }> }) {
  const { file } = await params
  return guarded(async () => {
    const look = await lookAtBackup(file, { ...UNWATCHED, signal: request.signal })
    return look.ok ? Response.json(look) : notFound(look.message)
  })
}
