'use client'
import Autocomplete from '@mui/material/Autocomplete'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { memo, useState } from 'react'
import { ADDABLE_OPERATIONS } from '@/core/piece'
import { ChoiceField } from '../shared/choice-field'

interface AddStepProps {
  /** What a step can be done to, by id and name; a piece of one part has only that. */
  readonly things: Readonly<Record<string, string>>
  /** The step it would stand before; none where it would come last. */
  readonly before: string | undefined
  readonly onAdd: (op: string, on: string, where: 'last' | 'before', params: Readonly<Record<string, unknown>>) => void
}

const KIND_WORDS: Readonly<Record<string, string>> = { cold: 'At the bench', heat: 'At the torch', bath: 'In a bath', finish: 'Finishing' }
const SORTED = [...ADDABLE_OPERATIONS].sort(
  (a, b) => (KIND_WORDS[a.kind] ?? '').localeCompare(KIND_WORDS[b.kind] ?? '') || a.title.localeCompare(b.title),
)

const isSame = (a: AddStepProps, b: AddStepProps) =>
  a.before === b.before && a.onAdd === b.onAdd && JSON.stringify(a.things) === JSON.stringify(b.things)

/** Any operation put on the route: what, on what, and where. Drawn anew only where one of these has changed. */
export const AddStep = memo(function AddStep({ things, before, onAdd }: AddStepProps) {
  const [chosen, setChosen] = useState<(typeof SORTED)[number] | null>(null)
  const [on, setOn] = useState(Object.keys(things)[0] ?? '')
  const [words, setWords] = useState('')
  const isOwn = chosen?.id === 'own-step'
  const add = (where: 'last' | 'before') => {
    if (!chosen) return
    onAdd(chosen.id, on in things ? on : (Object.keys(things)[0] ?? ''), where, isOwn && words.trim() ? { what: words.trim() } : {})
    setChosen(null)
    setWords('')
  }
  return (
    <Box component="section" aria-label="Add a step" sx={{ py: 1.5 }}>
      <Autocomplete
        options={SORTED}
        groupBy={({ kind }) => KIND_WORDS[kind] ?? kind}
        getOptionLabel={({ title }) => title}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        value={chosen}
        onChange={(_, value) => setChosen(value)}
        renderInput={(params) => <TextField {...params} label="Add a step" size="small" />}
      />
      {isOwn ? (
        <TextField
          label="In your own words"
          size="small"
          fullWidth
          sx={{ mt: 1 }}
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
      ) : null}
      {chosen ? (
        <>
          {Object.keys(things).length > 1 ? <ChoiceField label="Done to" value={on} options={things} onChange={setOn} /> : null}
          <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
            <Button variant="contained" onClick={() => add('last')}>
              Add it at the end
            </Button>
            {before ? <Button onClick={() => add('before')}>Before “{before}”</Button> : null}
          </Box>
        </>
      ) : (
        <Typography variant="body2">All {SORTED.length} operations, and a step in your own words.</Typography>
      )}
    </Box>
  )
}, isSame)
