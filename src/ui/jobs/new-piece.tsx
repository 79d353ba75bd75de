'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { FORMS } from '@/core/forms'
import { readPlainNumber } from '@/core/units'
import { useAct } from '../acting/act-provider'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import { TextRow } from '../shared/text-row'
import { PALETTE } from '../theme/palette'

const KINDS = Object.fromEntries(FORMS.map((form) => [form.id, form.title]))

/** Adds a piece to a job: what it is, its name, how many. The sizes come next, on its own page. */
export function NewPieceForm({ jobId, onDone }: { readonly jobId: number; readonly onDone: () => void }) {
  const router = useRouter()
  const [form, setForm] = useState<string>(FORMS[0].id)
  const [name, setName] = useState('')
  const [quantity, setQuantity] = useState('1')
  const [spares, setSpares] = useState('0')
  const [problem, setProblem] = useState('')
  const act = useAct()
  async function add() {
    const added = await act('addPiece', {
      jobId,
      name: name.trim() || KINDS[form] || 'Piece',
      form,
      quantity: readPlainNumber(quantity),
      spares: readPlainNumber(spares),
    })
    if (!added.ok) return setProblem(added.message)
    onDone()
    router.push(`/pieces/${added.id}`)
  }
  return (
    <Box
      component="form"
      sx={{ py: 1 }}
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        void add()
      }}
    >
      <ChoiceField label="What it is" value={form} options={KINDS} onChange={setForm} width={190} />
      <TextRow label="Name" autoFocus value={name} onChange={setName} />
      <SizeField label="How many" value={quantity} onChange={setQuantity} />
      <SizeField label="Spares" value={spares} onChange={setSpares} />
      {problem ? (
        <Typography role="alert" sx={{ color: PALETTE.fire, mt: 1 }}>
          {problem}
        </Typography>
      ) : null}
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5 }}>
        <Button type="submit" variant="contained">
          Add it and size it
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </Box>
    </Box>
  )
}
