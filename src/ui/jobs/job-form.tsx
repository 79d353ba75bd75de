'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { Job } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { ChoiceField } from '../shared/choice-field'
import { TextRow } from '../shared/text-row'
import { PALETTE } from '../theme/palette'
import { STATUS_WORDS } from './words'

/** A new job, or the words of one there is. */
export function JobForm({ job, onDone }: { readonly job?: Job; readonly onDone: () => void }) {
  const [fields, setFields] = useState({
    title: job?.title ?? '',
    customer: job?.customer ?? '',
    dueOn: job?.dueOn ?? '',
    status: job?.status ?? 'asked',
    note: job?.note ?? '',
  })
  const [problem, setProblem] = useState('')
  const act = useAct()
  const router = useRouter()
  const set = (name: keyof typeof fields) => (value: string) => setFields({ ...fields, [name]: value })
  async function save() {
    const words = { ...fields, dueOn: fields.dueOn === '' ? null : fields.dueOn }
    const saved = await act('saveJob', job ? { ...words, id: job.id } : words, { revision: job?.revision ?? null })
    if (!saved.ok && saved.code === 'yielded') return onDone()
    if (!saved.ok) return setProblem(saved.message)
    onDone()
    if (!job) router.push(`/jobs?job=${saved.id}`)
  }
  return (
    <Box
      component="form"
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        void save()
      }}
    >
      <TextRow label="Job" autoFocus value={fields.title} onChange={set('title')} />
      <TextRow label="For" value={fields.customer} onChange={set('customer')} />
      <TextRow label="Due" type="date" value={fields.dueOn} onChange={set('dueOn')} />
      <ChoiceField label="Status" value={fields.status} options={STATUS_WORDS} onChange={set('status')} />
      <TextRow label="Note" value={fields.note} onChange={set('note')} />
      {problem ? (
        <Typography role="alert" sx={{ color: PALETTE.fire, mt: 1 }}>
          {problem}
        </Typography>
      ) : null}
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5 }}>
        <Button type="submit" variant="contained">
          Save the job
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </Box>
    </Box>
  )
}
