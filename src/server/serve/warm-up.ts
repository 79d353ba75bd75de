/** What a smith opens first, and of the pages they lead to one of each kind. */
const PLACES = ['/jobs', '/bench', '/bench/day', '/book', '/drawer', '/settings']
const LED_TO = [/"(\/pieces\/\d+)"/, /"(\/bench\/\d+)"/, /"(\/layout\/\d+)"/]
/** A page is about as quick as it gets once it was made so often. */
const ROUNDS = 3
/** It begins, and goes on, only where nobody has asked for anything for so long. */
const QUIET_MS = 2000

/** By this name of the asking program its own requests are told from a smith’s. */
export const WARMING = 'fold-anvil-warm-up'

const after = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms).unref())

async function opened(address: string): Promise<string> {
  const answer = await fetch(address, { headers: { 'user-agent': WARMING, connection: 'close' } })
  return answer.text()
}

/** The first page of each kind that a text leads to, of which none is known yet. */
function ledTo(text: string, known: ReadonlySet<string>): string[] {
  return LED_TO.filter((link) => ![...known].some((page) => link.test(`"${page}"`))).flatMap((link) => link.exec(text)?.[1] ?? [])
}

/**
 * Opens the main pages while nobody asks for anything: their code is then loaded and has run, and the first page that a smith opens is as quick
 * as the hundredth. `quietMs` says for how long nobody has asked. What cannot be opened is left.
 */
export async function warmUp(address: string, quietMs: () => number): Promise<void> {
  const pages = new Set(PLACES)
  for (let round = 0; round < ROUNDS; round++)
    // what a page leads to joins the same round
    for (const page of pages) {
      while (quietMs() < QUIET_MS) await after(QUIET_MS)
      const text = await opened(`${address}${page}`).catch(() => '')
      for (const path of ledTo(text, pages)) pages.add(path)
    }
}
