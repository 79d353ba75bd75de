import { ofWorkshop } from '@/server/http/of-workshop'
import { kindsOf } from '@/server/services/kinds'
import { workshop } from '@/server/workshop'

/** Every kind of piece with its picture, for the picker. */
export async function GET(request: Request) {
  return ofWorkshop(request, async () => Response.json(await kindsOf(workshop())))
}
