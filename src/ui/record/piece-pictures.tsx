'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { PictureLine } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { ConfirmDialog } from '../shared/confirm-dialog'
import { useDates } from '../shared/dates'
import { DropFile } from '../shared/drop-file'
import { ProblemLine } from '../shared/problem-line'
import { PALETTE } from '../theme/palette'
import { keptPicture } from './shrink-picture'

interface PiecePicturesProps {
  readonly pieceId: number
  readonly pictures: readonly PictureLine[]
}

/** What the piece looked like: pictures kept here, made smaller, without the place they were taken at. */
export function PiecePictures({ pieceId, pictures }: PiecePicturesProps) {
  const act = useAct()
  const { day } = useDates()
  const [problem, setProblem] = useState('')
  const [isSending, setSending] = useState(false)
  const [leaving, setLeaving] = useState<PictureLine | null>(null)
  async function send(file: File) {
    setSending(true)
    setProblem('')
    const words = file.name.replace(/\.\w+$/, '').slice(0, 200)
    const kept = await act('addPicture', { pieceId, words, base64: await keptPicture(file) })
    if (!kept.ok) setProblem(kept.message)
    setSending(false)
  }
  async function drop(id: number) {
    const done = await act('dropPicture', { id }, { revision: leaving?.revision ?? 0 })
    setProblem(done.ok ? '' : done.message)
  }
  return (
    <Box component="section" aria-label="Pictures" sx={{ mt: 2 }}>
      <Typography variant="h2">Pictures</Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(130px, 1fr))', gap: 1.5, my: 1 }}>
        {pictures.map((picture) => (
          <Box key={picture.id} component="figure" sx={{ m: 0 }}>
            <a href={`/api/pictures/${picture.id}`} target="_blank" rel="noreferrer">
              <Box
                component="img"
                loading="lazy"
                src={`/api/pictures/${picture.id}`}
                alt={picture.words || 'The piece'}
                sx={{
                  width: '100%',
                  aspectRatio: '4 / 3',
                  objectFit: 'cover',
                  border: `1px solid ${PALETTE.hairline}`,
                  borderRadius: '4px',
                }}
              />
            </a>
            <Typography component="figcaption" variant="body2">
              {picture.words}, {day(picture.at)}
              <Button variant="text" onClick={() => setLeaving(picture)} aria-label={`Delete the picture ${picture.words}`}>
                Delete
              </Button>
            </Typography>
          </Box>
        ))}
      </Box>
      <DropFile label="Add a picture" fileLabel="Picture of the piece" onFile={(file) => void send(file)}>
        {(pick) => (
          <Typography variant="body2">
            {isSending ? 'Keeping it…' : 'Drop a picture here, or'}
            <Button variant="text" onClick={pick} disabled={isSending}>
              pick one
            </Button>
          </Typography>
        )}
      </DropFile>
      <ProblemLine says={problem} />
      <ConfirmDialog
        open={leaving !== null}
        title="Delete this picture?"
        says="It is gone for good; backups that were made before still have it."
        yes="Delete it"
        onAnswer={(yes) => {
          if (yes && leaving) void drop(leaving.id)
          setLeaving(null)
        }}
      />
    </Box>
  )
}
