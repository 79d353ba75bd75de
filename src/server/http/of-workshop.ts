import { workshop } from '../workshop'
import { guarded, problem } from './answer'

/** Gives a paper or a file of the workshop that the page was opened in: another than the one that is open now is refused in words. */
export function ofWorkshop(request: Request, work: () => Response | Promise<Response>): Promise<Response> {
  return guarded(() => {
    const of = new URL(request.url).searchParams.get('of')
    if (of !== null && of !== workshop().workshopRow().uid)
      return problem(
        409,
        'other-workshop',
        'A different workshop is open now from the one this page was opened in. Open that one again, then print.',
      )
    return work()
  })
}
