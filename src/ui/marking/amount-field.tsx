'use client'
import { useState } from 'react'
import { parseSize } from '@/core/sizes'
import { formatPlain } from '@/core/units'
import { SizeField } from '../shared/size-field'

interface AmountFieldProps {
  readonly label: string
  readonly value: number
  readonly min: number
  readonly max: number
  /** Millimetres take what a smith would write; degrees and counts are plain numbers. */
  readonly unit?: 'mm' | '°' | ''
  readonly onChange: (value: number) => void
}

type Read = { readonly value: number } | { readonly fault: string }

/** What was typed as a number of its unit, or why it is none. */
function read(text: string, { min, max, unit = 'mm' }: Pick<AmountFieldProps, 'min' | 'max' | 'unit'>): Read {
  const range = `${formatPlain(min)} to ${formatPlain(max)} ${unit}`.trim()
  const plain = /^\s*([-−]?)\s*(\d*[.,]?\d+)\s*°?\s*$/.exec(text)
  const reading = plain || unit !== 'mm' ? undefined : parseSize(text, { expects: 'length', gaugeSystem: 'B&S' })
  if (!plain && !reading) return { fault: `A number is needed, ${range}` }
  if (reading && !('mm' in reading)) return { fault: reading.kind === 'unknown' ? `${reading.message}; ${range}` : reading.question }
  const value = reading ? reading.mm : (plain?.[1] ? -1 : 1) * Number((plain?.[2] ?? '').replace(',', '.'))
  if (unit === '' && !Number.isInteger(value)) return { fault: `A whole number is needed, ${range}` }
  return value < min || value > max ? { fault: `${formatPlain(value, 3)} was typed; it can be ${range}` } : { value }
}

/** A number under the hands: it moves the drawing as soon as it can be read, and stays as typed. */
export function AmountField({ label, value, min, max, unit = 'mm', onChange }: AmountFieldProps) {
  const [typed, setTyped] = useState<{ readonly text: string; readonly value: number }>()
  // what the drawing has moved since is shown instead of what was typed
  const isOwn = typed !== undefined && Math.abs(typed.value - value) < 1e-9
  const text = isOwn ? typed.text : formatPlain(value, 3)
  const found: Read = isOwn ? read(text, { min, max, unit }) : { value }
  const type = (next: string) => {
    const now = read(next, { min, max, unit })
    const understood = 'value' in now ? now.value : value
    setTyped({ text: next, value: understood })
    if (understood !== value) onChange(understood)
  }
  const isPlain = /^[\s\d.,−-]*$/.test(text)
  return (
    <SizeField
      label={label}
      value={text}
      {...(unit ? { unit } : {})}
      onChange={type}
      {...('fault' in found ? { error: found.fault } : isPlain ? {} : { understood: `${formatPlain(found.value, 3)} ${unit}` })}
    />
  )
}
