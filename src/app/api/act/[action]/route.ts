import { isActionName, perform } from '@/server/actions/perform'
import { notFound, withJson } from '@/server/http/answer'

/** The one address at which a page writes. A refusal is an answer; its words are in it. */
export async function POST(request: Request, { params }: { params: Promise<{ action: string }> }) {
  const { action } = await params
  if (!isActionName(action)) return notFound(`there is no action "${action}"`)
  return withJson(request, async (raw) => ({ ok: true, body: await perform(action, raw) }))
}
