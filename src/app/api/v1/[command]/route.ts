import { COMMANDS } from '@/core/commands'
import { makeClock, notFound, withJson } from '@/server/http/answer'

export async function POST(request: Request, { params }: { params: Promise<{ command: string }> }) {
  const { command } = await params
  const run = COMMANDS[command]
  if (!run) return notFound(`there is no command "${command}"; there are calc/<form>, ${Object.keys(COMMANDS).join(', ')}`)
  return withJson(request, (raw) => run(raw, makeClock()))
}
