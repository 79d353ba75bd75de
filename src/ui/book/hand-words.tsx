'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { formatPlain } from '@/core/units'
import type { ActionInput } from '@/server/actions/perform'
import type { RecordKind } from '@/server/db/repositories'
import type { HandNotes } from '@/server/services/own-record'
import { useTold } from '../acting/use-told'
import { useDates } from '../shared/dates'
import { useWorkshop } from '../shared/workshop-context'

/** So many readings far out are asked about at once. */
const ODD_SHOWN = 3

type Says = ActionInput<'answerRecord'>['says']

/** What else the readings say of this hand, and what they ask: each question with its answers. */
export function HandWords({ kind, notes }: { readonly kind: RecordKind; readonly notes: HandNotes }) {
  const { hindsight, drift, matters, odd, answer } = notes
  const { settingsRevision } = useWorkshop()
  const told = useTold()
  const { day } = useDates()
  const { form, alloy, method } = kind
  const say = (text: string, says: Says, before: Says) =>
    void told(
      'answerRecord',
      { form, alloy, method, says },
      { revision: settingsRevision, text, back: { form, alloy, method, says: before } },
    )
  const from = (since: string, text: string) => say(text, { of: 'hand', since }, { of: 'hand', since: answer.since })
  return (
    <Box sx={{ mt: 1, display: 'grid', gap: 1, fontSize: 13.5 }}>
      {hindsight && hindsight.ownMm < hindsight.textbookMm - 0.005 ? (
        <Typography sx={{ fontSize: 'inherit' }}>
          Had you used it from the first piece on, the error would have fallen from {formatPlain(hindsight.textbookMm, 2)} to{' '}
          {formatPlain(hindsight.ownMm, 2)} mm.
        </Typography>
      ) : null}
      {answer.since === '' ? null : (
        <Box>
          <Typography sx={{ fontSize: 'inherit' }}>What was measured before {day(answer.since)} is left out of it, as you said.</Typography>
          <Button variant="text" sx={{ px: 0, minWidth: 0 }} onClick={() => from('', 'All readings count again.')}>
            Count it again
          </Button>
        </Box>
      )}
      {drift === null ? null : (
        <Box>
          <Typography sx={{ fontSize: 'inherit' }}>
            The newest came out {formatPlain(Math.abs(drift.byMm), 2)} mm {drift.byMm > 0 ? 'larger' : 'smaller'} than those before. Has
            something changed, a tool, the metal? Until you say so, the older ones count as much.
          </Typography>
          <Button variant="text" sx={{ px: 0, minWidth: 0 }} onClick={() => from(drift.since, 'Only the newest count from now on.')}>
            Yes: go by the newest
          </Button>
        </Box>
      )}
      {matters.length > 0 ? (
        <Typography sx={{ fontSize: 'inherit' }}>It goes with the {matters.join(' and the ')} of the piece.</Typography>
      ) : null}
      {odd.slice(0, ODD_SHOWN).map(({ item, pieceName, workpiece, trayId, growthMm }) => (
        <Box key={item}>
          <Typography sx={{ fontSize: 'inherit' }}>
            Is {pieceName} {workpiece} of tray {trayId} right, at {formatPlain(growthMm, 2)} mm over? It counts less: measure it again, or
            take it back at its tray.
          </Typography>
          <Button
            variant="text"
            sx={{ px: 0, minWidth: 0 }}
            onClick={() => say('It counts whole.', { of: 'reading', item, isRight: true }, { of: 'reading', item, isRight: false })}
          >
            It is right
          </Button>
        </Box>
      ))}
    </Box>
  )
}
