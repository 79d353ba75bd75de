'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import OutlinedInput from '@mui/material/OutlinedInput'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import Link from 'next/link'
import { useRouter } from 'next/navigation'
import { useDeferredValue, useMemo, useRef, useState } from 'react'
import { type AskAnswer, answerAsk } from '@/core/ask'
import { rowSummary } from '@/core/lookup'
import { describeMeaning } from '@/core/sizes'
import { formatPlain, mmToInch } from '@/core/units'
import { useAct } from '../acting/act-provider'
import { useKeys } from '../keys/use-keys'
import { PALETTE } from '../theme/palette'
import { FoundThings } from './found-things'
import { useFoundThings } from './use-found-things'
import { useWorkshop } from './workshop-context'

type FormAnswer = Extract<AskAnswer, { kind: 'form' }>

function Understood({ answer }: { readonly answer: FormAnswer }) {
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}>
      {answer.recognised.map((recognised) => (
        <Typography component="li" variant="body2" key={recognised.text}>
          <code>{recognised.text}</code> {recognised.means}
        </Typography>
      ))}
      {answer.notUnderstood.map((text) => (
        <Typography component="li" variant="body2" key={text} sx={{ color: PALETTE.fire }}>
          not understood: <code>{text}</code>
        </Typography>
      ))}
    </Box>
  )
}

function FormAnswerView({ answer, onMake, busy }: { readonly answer: FormAnswer; readonly onMake: () => void; readonly busy: boolean }) {
  const run = answer.run
  const result = run?.ok ? run.result : undefined
  return (
    <>
      <Typography variant="h2">{answer.title}</Typography>
      {result ? (
        <Box sx={{ my: 0.5 }}>
          <Box className="fig" data-testid="ask-answer" sx={{ fontSize: 26, fontWeight: 700 }}>
            {answer.wantsWeight ? `${formatPlain(result.results.massG?.value ?? 0, 2)} g` : `${formatPlain(result.answer.markAt, 2)} mm`}
          </Box>
          <Typography variant="body2">
            {answer.wantsWeight
              ? result.blanks.length > 1 || result.blanks[0]?.each
                ? 'weight of its blanks'
                : 'weight of the blank'
              : `${result.answer.name}, ${formatPlain(result.answer.value, 2)} calculated, ${formatPlain(mmToInch(result.answer.markAt), 3)} in`}
          </Typography>
        </Box>
      ) : null}
      {answer.missing.length > 0 ? <Typography>Still needed: {answer.missing.join(', ').toLowerCase()}.</Typography> : null}
      {run && !run.ok
        ? run.issues.map((issue) => (
            <Typography key={issue.path} sx={{ color: PALETTE.fire }}>
              {issue.message}
            </Typography>
          ))
        : null}
      <Understood answer={answer} />
      {result ? (
        <Button variant="contained" disabled={busy} onClick={onMake} sx={{ mt: 1.5 }}>
          Make a piece of it
        </Button>
      ) : null}
    </>
  )
}

function AdviceAnswerView({ answer }: { readonly answer: Extract<AskAnswer, { kind: 'advice' }> }) {
  const { advice } = answer
  return (
    <>
      <Typography variant="h2">{answer.title}</Typography>
      {advice ? (
        <>
          <Typography data-testid="ask-answer" sx={{ fontSize: 17, fontWeight: 700, my: 0.5 }}>
            {advice.answer}
          </Typography>
          {advice.missing ? <Typography sx={{ color: PALETTE.ochre }}>{advice.missing}</Typography> : null}
          {advice.checks
            .filter((check) => check.level === 'stop' || check.level === 'warn')
            .map((check) => (
              <Typography key={check.code + check.message} variant="body2" sx={{ mt: 0.5 }}>
                <b>!</b> {check.message}
              </Typography>
            ))}
        </>
      ) : (
        answer.problems.map((problem) => (
          <Typography key={problem} sx={{ color: PALETTE.fire }}>
            {problem}
          </Typography>
        ))
      )}
      <Button component={Link} href={`/tables/advice/${answer.adviser}`} sx={{ mt: 1.5 }}>
        Open the adviser
      </Button>
    </>
  )
}

/** How many findings of the tables stand under an answer. */
const FINDINGS_SHOWN = 5

function Findings({ found }: { readonly found: Extract<AskAnswer, { kind: 'size' }>['found'] }) {
  if (found.findings.length === 0) return null
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1, borderTop: `1px solid ${PALETTE.hairline}` }}>
      {found.findings.slice(0, FINDINGS_SHOWN).map(({ table, row }) => (
        <Box
          component="li"
          key={`${table.id}/${row.id}`}
          sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, fontSize: 13, pt: 0.5 }}
        >
          <span>
            {row.name}
            {row.confidence === 'low' ? ' (a suggestion)' : ''}
          </span>
          <span className="fig">{rowSummary(table, row)}</span>
        </Box>
      ))}
      <Box component="li" sx={{ pt: 0.75 }}>
        <Link href={`/tables?q=${encodeURIComponent(found.text)}`} style={{ color: PALETTE.verdigris, fontWeight: 600, fontSize: 13 }}>
          See it between its neighbours
        </Link>
      </Box>
    </Box>
  )
}

function SizeAnswerView({ answer }: { readonly answer: Extract<AskAnswer, { kind: 'size' }> }) {
  const { reading } = answer
  return (
    <>
      <Typography data-testid="ask-answer" className={'mm' in reading ? 'fig' : ''} sx={{ fontSize: 'mm' in reading ? 18 : 14 }}>
        {answer.answer}
      </Typography>
      {reading.kind === 'ambiguous' ? (
        <Box component="ul" sx={{ pl: 2, mb: 0 }}>
          {reading.candidates.map((candidate) => (
            <Typography component="li" variant="body2" key={candidate.how}>
              {describeMeaning(candidate)}
            </Typography>
          ))}
        </Box>
      ) : null}
      <Findings found={answer.found} />
    </>
  )
}

/** One line to ask anything short: a piece with its sizes, a size, a conversion, a table, which tool. Answers as it is typed. */
export function AskLine() {
  const { ringSystem, defaultAlloy, bench } = useWorkshop()
  const router = useRouter()
  const [text, setText] = useState('')
  const [open, setOpen] = useState(false)
  const [busy, setBusy] = useState(false)
  const act = useAct()
  const box = useRef<HTMLDivElement>(null)
  const field = useRef<HTMLInputElement>(null)
  useKeys({ find: () => field.current?.focus() })
  const deferred = useDeferredValue(text)
  const things = useFoundThings(deferred)
  const answer = useMemo(() => answerAsk(deferred, { ringSystem, alloy: defaultAlloy, bench }), [deferred, ringSystem, defaultAlloy, bench])

  /** The words name something of the workshop, and are neither a size nor in any table. */
  const isOnlyAName = things.length > 0 && answer.kind === 'size' && answer.reading.kind === 'unknown' && answer.found.findings.length === 0

  async function make() {
    if (answer.kind !== 'form') return
    setBusy(true)
    const { qty, ...input } = answer.input
    const added = await act('addPiece', { name: answer.title, form: answer.form, input, quantity: typeof qty === 'number' ? qty : 1 })
    setBusy(false)
    if (!added.ok) return
    setText('')
    setOpen(false)
    router.push(`/pieces/${added.id}`)
  }

  return (
    <Box
      ref={box}
      sx={{ position: 'relative', width: { xs: '100%', md: 330 }, flexShrink: 0 }}
      onBlur={(event) => {
        if (!box.current?.contains(event.relatedTarget as Node)) setOpen(false)
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') setOpen(false)
      }}
    >
      <OutlinedInput
        fullWidth
        value={text}
        placeholder="ask or find: ring 8 1/2 16ga"
        inputRef={field}
        inputProps={{ 'aria-label': 'Ask the bench', 'aria-keyshortcuts': '/' }}
        sx={{ height: 36 }}
        onChange={(event) => {
          setText(event.target.value)
          setOpen(true)
        }}
        onFocus={() => setOpen(true)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return
          const [first] = things
          if (isOnlyAName && first) {
            setText('')
            setOpen(false)
            return router.push(first.href)
          }
          if (answer.kind === 'form' && answer.run?.ok) void make()
          if (answer.kind === 'advice') router.push(`/tables/advice/${answer.adviser}`)
          if (answer.kind === 'size' && answer.found.findings.length > 0) router.push(`/tables?q=${encodeURIComponent(answer.found.text)}`)
        }}
      />
      {open && answer.kind !== 'empty' ? (
        <Paper
          role="status"
          aria-label="Answer"
          sx={{ position: 'absolute', zIndex: 20, top: 42, right: 0, width: { xs: '100%', md: 400 }, p: 2, borderColor: PALETTE.verdigris }}
        >
          <FoundThings
            things={things}
            isAll={isOnlyAName}
            onGo={() => {
              setText('')
              setOpen(false)
            }}
          />
          {isOnlyAName ? null : answer.kind === 'form' ? (
            <FormAnswerView answer={answer} onMake={() => void make()} busy={busy} />
          ) : answer.kind === 'advice' ? (
            <AdviceAnswerView answer={answer} />
          ) : (
            <SizeAnswerView answer={answer} />
          )}
        </Paper>
      ) : null}
    </Box>
  )
}
