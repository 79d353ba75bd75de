import { createReadStream, rmSync, statSync } from 'node:fs'
import { Readable } from 'node:stream'
import { ofWorkshop } from '@/server/http/of-workshop'
import { makeZip } from '@/server/services/make-zip'

/** The whole workshop as one file. */
export async function GET(request: Request) {
  return ofWorkshop(request, async () => {
    const { path, name } = await makeZip(request.signal)
    const stream = createReadStream(path)
    stream.on('close', () => rmSync(path, { force: true }))
    return new Response(Readable.toWeb(stream) as ReadableStream, {
      headers: {
        'content-type': 'application/zip',
        'content-length': String(statSync(path).size),
        'content-disposition': `attachment; filename="${name}"`,
      },
    })
  })
}
