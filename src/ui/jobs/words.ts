import type { JobStatus } from '@/server/db/repositories'

export const STATUS_WORDS: Readonly<Record<JobStatus, string>> = {
  asked: 'asked for',
  promised: 'promised',
  'in-work': 'in work',
  done: 'done',
  'handed-over': 'handed over',
}

/** "due 3 March 2027", or that nothing was promised. */
export function dueWords(dueOn: string | null): string {
  return dueOn === null
    ? 'no date'
    : `due ${new Date(`${dueOn}T12:00:00Z`).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' })}`
}
