import { guarded, problem, withBytes } from '@/server/http/answer'
import { bringBackup, dropBrought } from '@/server/services/bring-backup'

/** Takes a part of a backup that was kept elsewhere: `id`, where it begins and how long the whole is stand in the address. */
export async function POST(request: Request) {
  return withBytes(request, async (bytes) => {
    const asked = new URL(request.url).searchParams
    const brought = await bringBackup({
      id: asked.get('id') ?? '',
      from: Number(asked.get('from')),
      size: Number(asked.get('size')),
      bytes,
    })
    return brought.ok ? Response.json(brought) : problem(422, 'not-taken', brought.message)
  })
}

/** Lets a file go that was being brought in. */
export async function DELETE(request: Request) {
  return guarded(() => {
    dropBrought(new URL(request.url).searchParams.get('id') ?? '')
    return new Response(null, { status: 204 })
  })
}
