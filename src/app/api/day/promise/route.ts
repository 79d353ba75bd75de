import { guarded, respond } from '@/server/http/answer'
import { promiseOf } from '@/server/services/promise'
import { workshop } from '@/server/workshop'

/** Whether a piece that is not begun can be promised for a day. */
export async function GET(request: Request) {
  const { searchParams } = new URL(request.url)
  return guarded(async () =>
    respond(await promiseOf(workshop(), Number(searchParams.get('piece')), searchParams.get('on') ?? '', new Date(), request.signal)),
  )
}
