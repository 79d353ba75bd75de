'use client'
import { findForm, rangeText } from '@/core/forms'
import type { FieldMeta } from '@/core/units'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import type { Typed } from './use-design'

interface FormFieldsProps {
  readonly formId: string
  readonly values: Typed
  readonly understood: Readonly<Record<string, { readonly how: string }>>
  readonly issues: Readonly<Record<string, string>>
  readonly onChange: (field: string, value: string) => void
  readonly onLeave: () => void
}

/** Fields with a place of their own on the station. */
const ELSEWHERE = new Set(['schools', 'allowanceMm', 'qty'])

function unitOf(meta: FieldMeta): string {
  return meta.unit === 'mm' ? 'mm' : ''
}

/** The fields of a form in the order a smith measures, straight from its schema. */
export function FormFields({ formId, values, understood, issues, onChange, onLeave }: FormFieldsProps) {
  const form = findForm(formId)
  if (!form) return null
  return form.fields
    .filter((field) => !ELSEWHERE.has(field.name))
    .map((field) => {
      const { name } = field
      const value = values[name] ?? ''
      if (field.kind === 'choice')
        return (
          <ChoiceField
            key={name}
            label={field.label}
            value={value}
            options={field.titles}
            error={issues[name]}
            onChange={(key) => onChange(name, key)}
          />
        )
      const { meta } = field
      const said = /^[\d.,]+$/.test(value) ? undefined : understood[name]?.how
      const help = meta.help ? `${meta.help} ${rangeText(meta)}` : undefined
      return (
        <SizeField
          key={name}
          name={name}
          label={meta.label}
          value={value}
          unit={unitOf(meta)}
          error={issues[name]}
          understood={value === '' ? help : said}
          onChange={(text) => onChange(name, text)}
          onBlur={onLeave}
        />
      )
    })
}
