import { guarded } from '@/server/http/answer'
import { workshop } from '@/server/workshop'

const SHOWN = 200

/** What somebody tried with the trainer, the newest first. */
export async function GET(request: Request) {
  const learner = new URL(request.url).searchParams.get('learner') ?? ''
  return guarded(() => Response.json({ predictions: workshop().teaching.ofLearner(learner, SHOWN) }))
}
