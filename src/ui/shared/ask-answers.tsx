'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { type AskAnswer, answerAsk } from '@/core/ask'
import { rowSummary } from '@/core/lookup'
import { describeMeaning } from '@/core/sizes'
import { formatPlain, mmToInch } from '@/core/units'
import { PALETTE } from '../theme/palette'
import { PageLink } from './page-link'

/** What answers, and how each answer looks, are brought together. */
export { answerAsk }

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

/** A job that a piece can be added to. */
export interface JobOffer {
  readonly jobId: number
  readonly title: string
}

interface FormAnswerProps {
  readonly answer: FormAnswer
  /** The jobs there are, the likeliest first; the first is taken where it is that of the piece in sight. */
  readonly offers: readonly JobOffer[]
  readonly isBeside: boolean
  readonly onMake: (jobId?: number) => void
  readonly busy: boolean
}

function Offers({ offers, isBeside, onMake, busy }: Omit<FormAnswerProps, 'answer'>) {
  const [first] = offers
  const own = isBeside && first
  return (
    <Box sx={{ mt: 1.5 }}>
      <Button variant="contained" disabled={busy} onClick={() => onMake(own ? first.jobId : undefined)}>
        {own ? `Add it to ${first.title}` : 'Make a piece of it'}
      </Button>
      {own ? (
        <Button variant="text" disabled={busy} onClick={() => onMake()} sx={{ ml: 1 }}>
          In a job of its own
        </Button>
      ) : null}
      {own || offers.length === 0 ? null : (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          or add it to{' '}
          {offers.map((offer) => (
            <Button key={offer.jobId} variant="text" disabled={busy} onClick={() => onMake(offer.jobId)}>
              {offer.title}
            </Button>
          ))}
        </Typography>
      )}
    </Box>
  )
}

export function FormAnswerView({ answer, ...offers }: FormAnswerProps) {
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
      {result ? <Offers {...offers} /> : null}
    </>
  )
}

export function AdviceAnswerView({ answer }: { readonly answer: Extract<AskAnswer, { kind: 'advice' }> }) {
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
      <Button component={PageLink} href={`/tables/advice/${answer.adviser}`} sx={{ mt: 1.5 }}>
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
        <PageLink href={`/tables?q=${encodeURIComponent(found.text)}`} style={{ color: PALETTE.verdigris, fontWeight: 600, fontSize: 13 }}>
          See it between its neighbours
        </PageLink>
      </Box>
    </Box>
  )
}

export function SizeAnswerView({ answer }: { readonly answer: Extract<AskAnswer, { kind: 'size' }> }) {
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
