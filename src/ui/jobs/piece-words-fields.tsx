'use client'
import { EntrySize, EntryText } from '../entry/entry-fields'

/** What a piece is called, how many are wanted and how many spare. */
export function PieceWordsFields() {
  return (
    <>
      <EntryText name="name" label="Name" autoFocus />
      <EntrySize name="quantity" label="How many" />
      <EntrySize name="spares" label="Spares" />
    </>
  )
}
