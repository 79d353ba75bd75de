import { advise } from '@/core/commands'
import { withJson } from '@/server/http/answer'

export async function POST(request: Request, { params }: { params: Promise<{ adviser: string }> }) {
  const { adviser } = await params
  return withJson(request, (raw) => advise(adviser, raw))
}
