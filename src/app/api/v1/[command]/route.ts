import { COMMANDS } from '@/core/commands'
import { makeClock, notFound, withJson } from '@/server/http/answer'
import { packForRequest } from '@/server/services/pack-for-request'

export async function POST(request: Request, { params }: { params: Promise<{ command: string }> }) {
  const { command } = await params
  const run = COMMANDS.get(command)
  if (!run) return notFound(`there is no command "${command}"; there are calc/<form>, ${[...COMMANDS.keys()].join(', ')}`)
  return withJson(request, (raw) => (command === 'layout' ? packForRequest(raw, request.signal) : run(raw, makeClock())))
}
