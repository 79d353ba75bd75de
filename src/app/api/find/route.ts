import { ofWorkshop } from '@/server/http/of-workshop'
import { findThings, recentThings } from '@/server/services/find-things'
import { workshop } from '@/server/workshop'

/** What the workshop has by these words, for the ask line; what was worked on last where nothing is asked. */
export async function GET(request: Request) {
  const words = new URL(request.url).searchParams.get('q') ?? ''
  return ofWorkshop(request, () => Response.json(words.trim() === '' ? recentThings(workshop()) : findThings(workshop(), words)))
}
