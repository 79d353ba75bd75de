'use client'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { type Losses, sparesFor } from '@/core/logbook'
import { readPlainNumber } from '@/core/units'
import { useTold } from '../acting/use-told'
import { SizeField } from '../shared/size-field'

interface HowManyProps {
  readonly piece: { readonly id: number; readonly name: string; readonly quantity: number; readonly spares: number }
  /** What was lost of such pieces before. */
  readonly losses: Losses
  /** Revision of the piece as this page knows it; every write of the page moves it on. */
  readonly revision: { current: number }
}

/** How many are wanted, and how many more are cut against losses. */
export function HowMany({ piece, losses, revision }: HowManyProps) {
  const told = useTold()
  const [quantity, setQuantity] = useState(String(piece.quantity))
  const [spares, setSpares] = useState(String(piece.spares))
  const [stored, setStored] = useState(piece)
  if (stored.quantity !== piece.quantity || stored.spares !== piece.spares) {
    // what stands in the workshop has changed: taken back, or saved elsewhere
    setStored(piece)
    setQuantity(String(piece.quantity))
    setSpares(String(piece.spares))
  }
  const [problem, setProblem] = useState<string>()
  const advised = sparesFor(Math.max(1, Math.min(5000, readPlainNumber(quantity) || 1)), losses)
  async function keep(wanted = spares) {
    if (quantity === String(piece.quantity) && wanted === String(piece.spares)) return
    const words = { pieceId: piece.id, name: piece.name, quantity: readPlainNumber(quantity), spares: readPlainNumber(wanted) }
    const kept = await told('describePiece', words, {
      revision: revision.current,
      text: `${words.quantity} and ${words.spares} spare, to be cut.`,
      back: { ...words, quantity: piece.quantity, spares: piece.spares },
    })
    if (kept.ok) revision.current = kept.revision
    setProblem(kept.ok ? undefined : kept.message)
  }
  return (
    <>
      <SizeField label="How many" value={quantity} onChange={setQuantity} onBlur={() => void keep()} error={problem} />
      <SizeField label="Spares" value={spares} onChange={setSpares} onBlur={() => void keep()} />
      {advised ? (
        <Typography variant="body2" data-testid="spares-advice">
          {advised.why}
          {String(advised.spares) === spares ? null : (
            <Button
              variant="text"
              onClick={() => {
                setSpares(String(advised.spares))
                void keep(String(advised.spares))
              }}
            >
              Take {advised.spares}
            </Button>
          )}
        </Typography>
      ) : null}
    </>
  )
}
