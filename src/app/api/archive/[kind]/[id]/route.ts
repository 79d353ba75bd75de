import { ARCHIVE_KINDS } from '@/server/db/repositories'
import { notFound } from '@/server/http/answer'
import { ofWorkshop } from '@/server/http/of-workshop'
import { hangingWords, whyKept } from '@/server/services/archive-words'
import { workshop } from '@/server/workshop'

/** What hangs on a thing that is about to be put away, in words. */
export async function GET(request: Request, { params }: { params: Promise<{ kind: string; id: string }> }) {
  const { kind: asked, id } = await params
  return ofWorkshop(request, () => {
    const kind = ARCHIVE_KINDS.find((one) => one === asked)
    const { archive } = workshop()
    const found = kind && archive.one(kind, Number(id))
    if (!kind || !found) return notFound('this is not there')
    const hanging = archive.hangingOn(kind, found.id)
    return Response.json({
      name: found.name,
      revision: found.revision,
      hanging: hangingWords(hanging),
      kept: whyKept(kind, hanging) ?? null,
    })
  })
}
