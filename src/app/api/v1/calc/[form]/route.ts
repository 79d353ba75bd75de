import { calc } from '@/core/commands'
import { withJson } from '@/server/http/answer'

export async function POST(request: Request, { params }: { params: Promise<{ form: string }> }) {
  const { form } = await params
  return withJson(request, (raw) => calc(form, raw))
}
