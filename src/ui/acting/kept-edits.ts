import type { ActionName } from '@/server/actions/names'

/** A write that was not acknowledged yet, as it was asked for. */
export interface KeptEdit {
  readonly key: string
  readonly name: ActionName
  readonly workshop: string
  readonly revision: number | null
  readonly input: unknown
  readonly at: string
}

const STORE = 'fold-anvil-kept-edits'

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
