import type { JobStatus } from '@/core/entries'

export const STATUS_WORDS: Readonly<Record<JobStatus, string>> = {
  asked: 'asked for',
  promised: 'promised',
  'in-work': 'in progress',
  done: 'done',
  'handed-over': 'handed over',
}
