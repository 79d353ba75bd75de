'use client'
import Box from '@mui/material/Box'
import { PALETTE } from '../theme/palette'
import { BigButton } from './big-button'
import type { QueuedEntry } from './queue/store'

interface WaitingEntriesProps {
  readonly waiting: number
  readonly reached: boolean
  readonly refused: readonly QueuedEntry[]
  readonly onDrop: (order: number) => void
}

const NAMES: Readonly<Record<QueuedEntry['entry']['kind'], string>> = {
  done: 'Done',
  loss: 'Loss',
  note: 'Note',
  reading: 'Reading',
  reversal: 'Taking back',
  started: 'Taking up',
  test: 'Test',
}

/** Whether this page opens again while the program is not responding: where a worker has the bench on the device. */
const canReopen = () => Boolean(navigator.serviceWorker?.controller)

/** What of this device has not reached the program, and what the program would not take: nothing is dropped unseen. */
export function WaitingEntries({ waiting, reached, refused, onDrop }: WaitingEntriesProps) {
  if (refused.length === 0 && (reached || waiting === 0)) return null
  return (
    <Box role="status" aria-label="Waiting entries" sx={{ px: 3.5, pt: 1, fontSize: 17, color: PALETTE.fireBench }}>
      {waiting > 0 && !reached ? (
        <Box>
          The program is not responding. {waiting} {waiting === 1 ? 'entry is' : 'entries are'} kept on this device and sent when it does
          {canReopen() ? '.' : '; keep this page open.'}
        </Box>
      ) : null}
      {refused.map((item) => (
        <Box key={item.order} sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
          <span>
            {NAMES[item.entry.kind]} of {item.entry.at.slice(11, 16)}
            {item.entry.value === undefined ? '' : `, ${item.entry.value}`} was not accepted: {item.refused}
          </span>
          <BigButton plain onPress={() => onDrop(item.order)}>
            Discard it
          </BigButton>
        </Box>
      ))}
    </Box>
  )
}
