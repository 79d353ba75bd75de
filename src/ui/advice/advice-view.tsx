'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { ADVISERS, type Advice, findAdviser } from '@/core/advice'
import type { FormField } from '@/core/forms'
import { describeMeaning, parseSize } from '@/core/sizes'
import { ScaleDrawing } from '../drawing/scale-drawing'
import { useSize } from '../drawing/use-size'
import { CheckList, WorkingSteps } from '../forms/answer-column'
import { FieldRows } from '../forms/form-fields'
import { useLast } from '../forms/use-last'
import { PageLink } from '../shared/page-link'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { AdviceAnswer, PickList } from './advice-card'
import { FacesPicture } from './faces-picture'
import { LadderPicture } from './ladder-picture'
import { StepsPicture } from './steps-picture'

const column = { px: 2.25, py: 1.5, overflowY: 'auto', minHeight: 0 } as const
const STEEL = { face: '#d7dcdc', edge: '#4f5c60' }

function Picture({ advice }: { readonly advice: Advice }) {
  const { ref, width, height } = useSize({ width: 560, height: 520 })
  const { picture } = advice
  return (
    <Box ref={ref} sx={{ height: '100%', minHeight: 320 }}>
      {picture.kind === 'drawing'
        ? picture.drawing.views.map((view) => (
            <ScaleDrawing key={view.id} view={view} colour={STEEL} width={width} height={Math.max(260, height - 40)} maxScale={160} />
          ))
        : null}
      {picture.kind === 'ladder' ? <LadderPicture ladder={picture.ladder} height={Math.max(300, height)} /> : null}
      {picture.kind === 'steps' ? <StepsPicture steps={picture.steps} /> : null}
      {picture.kind === 'faces' ? <FacesPicture faces={picture.faces} /> : null}
    </Box>
  )
}

function startOf(fields: readonly FormField[], example: Readonly<Record<string, unknown>>): Record<string, string> {
  return Object.fromEntries(fields.map((field) => [field.name, String(example[field.name] ?? field.preset ?? '')]))
}

/** What each typed size was understood as, under its field. */
function understoodOf(fields: readonly FormField[], values: Readonly<Record<string, string>>): Record<string, { readonly how: string }> {
  return Object.fromEntries(
    fields.flatMap((field) => {
      if (field.kind !== 'number' || !field.meta.size) return []
      const reading = parseSize(values[field.name] ?? '', { gaugeSystem: 'B&S', expects: field.meta.size })
      return 'mm' in reading ? [[field.name, { how: describeMeaning(reading) }]] : []
    }),
  )
}

/** One adviser: what it asks at the left, its picture in the middle, what it says and why at the right. */
export function AdviceView({ adviserId }: { readonly adviserId: string }) {
  const { bench, ringSystem } = useWorkshop()
  const adviser = findAdviser(adviserId)
  const [values, setValues] = useState(() => startOf(adviser?.fields ?? [], adviser?.example ?? {}))
  const run = useMemo(
    () => adviser?.run({ ...values, owned: bench.tools, figures: bench.figures }, { ringSystem }),
    [adviser, values, bench, ringSystem],
  )
  const advice = useLast(run?.ok ? run.advice : undefined)
  if (!adviser) return null
  const issues = run && !run.ok ? Object.fromEntries(run.issues.map((issue) => [issue.path, issue.message])) : {}
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '318px minmax(0, 1fr) 330px' },
        gridTemplateRows: { md: 'minmax(0, 1fr)' },
        overflow: { md: 'hidden' },
      }}
    >
      <Box component="section" aria-label="Question" sx={{ ...column, borderRight: { md: `1px solid ${PALETTE.hairline}` } }}>
        <Box component="nav" aria-label="Advisers" sx={{ mb: 1.5 }}>
          {ADVISERS.map((item) => (
            <Box
              component={PageLink}
              key={item.id}
              href={`/tables/advice/${item.id}`}
              aria-current={item.id === adviserId ? 'page' : undefined}
              sx={{
                display: 'block',
                py: 0.4,
                pl: 1,
                textDecoration: 'none',
                color: PALETTE.ink,
                fontWeight: item.id === adviserId ? 700 : 400,
                borderLeft: `3px solid ${item.id === adviserId ? PALETTE.verdigris : PALETTE.hairline}`,
              }}
            >
              {item.title}
            </Box>
          ))}
        </Box>
        <Typography variant="h2">{adviser.question}</Typography>
        <FieldRows
          choiceWidth={178}
          fields={adviser.fields}
          values={values}
          understood={understoodOf(adviser.fields, values)}
          issues={issues}
          onChange={(name, value) => setValues((before) => ({ ...before, [name]: value }))}
        />
        {issues.owned ? <Typography role="alert">{issues.owned}</Typography> : null}
      </Box>
      <Box
        component="section"
        aria-label="Picture"
        sx={{ minWidth: 0, minHeight: 0, overflow: 'hidden', p: 2, opacity: run?.ok ? 1 : 0.45 }}
      >
        {advice ? <Picture advice={advice} /> : null}
      </Box>
      <Box
        component="section"
        aria-label="Answer and working"
        tabIndex={0}
        sx={{ ...column, bgcolor: PALETTE.paper, borderLeft: { md: `1px solid ${PALETTE.hairline}` } }}
      >
        {advice && run?.ok ? (
          <>
            <AdviceAnswer advice={advice} />
            {advice.picks.length > 0 ? (
              <Typography variant="h2" sx={{ mt: 1.5 }}>
                Options
              </Typography>
            ) : null}
            <PickList picks={advice.picks} />
            <Typography variant="h2" sx={{ mt: 1.5 }}>
              Look out for
            </Typography>
            <CheckList checks={advice.checks} />
            {advice.working.length > 0 ? (
              <>
                <Typography variant="h2" sx={{ mt: 1.5 }}>
                  The working
                </Typography>
                <WorkingSteps steps={advice.working} />
              </>
            ) : null}
          </>
        ) : (
          <Typography role="alert">{Object.values(issues)[0] ?? 'Fill in the question.'}</Typography>
        )}
      </Box>
    </Box>
  )
}
