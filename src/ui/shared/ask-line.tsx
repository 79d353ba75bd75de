'use client'
import Box from '@mui/material/Box'
import OutlinedInput from '@mui/material/OutlinedInput'
import Paper from '@mui/material/Paper'
import { useRouter } from 'next/navigation'
import { useDeferredValue, useMemo, useRef, useState } from 'react'
import { type AskAnswer, answerAsk } from '@/core/ask'
import type { AlloyId } from '@/core/metals'
import type { FoundThing } from '@/server/services/find-things'
import { useAct } from '../acting/act-provider'
import { useKeys } from '../keys/use-keys'
import { PALETTE } from '../theme/palette'
import { AdviceAnswerView, FormAnswerView, type JobOffer, SizeAnswerView } from './ask-answers'
import { FoundThings } from './found-things'
import { useFoundThings } from './use-found-things'
import { useWorkshop } from './workshop-context'

/** The piece in sight: what is asked beside it is of its job and, where nothing else is said, of its metal. */
export interface Beside {
  readonly jobId: number
  readonly jobTitle: string
  readonly alloy: AlloyId | null
  /** As it was typed; none where the piece has none. */
  readonly thickness: string | null
}

/** Jobs among what was found, for a piece to be added to. */
function offersOf(things: readonly FoundThing[], beside: Beside | undefined): readonly JobOffer[] {
  if (beside) return [{ jobId: beside.jobId, title: beside.jobTitle }]
  return things.flatMap(({ jobId, name }) => (jobId === undefined ? [] : [{ jobId, title: name }]))
}

/** What an answer, or the only thing that was found, leads to by Enter; a piece is made instead. */
function leadsTo(answer: AskAnswer, onlyThing: FoundThing | undefined): string | undefined {
  if (onlyThing) return onlyThing.href
  if (answer.kind === 'advice') return `/tables/advice/${answer.adviser}`
  if (answer.kind === 'size' && answer.found.findings.length > 0) return `/tables?q=${encodeURIComponent(answer.found.text)}`
  return undefined
}

/** What is asked, what it comes to, and what the workshop has by those words; without words, what was worked on last. */
function useAsking(beside: Beside | undefined, open: boolean) {
  const { ringSystem, defaultAlloy, bench } = useWorkshop()
  const [text, setText] = useState('')
  const deferred = useDeferredValue(text)
  const things = useFoundThings(deferred, open && deferred.trim() !== '')
  const recent = useFoundThings('', open)
  const answer = useMemo(
    () =>
      answerAsk(deferred, {
        ringSystem,
        alloy: beside?.alloy ?? defaultAlloy,
        ...(beside?.thickness ? { thickness: beside.thickness } : {}),
        bench,
      }),
    [deferred, ringSystem, defaultAlloy, bench, beside],
  )
  /** The words name something of the workshop, and are neither a size nor in any table. */
  const isOnlyAName = things.length > 0 && answer.kind === 'size' && answer.reading.kind === 'unknown' && answer.found.findings.length === 0
  return { text, setText, things, recent, answer, isOnlyAName }
}

/** One line to ask anything short: a piece with its sizes, a size, a conversion, a table, which tool. Answers as it is typed. */
export function AskLine({ beside }: { readonly beside?: Beside }) {
  const router = useRouter()
  const [open, setOpen] = useState(false)
  const [busy, setBusy] = useState(false)
  const act = useAct()
  const box = useRef<HTMLDivElement>(null)
  const field = useRef<HTMLInputElement>(null)
  useKeys({ find: () => field.current?.focus() })
  const { text, setText, things, recent, answer, isOnlyAName } = useAsking(beside, open)

  const leave = () => {
    setText('')
    setOpen(false)
  }
  async function make(jobId?: number) {
    if (answer.kind !== 'form') return
    setBusy(true)
    const { qty, ...input } = answer.input
    const quantity = typeof qty === 'number' ? qty : 1
    const added = await act('addPiece', {
      name: answer.title,
      form: answer.form,
      input,
      quantity,
      ...(jobId === undefined ? {} : { jobId }),
    })
    setBusy(false)
    if (!added.ok) return
    leave()
    router.push(`/pieces/${added.id}`)
  }
  function enter() {
    if (answer.kind === 'form') {
      if (answer.run?.ok) void make(beside?.jobId)
      return
    }
    const href = leadsTo(answer, isOnlyAName ? things[0] : undefined)
    if (!href) return
    if (isOnlyAName) leave()
    router.push(href)
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
          if (event.key === 'Enter') enter()
        }}
      />
      {open && (answer.kind !== 'empty' || recent.length > 0) ? (
        <Paper
          role="status"
          aria-label="Answer"
          sx={{ position: 'absolute', zIndex: 20, top: 42, right: 0, width: { xs: '100%', md: 400 }, p: 2, borderColor: PALETTE.verdigris }}
        >
          {answer.kind === 'empty' ? (
            <FoundThings title="Worked on last" things={recent} isAll onGo={leave} />
          ) : (
            <FoundThings title="In this workshop" things={things} isAll={isOnlyAName} onGo={leave} />
          )}
          {isOnlyAName || answer.kind === 'empty' ? null : answer.kind === 'form' ? (
            <FormAnswerView
              answer={answer}
              offers={offersOf(recent, beside)}
              isBeside={beside !== undefined}
              onMake={(jobId) => void make(jobId)}
              busy={busy}
            />
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
