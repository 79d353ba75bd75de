'use client'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import dynamic from 'next/dynamic'
import { useFormContext } from 'react-hook-form'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import { TextRow } from '../shared/text-row'
import { useEntry } from './labels'

interface Named {
  readonly name: string
  readonly label: string
}

/** A size as a smith writes it, with what was understood of it. */
export function EntrySize({
  name,
  label,
  unit,
  wide,
  readAs,
  help,
}: Named & {
  readonly unit?: string
  readonly wide?: boolean
  readonly readAs?: (typed: string) => string | undefined
  readonly help?: string
}) {
  const { value, ...entry } = useEntry(name, label)
  const said = readAs?.(value)
  return (
    <SizeField
      label={label}
      value={value}
      understood={said ?? (value === '' ? help : undefined)}
      {...(unit ? { unit } : {})}
      {...(wide ? { wide } : {})}
      {...entry}
    />
  )
}

/** A line of plain words. */
export function EntryText({ name, label, autoFocus, help }: Named & { readonly autoFocus?: boolean; readonly help?: string }) {
  const entry = useEntry(name, label)
  return <TextRow label={label} {...(autoFocus ? { autoFocus } : {})} {...(help ? { help } : {})} {...entry} />
}

/** One of a few. */
export function EntryChoice({
  name,
  label,
  options,
  width = 170,
}: Named & { readonly options: Readonly<Record<string, string>>; readonly width?: number }) {
  const { onChange, ...entry } = useEntry(name, label)
  const { clearErrors } = useFormContext()
  // what was said of the last choice goes with it, so that nothing moves under a hand on its way to the button
  const choose = (choice: string) => {
    clearErrors(name)
    onChange(choice)
  }
  return <ChoiceField label={label} options={options} width={width} onChange={choose} {...entry} />
}

const DayField = dynamic(() => import('./day-field').then((module) => module.DayField), {
  ssr: false,
  loading: () => <TextRow label="" value="" onChange={() => undefined} />,
})

/** A day, typed or picked from a month. */
export function EntryDay({ name, label }: Named) {
  const { value, onChange, error, inputRef } = useEntry(name, label)
  return <DayField label={label} day={value === '' ? null : value} onChange={onChange} error={error} inputRef={inputRef} />
}

/** Yes or no. */
export function EntryCheck({ name, label }: Named) {
  const { value, onChange, inputRef } = useEntry(name, label)
  return (
    <FormControlLabel
      label={label}
      control={
        <Checkbox
          checked={value as unknown as boolean}
          onChange={(_, checked) => onChange(checked)}
          slotProps={{ input: { ref: inputRef } }}
        />
      }
    />
  )
}
