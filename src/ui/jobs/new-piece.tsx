'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { pieceEntry } from '@/core/entries'
import type { KindView } from '@/server/services/kinds'
import { useAct } from '../acting/act-provider'
import { Thumb } from '../drawing/thumb'
import { EntryForm } from '../entry/entry-form'
import { OpenedDialog } from '../shared/opened-dialog'
import { KindPicker } from './kind-picker'
import { PieceWordsFields } from './piece-words-fields'

interface PieceTyped {
  readonly name: string
  readonly form: string
  readonly quantity: string
  readonly spares: string
}

interface NewPieceProps {
  readonly jobId: number
  readonly open: boolean
  readonly onClose: () => void
}

function Words({
  jobId,
  kind,
  onBack,
  onDone,
}: {
  readonly jobId: number
  readonly kind: KindView
  readonly onBack: () => void
  readonly onDone: () => void
}) {
  const act = useAct()
  const router = useRouter()
  async function send(typed: PieceTyped) {
    const added = await act('addPiece', { ...typed, jobId })
    if (added.ok) router.push(`/pieces/${added.id}`)
    return added
  }
  return (
    <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start' }}>
      <Box sx={{ textAlign: 'center', width: 130, flexShrink: 0 }}>
        {kind.thumb ? <Thumb {...kind.thumb} size={110} /> : null}
        <Typography sx={{ fontWeight: 600 }}>{kind.title}</Typography>
        <Button variant="text" onClick={onBack}>
          Another kind
        </Button>
      </Box>
      <Box sx={{ flex: 1 }}>
        <EntryForm<PieceTyped>
          label="New piece"
          schema={pieceEntry}
          values={{ name: kind.title, form: kind.id, quantity: '1', spares: '0' }}
          send={send}
          onDone={onDone}
          onCancel={onDone}
          submit="Add it and size it"
        >
          <PieceWordsFields />
        </EntryForm>
      </Box>
    </Box>
  )
}

/** Adds a piece to a job: what it is by its picture, then its name and how many. The sizes come next, on its own page. */
export function NewPiece({ jobId, open, onClose }: NewPieceProps) {
  const [kind, setKind] = useState<KindView | null>(null)
  const close = () => {
    setKind(null)
    onClose()
  }
  return (
    <OpenedDialog open={open} onClose={close} maxWidth="md" fullWidth>
      <DialogTitle>{kind ? `Add a ${kind.title.toLowerCase()}` : 'Add a piece'}</DialogTitle>
      <DialogContent>
        {kind ? <Words jobId={jobId} kind={kind} onBack={() => setKind(null)} onDone={close} /> : <KindPicker onPick={setKind} />}
      </DialogContent>
    </OpenedDialog>
  )
}
