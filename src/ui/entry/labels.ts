'use client'
import type { RefCallback } from 'react'
import { createContext, useContext, useEffect } from 'react'
import { useController } from 'react-hook-form'

/** The words of each field of a form, for its summary. */
export const LabelsContext = createContext<Map<string, string>>(new Map())

/** A field of the form about it: its value, what is wrong with it, and its words made known to the summary. */
export function useEntry(name: string, label: string) {
  const labels = useContext(LabelsContext)
  labels.set(name, label)
  useEffect(() => () => void labels.delete(name), [labels, name])
  const { field, fieldState } = useController({ name })
  return {
    value: (field.value ?? '') as string,
    onChange: field.onChange as (value: unknown) => void,
    onBlur: field.onBlur,
    inputRef: field.ref as RefCallback<HTMLElement>,
    error: fieldState.error?.message,
  }
}
