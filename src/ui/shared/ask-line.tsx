'use client'
import Box from '@mui/material/Box'
import OutlinedInput from '@mui/material/OutlinedInput'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useDeferredValue, useMemo, useRef, useState } from 'react'
import type { AskAnswer } from '@/core/ask'
import type { AlloyId } from '@/core/metals'
import type { FoundThing } from '@/server/services/find-things'
import { useAct } from '../acting/act-provider'
import { useKeys } from '../keys/use-keys'
import { PALETTE } from '../theme/palette'
import type { JobOffer } from './ask-answers'
import { FoundThings } from './found-things'
import { useAskAnswers } from './use-ask-answers'
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

/** The words name something of the workshop, and are neither a size nor in any table. */
const namesOnly = (answer: AskAnswer, things: readonly FoundThing[]) =>
  things.length > 0 && answer.kind === 'size' && answer.reading.kind === 'unknown' && answer.found.findings.length === 0

const NOTHING: AskAnswer = { kind: 'empty' }

/** What is asked, what it comes to, and what the workshop has by those words; without words, what was worked on last. */
function useAsking(beside: Beside | undefined, open: boolean) {
  const { ringSystem, defaultAlloy, bench } = useWorkshop()
  const [text, setText] = useState('')
  const deferred = useDeferredValue(text)
  const { things, thingsNow } = useFoundThings(deferred, open && deferred.trim() !== '')
  const { things: recent } = useFoundThings('', open)
  const { answers, failed, bringAnswers } = useAskAnswers()
  const given = useMemo(
    () => ({ ringSystem, alloy: beside?.alloy ?? defaultAlloy, ...(beside?.thickness ? { thickness: beside.thickness } : {}), bench }),
    [ringSystem, defaultAlloy, bench, beside],
  )
  const answer = useMemo(() => answers?.answerAsk(deferred, given) ?? NOTHING, [answers, deferred, given])
  /** The answer to the very words that stand there now, and what they name in the workshop where they may be only a name. */
  const askedNow = async () => {
    const asked = (await bringAnswers())?.answerAsk(text, given) ?? NOTHING
    return { asked, named: asked.kind === 'size' ? await thingsNow(text) : [] }
  }
  return { text, setText, things, recent, answers, failed, bringAnswers, answer, askedNow }
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
  const { text, setText, things, recent, answers, failed, bringAnswers, answer, askedNow } = useAsking(beside, open)
  const isAsked = text.trim() !== ''
  const isOnlyAName = namesOnly(answer, things)

  const leave = () => {
    setText('')
    setOpen(false)
  }
  async function make(asked: AskAnswer, jobId?: number) {
    if (asked.kind !== 'form') return
    setBusy(true)
    const { qty, ...input } = asked.input
    const quantity = typeof qty === 'number' ? qty : 1
    const added = await act('addPiece', {
      name: asked.title,
      form: asked.form,
      input,
      quantity,
      ...(jobId === undefined ? {} : { jobId }),
    })
    setBusy(false)
    if (!added.ok) return
    leave()
    router.push(`/pieces/${added.id}`)
  }
  async function enter() {
    const { asked, named } = await askedNow()
    if (asked.kind === 'form') {
      if (asked.run?.ok) void make(asked, beside?.jobId)
      return
    }
    const isName = namesOnly(asked, named)
    const href = leadsTo(asked, isName ? named[0] : undefined)
    if (!href) return
    if (isName) leave()
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
          void bringAnswers()
          setText(event.target.value)
          setOpen(true)
        }}
        onPointerEnter={() => void bringAnswers()}
        onFocus={() => {
          void bringAnswers()
          setOpen(true)
        }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') void enter()
        }}
      />
      {open && (isAsked ? answers || failed : recent.length > 0) ? (
        <Paper
          role="status"
          aria-label="Answer"
          sx={{ position: 'absolute', zIndex: 20, top: 42, right: 0, width: { xs: '100%', md: 400 }, p: 2, borderColor: PALETTE.verdigris }}
        >
          {isAsked ? (
            <FoundThings title="In this workshop" things={things} isAll={isOnlyAName} onGo={leave} />
          ) : (
            <FoundThings title="Worked on last" things={recent} isAll onGo={leave} />
          )}
          {isAsked && failed ? (
            <Typography>The program is not responding. Type on, or touch the line again, to try once more.</Typography>
          ) : null}
          {!answers || isOnlyAName || answer.kind === 'empty' ? null : answer.kind === 'form' ? (
            <answers.FormAnswerView
              answer={answer}
              offers={offersOf(recent, beside)}
              isBeside={beside !== undefined}
              onMake={(jobId) => void make(answer, jobId)}
              busy={busy}
            />
          ) : answer.kind === 'advice' ? (
            <answers.AdviceAnswerView answer={answer} />
          ) : (
            <answers.SizeAnswerView answer={answer} />
          )}
        </Paper>
      ) : null}
    </Box>
  )
}
