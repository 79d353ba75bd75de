'use client'
import { type FormField, findForm } from '@/core/forms'
import { rangeText } from '@/core/sizes'
import type { FieldMeta } from '@/core/units'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import { TextRow } from '../shared/text-row'
import { isRare, RarelySet } from './rarely-set'
import type { Typed } from './use-design'

interface FieldRowsProps {
  readonly fields: readonly FormField[]
  readonly values: Typed
  readonly understood: Readonly<Record<string, { readonly how: string }>>
  readonly issues: Readonly<Record<string, string>>
  readonly onChange: (field: string, value: string) => void
  readonly onLeave?: () => void
  readonly choiceWidth?: number
}

interface FormFieldsProps extends Omit<FieldRowsProps, 'fields'> {
  readonly formId: string
}

/** Fields with a place of their own on the station. */
const ELSEWHERE = new Set(['schools', 'allowanceMm', 'qty'])

function unitOf(meta: FieldMeta): string {
  return meta.unit === 'mm' || meta.unit === '°' ? meta.unit : ''
}

/** Fields as a schema describes them, each with what was understood or what is possible underneath. */
export function FieldRows({ fields, values, understood, issues, onChange, onLeave, choiceWidth }: FieldRowsProps) {
  return fields.map((field) => {
    const { name } = field
    const value = values[name] ?? ''
    if (field.kind === 'choice')
      return (
        <ChoiceField
          key={name}
          label={field.label}
          value={value}
          options={value === '' ? { '': 'choose', ...field.titles } : field.titles}
          error={issues[name]}
          onChange={(key) => onChange(name, key)}
          {...(choiceWidth ? { width: choiceWidth } : {})}
        />
      )
    if (field.kind === 'text')
      return (
        <TextRow
          key={name}
          label={field.label}
          value={value}
          error={issues[name]}
          {...(field.help ? { help: field.help } : {})}
          onChange={(text) => onChange(name, text)}
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
        {...(help ? { help } : {})}
        onChange={(text) => onChange(name, text)}
        {...(onLeave ? { onBlur: onLeave } : {})}
      />
    )
  })
}

/** The fields of a form in the order a smith measures, straight from its schema; those that do not matter as it stands are left out. */
export function FormFields({ formId, ...rows }: FormFieldsProps) {
  const form = findForm(formId)
  const matters = (name: string) => {
    const [choice = '', ...options] = form?.onlyWhen?.[name] ?? []
    return choice === '' || options.includes(rows.values[choice] ?? '')
  }
  if (!form) return null
  const fields = form.fields.filter(({ name }) => !ELSEWHERE.has(name) && matters(name))
  const rare = fields.filter(isRare)
  return (
    <>
      <FieldRows fields={fields.filter((field) => !isRare(field))} {...rows} />
      {rare.length > 0 ? (
        <RarelySet fields={rare} values={rows.values} isFaulty={rare.some((field) => rows.issues[field.name] !== undefined)}>
          <FieldRows fields={rare} {...rows} />
        </RarelySet>
      ) : null}
    </>
  )
}
