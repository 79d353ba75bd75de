import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

export const dynamic = 'force-dynamic'

/** Everything the build made for pages, as they load it. */
function builtFiles(): string[] {
  const root = join(process.cwd(), '.next', 'static')
  return readdirSync(root, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && !entry.name.endsWith('.map'))
    .map(
      (entry) =>
        `/_next/static/${join(entry.parentPath.slice(root.length), entry.name)
          .replace(/^[\\/]+/, '')
          .replaceAll('\\', '/')}`,
    )
    .map((path) => path.split('/').map(encodeURIComponent).join('/'))
}

/** The worker that keeps the bench on a device, of this very build; none while developing. */
export function GET(): Response {
  if (process.env.NODE_ENV !== 'production') return new Response(null, { status: 404 })
  const build = readFileSync(join(process.cwd(), '.next', 'BUILD_ID'), 'utf8').trim()
  const given = `self.foldAnvilBuild=${JSON.stringify(build)};self.foldAnvilFiles=${JSON.stringify([...builtFiles(), '/icon.svg'])};\n`
  const worker = readFileSync(join(process.cwd(), 'dist', 'bench-offline.js'), 'utf8')
  return new Response(given + worker, {
    headers: { 'content-type': 'text/javascript; charset=utf-8', 'cache-control': 'no-cache' },
  })
}
