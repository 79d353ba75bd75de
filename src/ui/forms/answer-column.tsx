'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { metalCost } from '@/core/costing'
import type { Check, FormResult } from '@/core/forms'
import { SOURCES } from '@/core/sources'
import { formatMoney, formatPlain, mmToInch, unitSign } from '@/core/units'
import { useWorkshop, type WorkshopView } from '../shared/workshop-context'
import { FONTS, PALETTE } from '../theme/palette'

const SIGNS: Readonly<Record<Check['level'], { readonly sign: string; readonly colour: string; readonly word: string }>> = {
  stop: { sign: '×', colour: PALETTE.fire, word: 'Stop' },
  warn: { sign: '!', colour: PALETTE.fire, word: 'Warning' },
  note: { sign: 'i', colour: PALETTE.ochre, word: 'Note' },
  ok: { sign: '✓', colour: PALETTE.verdigris, word: 'Good' },
}

const ORDER: readonly Check['level'][] = ['stop', 'warn', 'ok', 'note']

export function CheckList({ checks, label }: { readonly checks: readonly Check[]; readonly label?: string }) {
  const sorted = [...checks].sort((a, b) => ORDER.indexOf(a.level) - ORDER.indexOf(b.level))
  return (
    <Box component="ul" aria-label={label} sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {sorted.map((check) => {
        const { sign, colour, word } = SIGNS[check.level]
        return (
          <Box component="li" key={check.code + check.message} sx={{ display: 'flex', gap: 1.25, py: 0.75 }}>
            <Box
              role="img"
              aria-label={word}
              sx={{
                flexShrink: 0,
                width: 18,
                height: 18,
                mt: '1px',
                borderRadius: check.level === 'stop' ? '2px' : '50%',
                bgcolor: colour,
                color: PALETTE.ground,
                fontSize: 12,
                fontWeight: 700,
                display: 'grid',
                placeItems: 'center',
              }}
            >
              {sign}
            </Box>
            <Typography sx={{ fontSize: 13.5 }}>
              {check.level === 'stop' ? <b>Stop. </b> : null}
              {check.message}
            </Typography>
          </Box>
        )
      })}
    </Box>
  )
}

/** Each step of a working: formula, numbers, result, source. */
export function WorkingSteps({ steps }: { readonly steps: FormResult['working'] }) {
  const { currency } = useWorkshop()
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {steps.map((step) => (
        <Box component="li" key={step.label + step.value} sx={{ borderBottom: `1px dotted ${PALETTE.hairline}`, py: 0.75 }}>
          <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1 }}>
            <Typography>{step.label}</Typography>
            <Box className="fig" sx={{ fontWeight: 700 }}>
              {formatPlain(step.value, step.unit === 'mm' ? 2 : 3)}
              {unitSign(step.unit).replace('money', currency)}
            </Box>
          </Box>
          <Box
            sx={{ fontFamily: FONTS.mono, fontSize: 12.5, color: PALETTE.muted }}
            title={`${SOURCES[step.source].title}. ${SOURCES[step.source].note}`}
          >
            {step.formula}
            {step.substituted ? (
              <>
                <br />= {step.substituted}
              </>
            ) : null}
          </Box>
          <Typography variant="body2" sx={{ fontSize: 12 }}>
            {SOURCES[step.source].title}
          </Typography>
        </Box>
      ))}
    </Box>
  )
}

/** The marked size in the units the workshop shows: the main one large, the other under it. */
function markWords(markAtMm: number, units: WorkshopView['units']): { main: string; other: string } {
  const [mm, inch] = [`${formatPlain(markAtMm, 2)} mm`, `${mmToInch(markAtMm).toFixed(3)} in`]
  if (units === 'mm') return { main: mm, other: '' }
  return units === 'inch' ? { main: inch, other: mm } : { main: mm, other: inch }
}

/** What to cut, as large as the drawing, with what moves it and how sure it is. */
export function AnswerBox({ result }: { readonly result: FormResult }) {
  const { units } = useWorkshop()
  const { answer, uncertainty } = result
  const { main, other } = markWords(answer.markAt, units)
  const first = result.sensitivity[0]
  return (
    <Box role="status" aria-label="Answer" sx={{ bgcolor: PALETTE.petrol, color: PALETTE.petrolText, borderRadius: '4px', p: 1.75, my: 1 }}>
      <Box sx={{ fontSize: 13, color: PALETTE.petrolMuted }}>Mark the {answer.name} at</Box>
      <Box className="fig" data-testid="answer" sx={{ fontSize: 32, fontWeight: 700, lineHeight: 1.2, color: '#ffffff' }}>
        {main}
      </Box>
      <Box className="fig" sx={{ fontSize: 13, color: PALETTE.petrolMuted }}>
        {other ? <Box>{other}</Box> : null}calculated {formatPlain(answer.value, 2)} ± {formatPlain(uncertainty.plusMinus, 2)} mm
      </Box>
      {first ? (
        <Box sx={{ fontSize: 13, mt: 0.75 }}>
          {first.change} of {first.input}: {first.effect}
        </Box>
      ) : null}
      {result.checks
        .filter((check) => check.level === 'stop')
        .map((check) => (
          <Box
            key={check.code}
            role="alert"
            sx={{ mt: 1, pt: 1, borderTop: `2px solid ${PALETTE.fireBench}`, color: PALETTE.fireOnPetrol }}
          >
            <b>Stop.</b> {check.message}
          </Box>
        ))}
    </Box>
  )
}

interface AnswerColumnProps {
  readonly result: FormResult
  /** How many are made, spares and all. */
  readonly count: number
  /** What it is cut from before its texture. */
  readonly rough?: string | undefined
  readonly record: ReactNode
  readonly supply: ReactNode
  /** The answer itself stands elsewhere, in sight while the sizes are entered. */
  readonly isAnswerAbove: boolean
  /** What is wrong with the sizes as they stand; there is no answer then, and the allowance can still be typed. */
  readonly problem: string | undefined
}

/** What to cut, and what it weighs and costs. */
function ToCut({ result, count, rough, isAnswerAbove }: Omit<AnswerColumnProps, 'record' | 'supply' | 'problem'>) {
  const { bench, currency } = useWorkshop()
  const massG = result.results.massG?.value ?? 0
  const costEach = result.blanks.reduce((sum, blank) => sum + metalCost(blank.massG * (blank.each ?? 1), blank.alloy, bench.figures), 0)
  return (
    <>
      {isAnswerAbove ? null : <AnswerBox result={result} />}
      {rough ? <Typography sx={{ fontSize: 13 }}>Textured before the last cut: begin with {rough}.</Typography> : null}
      <Typography className="fig" data-testid="mass" sx={{ fontSize: 13 }}>
        {formatPlain(massG, 2)} g each, {formatPlain(massG * count, 2)} g in all
      </Typography>
      <Typography
        className="fig"
        data-testid="cost"
        variant="body2"
        title="By weight, at the price of a gram under Tables, Figures of the bench"
      >
        metal cost {formatMoney(costEach, currency)} each, {formatMoney(costEach * count, currency)} in all
      </Typography>
    </>
  )
}

/** What to look out for, and why the answer is what it is. */
function Why({ result }: Pick<AnswerColumnProps, 'result'>) {
  return (
    <>
      <Typography variant="h2" sx={{ mt: 1.5 }}>
        Look out for
      </Typography>
      <CheckList checks={result.checks} />
      <Typography variant="h2" sx={{ mt: 1.5 }}>
        The working
      </Typography>
      <WorkingSteps steps={result.working} />
      <Typography variant="h2" sx={{ mt: 1.5 }}>
        Sensitivity
      </Typography>
      {result.sensitivity.map((item) => (
        <Typography key={item.input} variant="body2" sx={{ py: 0.25 }}>
          {item.change} of {item.input}: {item.effect}
        </Typography>
      ))}
      <Typography variant="body2" sx={{ py: 0.25 }}>
        ± {formatPlain(result.uncertainty.plusMinus, 2)} mm from {result.uncertainty.why}
      </Typography>
    </>
  )
}

/** The blank of a part: what to cut, what to allow, where the metal is, and why. */
export function AnswerColumn({ record, supply, problem, ...cut }: AnswerColumnProps) {
  return (
    <>
      {problem === undefined ? <ToCut {...cut} /> : <Typography role="status">{problem}</Typography>}
      {record}
      {problem === undefined ? (
        <>
          {supply}
          <Why result={cut.result} />
        </>
      ) : null}
    </>
  )
}
