'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { findOperation, type ParamField, paramFields } from '@/core/operations'
import type { DesignStep, PartSize } from '@/core/piece'
import type { ToolNote } from '@/core/route'
import type { PartedStep } from '@/core/rules'
import { formatPlain } from '@/core/units'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import { PALETTE } from '../theme/palette'
import type { MetalOfStep } from './metal-of-step'
import { MetalState } from './metal-state'

/** What if this anneal were left out: asked and answered beside it, with the ribbon drawn over. */
function Skip({ says, onLook }: { readonly says: string | undefined; readonly onLook: (isLookedAt: boolean) => void }) {
  return (
    <Box sx={{ mb: 1 }}>
      <Button aria-pressed={says !== undefined} onClick={() => onLook(says === undefined)}>
        What if I skip it?
      </Button>
      {says === undefined ? null : (
        <Typography role="status" variant="body2" sx={{ mt: 0.5, borderLeft: `3px dashed ${PALETTE.fire}`, pl: 1 }}>
          {says} Dashed on the ribbon.
        </Typography>
      )}
    </Box>
  )
}

/** What was typed into a parameter as the step keeps it: a plain number as a number, a size as it was written. */
function readTyped({ kind }: ParamField, text: string): unknown {
  if (text.trim() === '') return undefined
  if (kind === 'yes') return text === 'yes'
  const number = Number(text.replace(',', '.'))
  return kind !== 'text' && kind !== 'choice' && Number.isFinite(number) ? number : text
}

function textOf({ kind }: ParamField, value: unknown): string {
  if (kind === 'yes') return value === true ? 'yes' : ''
  return value === undefined || value === null ? '' : typeof value === 'number' ? String(Number(value.toFixed(3))) : String(value)
}

interface ParamProps {
  readonly step: DesignStep
  readonly field: ParamField
  readonly onChange: (params: Readonly<Record<string, unknown>>) => void
}

/** One parameter, edited in place; what does not read is said beside it and not kept. */
function Param({ step, field, onChange }: ParamProps) {
  const stored = textOf(field, step.params[field.name])
  const [text, setText] = useState(stored)
  const [shown, setShown] = useState(stored)
  if (shown !== stored) {
    // the size has changed, or a change was taken back
    setShown(stored)
    setText(stored)
  }
  const [problem, setProblem] = useState<string>()
  function take(typed: string) {
    if (typed === stored) return
    const read = findOperation(step.op)?.read({ ...step.params, [field.name]: readTyped(field, typed) })
    setProblem(read && !read.ok ? read.message : undefined)
    if (read?.ok) onChange({ [field.name]: readTyped(field, typed) })
  }
  if (field.kind === 'choice' || field.kind === 'yes') {
    const options = field.kind === 'yes' ? ['yes'] : field.options
    return (
      <ChoiceField
        label={field.label}
        value={text}
        options={{
          '': field.kind === 'yes' ? 'no' : 'not said',
          ...Object.fromEntries(options.map((option) => [option, option.replaceAll('-', ' ')])),
        }}
        error={problem}
        onChange={(typed) => {
          setText(typed)
          take(typed)
        }}
      />
    )
  }
  return (
    <SizeField
      label={field.label}
      value={text}
      unit={field.unit}
      error={problem}
      wide={field.kind === 'text'}
      onChange={setText}
      onBlur={() => take(text)}
    />
  )
}

export interface StepPanelProps {
  readonly step: DesignStep
  readonly title: string
  readonly say: string
  readonly watch: string | undefined
  /** What it is done to, by name; empty where the piece has only one thing. */
  readonly on: string
  /** The metal of the part that is worst there; undefined where nothing is known of it. */
  readonly metal: MetalOfStep | undefined
  readonly metalPart: string
  /** What is known of the part's sizes after it. */
  readonly sizes: readonly PartSize[]
  readonly tools: readonly ToolNote[]
  /** The steps it includes, under the methods of the workshop. */
  readonly includes: readonly PartedStep[]
  readonly isPinned: boolean
  readonly onParams: (params: Readonly<Record<string, unknown>>) => void
  readonly onPin: (isPinned: boolean) => void
  readonly onUnfold: () => void
  readonly onDouble: () => void
  /** What it could be done to, by id and name; none where there is only one thing. */
  readonly things: Readonly<Record<string, string>>
  readonly onThing: (thing: string) => void
  /** Of an anneal: what leaving it out would come to; undefined while it is not looked at. */
  readonly skipped: string | undefined
  readonly onSkip: ((isLookedAt: boolean) => void) | undefined
}

/** The chosen step: what is done, to what, with what, what it does to the metal, and everything of it that can be changed. */
export function StepPanel({
  step,
  title,
  say,
  watch,
  on,
  metal,
  metalPart,
  sizes,
  tools,
  includes,
  isPinned,
  onParams,
  onPin,
  onUnfold,
  onDouble,
  things,
  onThing,
  skipped,
  onSkip,
}: StepPanelProps) {
  const operation = findOperation(step.op)
  return (
    <Box
      component="section"
      aria-label="The chosen step"
      sx={{
        flex: 1,
        overflowY: 'auto',
        borderTop: `1px solid ${PALETTE.hairline}`,
        px: 2.5,
        py: 1.5,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.1fr) minmax(0, 1fr)' },
        columnGap: 4,
        alignContent: 'start',
      }}
    >
      <Box>
        <Typography variant="h2">{title}</Typography>
        {on ? <Typography sx={{ color: PALETTE.muted }}>{on}</Typography> : null}
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          {say}
        </Typography>
        {watch ? (
          <Typography variant="body2" sx={{ color: PALETTE.muted }}>
            {watch}
          </Typography>
        ) : null}
        {operation?.caution ? (
          <Typography variant="body2" sx={{ borderLeft: `3px solid ${PALETTE.ochre}`, pl: 1, mt: 0.75 }}>
            {operation.caution}
          </Typography>
        ) : null}
        {tools.map(({ level, message }) => (
          <Typography key={message} variant="body2" sx={{ color: level === 'note' ? PALETTE.ochre : PALETTE.verdigris, mt: 0.5 }}>
            {message}
          </Typography>
        ))}
        {includes.length > 0 ? (
          <Typography variant="body2" sx={{ mt: 0.5, color: PALETTE.muted }}>
            With it: {[...new Set(includes.map(({ op }) => (findOperation(op)?.title ?? op).toLowerCase()))].join(', ')}.
          </Typography>
        ) : null}
      </Box>
      <Box>
        {metal ? <MetalState metal={metal} part={metalPart} /> : null}
        {onSkip ? <Skip says={skipped} onLook={onSkip} /> : null}
        {sizes.length > 0 ? (
          <Typography sx={{ fontSize: 13.5, mb: 1 }}>
            After it:{' '}
            {sizes.map(({ dimension, label, value, plusMinus, unit }, i) => (
              <span key={dimension}>
                {i > 0 ? ', ' : ''}
                {label.toLowerCase()}{' '}
                <span className="fig">
                  {formatPlain(value, 2)} ± {formatPlain(plusMinus, 2)}
                </span>{' '}
                {unit}
              </span>
            ))}
          </Typography>
        ) : null}
        {Object.keys(things).length > 1 ? (
          <ChoiceField
            label="Done to"
            value={step.on.length === 1 ? (step.on[0]?.thing ?? '') : ''}
            options={step.on.length === 1 ? things : { '': on, ...things }}
            onChange={onThing}
          />
        ) : null}
        {paramFields(step.op).map((field) => (
          <Param key={`${step.id}-${field.name}`} step={step} field={field} onChange={onParams} />
        ))}
        <Box sx={{ display: 'flex', gap: 1, mt: 1, flexWrap: 'wrap' }}>
          {includes.length > 0 ? <Button onClick={onUnfold}>Part it into its steps</Button> : null}
          <Button onClick={onDouble}>Do it twice</Button>
          <Button aria-pressed={isPinned} onClick={() => onPin(!isPinned)}>
            {isPinned ? 'Let it move' : 'Hold its place'}
          </Button>
        </Box>
      </Box>
    </Box>
  )
}
