'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Chip from '@mui/material/Chip'
import Typography from '@mui/material/Typography'
import * as z from 'zod'
import { ALLOY_TITLES, type AlloyId } from '@/core/metals'
import { BLADES, findBlade, kerfOfMm } from '@/core/tables'
import type { Job } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { EntryCheck, EntryChoice } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { useNotice } from '../shared/notices'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'

/** What the questions of a first start begin with. */
export interface FirstAnswers {
  readonly units: string
  readonly ringSystem: string
  readonly defaultAlloy: AlloyId
  /** The form of the ring that things can be tried out on. */
  readonly trialForm: string
}

const ANSWERS = z.object({ units: z.string(), ringSystem: z.string(), defaultAlloy: z.string(), blade: z.string(), trial: z.boolean() })
type Answers = z.output<typeof ANSWERS>

const USUAL_BLADE = '3/0'
const BLADE_TITLES = Object.fromEntries(BLADES.map((blade) => [blade.name, `${blade.name}, ${blade.thicknessMm} mm`]))

/** Four short questions for a workshop that is opened for the first time; all of it can be changed in Settings. */
export function FirstStart({ answers: { trialForm, ...answers } }: { readonly answers: FirstAnswers }) {
  const act = useAct()
  const { settingsRevision, bench } = useWorkshop()
  async function addTrial(): Promise<number | null> {
    const added = await act('addPiece', { name: 'A ring to try', form: trialForm, jobTitle: 'To try out' }, { quiet: true })
    return added.ok ? added.jobId : null
  }
  async function send({ blade, trial, ...answered }: Answers) {
    const found = findBlade(blade)
    const trialJobId = trial ? await addTrial() : null
    const settings = { ...answered, ...(found ? { kerfMm: kerfOfMm(found, bench.figures) } : {}), greeted: true, trialJobId }
    return act('saveSettings', settings, { revision: settingsRevision })
  }
  return (
    <Box
      component="section"
      aria-label="First start"
      sx={{ maxWidth: 520, my: 2, bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.verdigris}`, borderRadius: '4px', p: 2 }}
    >
      <Typography variant="h3" component="h2">
        Your own workshop
      </Typography>
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        Four questions, and the answers can be changed in Settings at any time.
      </Typography>
      <EntryForm<Answers>
        label="First start"
        schema={ANSWERS}
        values={{ ...answers, blade: USUAL_BLADE, trial: true }}
        send={send}
        onDone={() => undefined}
        submit="Start"
      >
        <EntryChoice name="units" label="Sizes shown in" options={{ both: 'mm and inches', mm: 'mm', inch: 'inches' }} />
        <EntryChoice name="ringSystem" label="Ring sizes" options={{ US: 'US', UK: 'UK', ISO: 'ISO' }} />
        <EntryChoice name="defaultAlloy" label="Metal on the shelf" options={ALLOY_TITLES} />
        <EntryChoice name="blade" label="Blade in the saw" options={BLADE_TITLES} />
        <EntryCheck name="trial" label="With a ring to try things out on" />
      </EntryForm>
    </Box>
  )
}

/** Says of a job that it is only there to be tried, and takes it away. */
export function TrialMark({ job }: { readonly job: Job }) {
  const act = useAct()
  const say = useNotice()
  async function takeAway() {
    const done = await act('archiveThing', { kind: 'job', id: job.id }, { revision: job.revision })
    const back = async (revision: number) => {
      const taken = await act('takeOutOfArchive', { kind: 'job', id: job.id }, { revision })
      if (!taken.ok) say({ text: taken.message })
    }
    say(done.ok ? { text: `${job.title} is removed.`, undo: () => back(done.revision) } : { text: done.message })
  }
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 0.5 }}>
      <Chip size="small" label="for practice" sx={{ bgcolor: PALETTE.ochreSoft, color: PALETTE.ink, borderRadius: '4px' }} />
      <Button variant="text" onClick={() => void takeAway()}>
        Remove it
      </Button>
    </Box>
  )
}
