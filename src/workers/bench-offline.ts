/** What the server puts before this file: the build it is of, and all files of the program that pages load. */
interface Given {
  readonly foldAnvilBuild: string
  readonly foldAnvilFiles: readonly string[]
}

interface Waits extends Event {
  readonly waitUntil: (work: Promise<unknown>) => void
}
interface Fetches extends Event {
  readonly request: Request
  readonly respondWith: (answer: Promise<Response>) => void
}
interface Hears extends Event {
  readonly data: unknown
  readonly ports: readonly MessagePort[]
  readonly waitUntil: (work: Promise<unknown>) => void
}

/** What of the worker's surroundings is used here; the pages' own types know nothing of it. */
interface Surroundings extends Given {
  readonly clients: { readonly claim: () => Promise<void> }
  readonly location: Location
  addEventListener(kind: 'install' | 'activate', hear: (event: Waits) => void): void
  addEventListener(kind: 'fetch', hear: (event: Fetches) => void): void
  addEventListener(kind: 'message', hear: (event: Hears) => void): void
}

const here = globalThis as unknown as Surroundings
const OWN = `bench-${here.foldAnvilBuild}`
const PREFIX = 'bench-'
/** The program gets so long to answer before the device’s own copy of a page is opened. */
const PATIENCE_MS = 2500
/** So much longer until a page that came is kept, too. */
const MORE_MS = 500
const MOST_TRAYS = 60
const IS_DOCUMENT = /^\/bench(\/\d+(\/cautions)?)?$/

const LOST = `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1"><title>The computer does not answer</title>
<body style="margin:0;min-height:100vh;display:grid;place-items:center;background:#1d2b30;color:#e9efee;font:18px/1.5 system-ui,sans-serif"><main style="max-width:24rem;padding:1.5rem">
<h1 style="font-size:34px;line-height:1.1">The computer does not answer</h1><p>This page is not on this device. The bench is: what you enter there stays here and is sent when the computer answers.</p>
<p><a href="/bench" style="color:#9fe0cf;font-weight:700;font-size:22px">Open the bench</a></p></main></body></html>`

/** A page’s address without what is asked of it: one copy of each. */
const keyOf = (url: string) => new URL(url, here.location.origin).pathname

const isWhole = (response: Response) => response.ok && !response.redirected && response.type === 'basic'

/** So many are asked for at once: as many as a browser opens connections. */
const AT_ONCE = 6

/** Does a piece of work for each, a few at a time. */
async function eachOf<T>(all: readonly T[], work: (one: T) => Promise<unknown>): Promise<void> {
  const left = [...all]
  const worker = async () => {
    for (let next = left.shift(); next !== undefined; next = left.shift()) await work(next)
  }
  await Promise.all(Array.from({ length: AT_ONCE }, worker))
}

/** Copies the program’s files into this build’s cache, from an older one where they are there already. */
async function keepFiles(): Promise<void> {
  const cache = await caches.open(OWN)
  await eachOf(here.foldAnvilFiles, async (file) => {
    const known = await caches.match(file)
    const response = known ?? (await fetch(file))
    if (isWhole(response)) await cache.put(file, response)
  })
}

async function keepDocument(path: string): Promise<string> {
  const response = await fetch(path, { credentials: 'same-origin', headers: { accept: 'text/html' } })
  if (!isWhole(response)) return ''
  await (await caches.open(OWN)).put(path, response.clone())
  return response.text()
}

/** The bench and every tray it leads to. */
async function keepBench(): Promise<number> {
  const home = await keepDocument('/bench')
  const trays = [...new Set([...home.matchAll(/\/bench\/(\d+)\b/g)].map(([path]) => path))].slice(0, MOST_TRAYS)
  await eachOf(trays, keepDocument)
  return trays.length
}

/** So long the bench counts as just put here: the page that installed this worker asks for it a moment after. */
const LATELY_MS = 10_000
let keptLately: Promise<number> | undefined

function keepNow(): Promise<number> {
  const kept = keepBench()
  const forget = () => {
    if (keptLately === kept) keptLately = undefined
  }
  keptLately = kept
  kept.then(() => setTimeout(forget, LATELY_MS), forget)
  return kept
}

/** Older copies go only once this build’s are there. */
async function dropOlder(): Promise<void> {
  const own = await caches.open(OWN)
  if (!(await own.match('/bench'))) return
  for (const name of await caches.keys()) if (name.startsWith(PREFIX) && name !== OWN) await caches.delete(name)
}

/** A page as the program gives it now, kept on the way. Only where there is a copy to open instead is it not waited for, and taken whole or not at all. */
async function fromProgram(request: Request, path: string, hasCopy: boolean): Promise<Response> {
  const response = await (hasCopy ? fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) }) : fetch(request))
  if (!IS_DOCUMENT.test(path) || !isWhole(response)) return response
  const copied = response.clone()
  const kept = caches.open(OWN).then((cache) => cache.put(path, copied))
  if (hasCopy) await kept
  else kept.catch(() => undefined)
  return response
}

async function documentOf(request: Request): Promise<Response> {
  const path = keyOf(request.url)
  const known = IS_DOCUMENT.test(path) ? await caches.match(path) : undefined
  const fresh = fromProgram(request, path, known !== undefined)
  if (known === undefined)
    return fresh.catch(() => new Response(LOST, { status: 503, headers: { 'content-type': 'text/html; charset=utf-8' } }))
  // also where keeping it comes to no end, the page opens
  const late = new Promise<Response>((done) => setTimeout(done, PATIENCE_MS + MORE_MS, known))
  return Promise.race([fresh.catch(() => known), late])
}

const fileOf = async (request: Request): Promise<Response> => (await caches.match(request)) ?? fetch(request)

here.addEventListener('install', (event) => event.waitUntil(keepFiles().then(keepNow)))
here.addEventListener('activate', (event) => event.waitUntil(dropOlder().then(() => here.clients.claim())))
here.addEventListener('message', (event) => {
  if (event.data !== 'keep the bench') return
  const [answer] = event.ports
  const kept = (keptLately ?? keepNow())
    .then(async (trays) => {
      await dropOlder()
      answer?.postMessage(trays)
    })
    .catch(() => answer?.postMessage(null))
  event.waitUntil(kept)
})
here.addEventListener('fetch', (event) => {
  const { request } = event
  const url = new URL(request.url)
  if (request.method !== 'GET' || url.origin !== here.location.origin) return
  if (request.mode === 'navigate') event.respondWith(documentOf(request))
  else if (url.pathname.startsWith('/_next/static/') || url.pathname === '/icon.svg') event.respondWith(fileOf(request))
})
