'use client'
import { useState } from 'react'
import { describePiece } from '@/server/actions/pieces'
import { SizeField } from '../shared/size-field'

interface HowManyProps {
  readonly piece: { readonly id: number; readonly name: string; readonly quantity: number; readonly spares: number }
}

/** How many are wanted, and how many more are cut against losses. */
export function HowMany({ piece }: HowManyProps) {
  const [quantity, setQuantity] = useState(String(piece.quantity))
  const [spares, setSpares] = useState(String(piece.spares))
  const [problem, setProblem] = useState<string>()
  async function keep() {
    if (quantity === String(piece.quantity) && spares === String(piece.spares)) return
    const kept = await describePiece(piece.id, { name: piece.name, quantity: Number(quantity), spares: Number(spares) })
    setProblem(kept.ok ? undefined : kept.message)
  }
  return (
    <>
      <SizeField label="How many" value={quantity} onChange={setQuantity} onBlur={() => void keep()} error={problem} />
      <SizeField label="Spares" value={spares} onChange={setSpares} onBlur={() => void keep()} />
    </>
  )
}
