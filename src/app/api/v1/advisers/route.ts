import { listAdvisers } from '@/core/commands'
import { guarded, respond } from '@/server/http/answer'

export function GET() {
  return guarded(() => respond(listAdvisers()))
}
