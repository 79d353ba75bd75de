import type { ArchiveKind, Hanging } from '../db/repositories'

export const KIND_WORDS: Readonly<Record<ArchiveKind, string>> = { job: 'job', piece: 'piece', stock: 'metal', tool: 'tool' }

const HANGING_WORDS: Readonly<Record<string, readonly [one: string, many: string]>> = {
  pieces: ['piece', 'pieces'],
  openTrays: ['tray at the bench', 'trays at the bench'],
  layouts: ['layout that is not cut yet', 'layouts that are not cut yet'],
  remnants: ['remnant', 'remnants'],
}

/** What hangs on a thing, as a smith reads it: "2 pieces", "1 tray at the bench". Work that is done and in the book is not in the way. */
export function hangingWords(hanging: Hanging): string[] {
  return Object.entries(HANGING_WORDS).flatMap(([what, [one, many]]) => {
    const count = hanging[what] ?? 0
    return count === 0 ? [] : [`${count} ${count === 1 ? one : many}`]
  })
}

/** Why a thing cannot be deleted for good; undefined where it can. The record of work is never deleted. */
export function whyKept(kind: ArchiveKind, hanging: Hanging): string | undefined {
  if ((hanging.trays ?? 0) > 0) return 'It was worked on at the bench, and the record of work stays. It can stay in the archive.'
  if ((hanging.cuts ?? 0) > 0) return 'Blanks were cut, and what happened to the metal stays. It can stay in the archive.'
  if (kind === 'stock' && (hanging.layouts ?? 0) + (hanging.remnants ?? 0) > 0)
    return 'A layout or a remnant still names it. It can stay in the archive.'
  return undefined
}
