'use client'
import { ChoiceField } from './choice-field'

interface PartPickerProps {
  readonly parts: readonly { readonly part: string; readonly name: string }[]
  readonly part: string
  readonly onShow: (part: string) => void
}

/** Which part of a piece is looked at; nothing where it has only one. */
export function PartPicker({ parts, part, onShow }: PartPickerProps) {
  if (parts.length < 2) return null
  return (
    <ChoiceField
      label="Part"
      value={part}
      options={Object.fromEntries(parts.map(({ part: id, name }) => [id, name]))}
      onChange={onShow}
      width={190}
    />
  )
}
