import { guarded, notFound, withJson } from '@/server/http/answer'
import { takeReading } from '@/server/services/take-reading'
import { workshop } from '@/server/workshop'

interface Context {
  params: Promise<{ id: string }>
}

export async function POST(request: Request, { params }: Context) {
  const { id } = await params
  return withJson(request, (raw) => takeReading(workshop(), Number(id), raw))
}

export async function GET(_request: Request, { params }: Context) {
  const { id } = await params
  return guarded(() =>
    workshop().bench.tray(Number(id)) ? Response.json(workshop().bench.readings(Number(id))) : notFound(`there is no tray ${id}`),
  )
}
