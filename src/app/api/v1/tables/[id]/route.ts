import { table } from '@/core/commands'
import { guarded, respond } from '@/server/http/answer'

export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return guarded(() => respond(table(id)))
}
