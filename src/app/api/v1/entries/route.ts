import { withJson } from '@/server/http/answer'
import { keepEntry } from '@/server/services/keep-entry'
import { workshop } from '@/server/workshop'

/** Takes one entry of the bench: done, lost, a note, a reading, or one taken back. */
export function POST(request: Request) {
  return withJson(request, (raw) => keepEntry(workshop(), raw, new Date().toISOString()))
}
