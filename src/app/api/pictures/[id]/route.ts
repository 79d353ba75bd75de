import { guarded, notFound } from '@/server/http/answer'
import { workshop } from '@/server/workshop'

export async function GET(_: Request, { params }: { params: Promise<{ id: string }> }) {
  const { id } = await params
  return guarded(() => {
    const bytes = workshop().pictures.bytes(Number(id))
    if (!bytes) return notFound('this picture is not there')
    return new Response(Buffer.from(bytes), { headers: { 'content-type': 'image/webp', 'cache-control': 'private, max-age=86400' } })
  })
}
