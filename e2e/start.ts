import { type ChildProcess, spawn } from 'node:child_process'
import { cpSync } from 'node:fs'
import { join } from 'node:path'
import type { Page } from '@playwright/test'

/** A folder of the run's own for a server that a test starts itself. */
export function folderOf(name: string): string {
  return join(process.env.E2E_DATA ?? '', name)
}

/** Puts the demonstration into a folder: a copy of the one that was written for the whole run, or written anew. */
export async function seed(folder: string): Promise<void> {
  const written = process.env.E2E_SEEDED
  if (written) return cpSync(written, folder, { recursive: true })
  const env = { ...process.env, FOLD_ANVIL_OPEN: 'demo', FOLD_ANVIL_DATA: folder }
  await new Promise((resolve) => spawn('node', ['dist/seed.mjs'], { env, stdio: 'ignore' }).on('exit', resolve))
}

export interface Started {
  readonly base: string
  readonly process: ChildProcess
}

/** Starts the built program on a folder, and waits until it answers. */
export async function start(folder: string, port: number, more: Readonly<Record<string, string>> = {}): Promise<Started> {
  const env = {
    ...process.env,
    PORT: String(port),
    FOLD_ANVIL_DATA: folder,
    NEXT_TELEMETRY_DISABLED: '1',
    FOLD_ANVIL_OPEN: 'demo',
    ...more,
  }
  const server = spawn('node', ['dist/server.mjs'], { env, stdio: 'ignore' })
  const base = `http://127.0.0.1:${port}`
  // a machine that is at work on much else takes its time
  for (let n = 0; n < 600; n++) {
    try {
      await fetch(`${base}/pair`, { redirect: 'manual' })
      return { base, process: server }
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  }
  throw new Error('the server did not start')
}

/** kill -9, and waits until it is gone. */
export async function kill({ process: server }: Started): Promise<void> {
  if (server.exitCode !== null || server.signalCode !== null) return
  const gone = new Promise((resolve) => server.once('exit', resolve))
  server.kill('SIGKILL')
  await gone
}

export interface TrayFacts {
  readonly workshop: string
  readonly tray: string
  readonly part: string
  readonly size: number
  readonly steps: readonly {
    readonly id: string
    readonly op: string
    readonly on: readonly { readonly thing: string }[]
    readonly together: boolean
    readonly target?: { readonly dimension: string; readonly label: string; readonly valueMm: number }
  }[]
  readonly entries: readonly {
    readonly token: string
    readonly kind: string
    readonly stepId: string | null
    readonly workpiece: number | null
    readonly value: number | null
    readonly at: string
  }[]
}

/** What stands of a tray. */
export async function trayFacts(base: string, id: number): Promise<TrayFacts> {
  return (await (await fetch(`${base}/api/v1/trays/${id}/entries`)).json()) as TrayFacts
}

let sequence = 0
/** An entry for a tray as a device sends it. */
export function entryOf(facts: TrayFacts, workpiece: number | null, more: Readonly<Record<string, unknown>>) {
  sequence++
  const now = new Date().toISOString()
  return {
    workshop: facts.workshop,
    token: `e2e-${process.pid}-${sequence}-${Math.random().toString(36).slice(2)}`,
    device: 'e2e device',
    sequence,
    tray: facts.tray,
    item: workpiece === null ? null : `${facts.tray}/${facts.part}/${workpiece}`,
    at: now,
    sentAt: now,
    ...more,
  }
}

/** Sends an entry; gives the HTTP status, or 0 where nothing answered. */
export async function send(base: string, entry: object): Promise<number> {
  try {
    const body = JSON.stringify(entry)
    return (await fetch(`${base}/api/v1/entries`, { method: 'POST', headers: { 'content-type': 'application/json' }, body })).status
  } catch {
    return 0
  }
}

/** The pieces that a step is done by: each by itself, or all together as none. */
export const piecesAt = ({ size }: TrayFacts, together: boolean): (number | null)[] =>
  together ? [null] : Array.from({ length: size }, (_, i) => i + 1)

/** What a device at the bench did while it was away from the program: steps of a tray from one up to another, for each of its pieces. */
export async function work(base: string, facts: TrayFacts, from: number, to: number): Promise<number[]> {
  const answers: number[] = []
  for (const { id, together } of facts.steps.slice(from, to))
    for (const n of piecesAt(facts, together)) answers.push(await send(base, entryOf(facts, n, { kind: 'done', step: id })))
  return answers
}

/** Starts a tray of a piece from its route, does what comes before a step, and opens the bench there; gives the tray. */
export async function trayAt(page: Page, base: string, piece: number, op: string): Promise<number> {
  await page.goto(`${base}/pieces/${piece}/route`)
  await page.getByRole('button', { name: /^Start a tray of \d+ at the bench$/ }).click()
  await page.waitForURL(/\/bench\/\d+$/)
  const id = Number(/\d+$/.exec(page.url())?.[0])
  const facts = await trayFacts(base, id)
  await work(
    base,
    facts,
    0,
    facts.steps.findIndex((step) => step.op === op),
  )
  await page.goto(`${base}/bench/${id}`)
  return id
}
