import { ofWorkshop } from '@/server/http/of-workshop'
import { findThings } from '@/server/services/find-things'
import { workshop } from '@/server/workshop'

/** What the workshop has by these words, for the ask line. */
export async function GET(request: Request) {
  return ofWorkshop(request, () => Response.json(findThings(workshop(), new URL(request.url).searchParams.get('q') ?? '')))
}
