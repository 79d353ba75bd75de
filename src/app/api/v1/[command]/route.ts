import { COMMANDS } from '@/core/commands'
import { makeClock, notFound, withJson } from '@/server/http/answer'
import { dayForRequest } from '@/server/services/day-for-request'
import { packForRequest } from '@/server/services/pack-for-request'

/** Commands that may take long, each in a thread of its own. */
const LONG = new Map([
  ['layout', packForRequest],
  ['schedule', dayForRequest],
])

export async function POST(request: Request, { params }: { params: Promise<{ command: string }> }) {
  const { command } = await params
  const run = COMMANDS.get(command)
  if (!run) return notFound(`there is no command "${command}"; there are calc/<form>, ${[...COMMANDS.keys()].join(', ')}`)
  return withJson(request, (raw) => LONG.get(command)?.(raw, request.signal) ?? run(raw, makeClock()))
}
