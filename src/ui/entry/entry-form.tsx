'use client'
import { zodResolver } from '@hookform/resolvers/zod'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import Typography from '@mui/material/Typography'
import { type ReactNode, useMemo, useState } from 'react'
import { type DefaultValues, type FieldValues, FormProvider, type Path, type Resolver, useForm } from 'react-hook-form'
import type { ZodType } from 'zod'
import { plainWords } from '@/core/units'
import type { ActionResult } from '@/server/actions/action'
import { PALETTE } from '../theme/palette'
import { LabelsContext } from './labels'

interface EntryFormProps<T extends FieldValues> {
  readonly label: string
  /** The core's own schema: the same reading here as where it is kept. */
  readonly schema: ZodType
  readonly values: DefaultValues<T>
  /** Sends what was typed. What is refused is said at its field; nothing typed is lost. */
  readonly send: (typed: T) => Promise<ActionResult>
  readonly onDone: () => void
  readonly onCancel?: () => void
  readonly submit: string
  readonly children: ReactNode
}

interface Fault {
  readonly path: string
  readonly label: string
}

function Summary({
  faults,
  said,
  onGo,
}: {
  readonly faults: readonly Fault[]
  readonly said: string
  readonly onGo: (path: string) => void
}) {
  if (faults.length === 0 && said === '') return null
  return (
    <Box role="alert" sx={{ borderLeft: `3px solid ${PALETTE.fire}`, pl: 1.25, py: 0.5, mb: 1, color: PALETTE.fire }}>
      {said ? <Typography sx={{ color: 'inherit' }}>{said}</Typography> : null}
      {faults.length > 0 ? (
        <Typography sx={{ color: 'inherit' }}>
          Not saved yet; look at{' '}
          {faults.map((fault, i) => (
            <span key={fault.path}>
              {i === 0 ? '' : ', '}
              <Link component="button" type="button" onClick={() => onGo(fault.path)} sx={{ color: 'inherit', verticalAlign: 'baseline' }}>
                {fault.label}
              </Link>
            </span>
          ))}
        </Typography>
      ) : null}
    </Box>
  )
}

/** The one form: read by the core's schema as it is sent, each complaint at its field and summed up at the top, the first with the focus. */
export function EntryForm<T extends FieldValues>(props: EntryFormProps<T>) {
  const { label, schema, values, send, onDone, onCancel, submit, children } = props
  const form = useForm<T, unknown, T>({
    defaultValues: values,
    resolver: zodResolver(schema as never, { error: plainWords } as never, { raw: true }) as unknown as Resolver<T, unknown, T>,
    reValidateMode: 'onBlur',
  })
  const labels = useMemo(() => new Map<string, string>(), [])
  const [said, setSaid] = useState('')
  const { errors, isSubmitting } = form.formState
  const faults = Object.keys(errors).map((path) => ({ path, label: labels.get(path) ?? path }))

  async function submitNow(typed: T) {
    setSaid('')
    const sent = await send(typed)
    if (sent.ok || sent.code === 'yielded') return onDone()
    const known = sent.issues.filter((issue) => labels.has(issue.path))
    for (const [i, { path, message }] of known.entries()) form.setError(path as Path<T>, { message }, { shouldFocus: i === 0 })
    if (known.length === 0) setSaid(sent.message)
  }

  return (
    <FormProvider {...form}>
      <LabelsContext.Provider value={labels}>
        <Box component="form" aria-label={label} noValidate onSubmit={(event: React.FormEvent) => void form.handleSubmit(submitNow)(event)}>
          <Summary faults={faults} said={said} onGo={(path) => form.setFocus(path as Path<T>)} />
          {children}
          <Box sx={{ display: 'flex', gap: 1, mt: 1.5, alignItems: 'center' }}>
            <Button type="submit" variant="contained" disabled={isSubmitting}>
              {submit}
            </Button>
            {onCancel ? <Button onClick={onCancel}>Cancel</Button> : null}
          </Box>
        </Box>
      </LabelsContext.Provider>
    </FormProvider>
  )
}
