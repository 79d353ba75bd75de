'use client'
import Box from '@mui/material/Box'
import { useRouter } from 'next/navigation'
import { useId, useState } from 'react'
import { swatchEntry } from '@/core/entries'
import type { AlloyId } from '@/core/metals'
import type { PatinaId } from '@/core/surface'
import { useAct } from '../acting/act-provider'
import { EntryText } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { useEntry } from '../entry/labels'
import { FieldRow } from '../shared/field-row'
import { useNotice } from '../shared/notices'
import { PALETTE } from '../theme/palette'

interface Typed {
  readonly alloy: AlloyId
  readonly agent: PatinaId
  readonly recipe: string
  readonly colour: string
}

const FIRST_COLOUR = '#6b4a3a'

/** The colour that came out, as it is seen. */
function ColourRow() {
  const label = 'Colour that came out'
  const { value, onChange, error, inputRef } = useEntry('colour', label)
  const id = useId()
  return (
    <FieldRow id={id} label={label} error={error}>
      <Box
        component="input"
        type="color"
        id={id}
        ref={inputRef}
        value={value}
        onChange={(event: { readonly target: { readonly value: string } }) => onChange(event.target.value)}
        sx={{ width: 44, height: 32, p: 0, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', bgcolor: PALETTE.white }}
      />
    </FieldRow>
  )
}

/** Puts a colour that came out into the swatch book. */
export function NewSwatch({ alloy, agent }: { readonly alloy: AlloyId; readonly agent: PatinaId }) {
  const act = useAct()
  const say = useNotice()
  const router = useRouter()
  const [times, setTimes] = useState(0)
  const onDone = () => {
    setTimes(times + 1)
    say({ text: 'It is in the swatch book.' })
    router.refresh()
  }
  return (
    <Box sx={{ maxWidth: 480 }}>
      <EntryForm<Typed>
        key={`${alloy} ${agent} ${times}`}
        label="Put a colour in the swatch book"
        schema={swatchEntry}
        values={{ alloy, agent, recipe: '', colour: FIRST_COLOUR }}
        send={(typed) => act('keepSwatch', typed)}
        onDone={onDone}
        submit="Put it in"
      >
        <ColourRow />
        <EntryText name="recipe" label="How it was made" />
      </EntryForm>
    </Box>
  )
}
