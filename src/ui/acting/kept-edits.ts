import type { ActionName } from '@/server/actions/names'
import { randomText } from '../shared/random-text'

/** A write that was not acknowledged yet, as it was asked for. */
export interface KeptEdit {
  readonly key: string
  readonly name: ActionName
  readonly workshop: string
  readonly revision: number | null
  /** An earlier write of this page that may have arrived, though it was never answered: where it stands, this one is made of it. */
  readonly after?: unknown
  readonly input: unknown
  /** When, ms, and a token of its own. */
  readonly at: string
  /** The tab that made it. */
  readonly tab: string
}

const STORE = 'fold-anvil-kept-edits'
const TAB = 'fold-anvil-tab'
/** So long an edit is left to the tab that made it, ms: it may be on its way there. */
const LEFT_TO_ITS_TAB_MS = 20_000

/** Name of this tab, the same on all its pages. */
export function thisTab(): string {
  try {
    const known = sessionStorage.getItem(TAB)
    if (known !== null) return known
    const made = randomText()
    sessionStorage.setItem(TAB, made)
    return made
  } catch {
    return 'nameless'
  }
}

/** Whether this tab may send an edit: its own at any time, another's once that tab has had its time. */
export function isToSendHere({ tab, at }: Pick<KeptEdit, 'tab' | 'at'>, nowMs: number): boolean {
  return tab === thisTab() || !(nowMs - Number.parseInt(at, 10) < LEFT_TO_ITS_TAB_MS)
}

const LEFT = 'fold-anvil-left-writing'

/** Notes that a page of this tab is left while a write of it has no answer yet. */
export function markLeftWriting(): void {
  try {
    sessionStorage.setItem(LEFT, 'yes')
  } catch {
    // Without a store the next page shows what it was given.
  }
}

/** Whether the page before this one was left while a write of it had no answer; said once. */
export function takeLeftWriting(): boolean {
  try {
    const isLeft = sessionStorage.getItem(LEFT) !== null
    sessionStorage.removeItem(LEFT)
    return isLeft
  } catch {
    return false
  }
}

/** Writes of this browser that the program has not acknowledged yet. */
export function keptEdits(): readonly KeptEdit[] {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(STORE) ?? '[]')
    return Array.isArray(kept) ? (kept as KeptEdit[]) : []
  } catch {
    return []
  }
}

function write(edits: readonly KeptEdit[]): void {
  try {
    localStorage.setItem(STORE, JSON.stringify(edits))
  } catch {
    // A store that is full or shut loses nothing that is still on the page.
  }
}

/** Keeps an edit in the browser until it is acknowledged; a later one of the same thing takes its place. */
export function keepEdit(edit: KeptEdit): void {
  write([...keptEdits().filter((other) => other.key !== edit.key), edit])
}

/** Lets an edit go that was acknowledged; one that has taken its place since stays. */
export function dropEdit({ key, at }: Pick<KeptEdit, 'key' | 'at'>): void {
  write(keptEdits().filter((edit) => edit.key !== key || edit.at !== at))
}
