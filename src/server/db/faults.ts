/** Why the store could not do what was asked, in words a person can act on. */
export interface StoreFault {
  readonly code: 'disk-full' | 'read-only' | 'busy' | 'disk-fault' | 'damaged'
  readonly message: string
}

const WORDS: readonly (readonly [pattern: RegExp, fault: StoreFault])[] = [
  [/^(SQLITE_FULL|ENOSPC|EDQUOT)/, { code: 'disk-full', message: 'The disk is full. Nothing was written; make room, then do it again.' }],
  [
    /^(SQLITE_READONLY|SQLITE_PERM|EACCES|EPERM|EROFS)/,
    {
      code: 'read-only',
      message: 'The data folder cannot be written. Nothing was written; check its permissions, or choose another folder.',
    },
  ],
  [/^(SQLITE_BUSY|SQLITE_LOCKED)/, { code: 'busy', message: 'The workshop is busy with another write. Do it again in a moment.' }],
  [/^(SQLITE_CORRUPT|SQLITE_NOTADB)/, { code: 'damaged', message: 'The workshop’s file is damaged. Open Settings and put a backup back.' }],
  [
    /^(SQLITE_IOERR|SQLITE_CANTOPEN|EIO)/,
    { code: 'disk-fault', message: 'The disk refused the write. Nothing was written; check whether the disk is full or disconnected.' },
  ],
]

function codeOf(error: unknown): string {
  return error instanceof Error && 'code' in error ? String(error.code) : ''
}

/** What the disk said, where the fault is the disk’s; undefined where it is the program’s. */
export function storeFaultOf(error: unknown): StoreFault | undefined {
  const code = codeOf(error)
  return WORDS.find(([pattern]) => pattern.test(code))?.[1]
}
