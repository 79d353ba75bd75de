import { dayIcs } from '@/server/export/day-ics'
import { ofWorkshop } from '@/server/http/of-workshop'
import { dayLines } from '@/server/services/day-plan'
import { workshop } from '@/server/workshop'

export async function GET(request: Request) {
  return ofWorkshop(request, async () => {
    const repositories = workshop()
    const lines = await dayLines(repositories, new Date(), request.signal)
    const text = dayIcs(lines, { uid: repositories.workshopRow().uid, name: repositories.settings.read().workshopName })
    return new Response(text, {
      headers: { 'content-type': 'text/calendar; charset=utf-8', 'content-disposition': 'attachment; filename="bench-day.ics"' },
    })
  })
}
