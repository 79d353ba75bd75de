'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { type QuotedPiece, simulatedFeed } from '@/core/costing'
import type { AlloyId } from '@/core/metals'
import { formatMoney } from '@/core/units'
import type { JobQuote } from '@/server/services/job-quote'
import { useTold } from '../acting/use-told'
import { useDates } from '../shared/dates'
import { PageLink } from '../shared/page-link'
import { ProblemLine } from '../shared/problem-line'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'

const PARTS = {
  metal: { label: 'metal', tone: PALETTE.steel },
  solder: { label: 'solder', tone: PALETTE.ribbon },
  labour: { label: 'labour', tone: PALETTE.verdigris },
  consumed: { label: 'gas, abrasives', tone: PALETTE.ochre },
  rest: { label: 'overhead, losses, added', tone: PALETTE.hairline },
} as const

/** What the price of one is made of, as lengths of a bar cut to measure. */
function PriceBar({ piece }: { readonly piece: QuotedPiece }) {
  const all = Object.entries(PARTS)
    .map(([id, part]) => ({ ...part, money: piece.made[id as keyof typeof PARTS] }))
    .filter(({ money }) => money > 0)
  const words = all.map(({ label, money }) => `${label} ${Math.round((100 * money) / piece.priceEach)} %`).join(', ')
  let at = 0
  return (
    <Box>
      <svg viewBox="0 0 400 20" width="100%" height={20} preserveAspectRatio="none" role="img" aria-label={words}>
        {all.map(({ label, tone, money }) => {
          const [x, wide] = [at, (400 * money) / piece.priceEach]
          at += wide
          return (
            <rect
              key={label}
              x={x}
              y={2}
              width={Math.max(0, wide - 1)}
              height={16}
              fill={tone}
              stroke={PALETTE.ruleLine}
              strokeWidth={0.6}
            />
          )
        })}
      </svg>
      <Typography variant="body2">{words}</Typography>
    </Box>
  )
}

function PieceQuote({ piece, currency }: { readonly piece: QuotedPiece; readonly currency: string }) {
  const [isOpen, setOpen] = useState(false)
  return (
    <Box component="article" aria-label={piece.name} sx={{ py: 1.5, borderBottom: `1px solid ${PALETTE.hairline}` }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.2fr) minmax(0, 1.4fr) 150px 170px' },
          gap: 2,
          alignItems: 'center',
        }}
      >
        <Box>
          <PageLink href={`/pieces/${piece.id}`} style={{ color: PALETTE.ink, fontWeight: 650 }}>
            {piece.name}
          </PageLink>
          <Typography variant="body2">
            <span className="fig">{piece.quantity}</span> to hand over, <span className="fig">{Math.round(piece.handsMin)}</span> min each
          </Typography>
        </Box>
        <PriceBar piece={piece} />
        <Box sx={{ textAlign: { md: 'right' } }}>
          <span className="fig">{formatMoney(piece.priceEach, currency)}</span> each
        </Box>
        <Box sx={{ textAlign: { md: 'right' } }}>
          <Box className="fig" sx={{ fontWeight: 700, fontSize: 18 }}>
            {formatMoney(piece.price, currency)}
          </Box>
          <Typography variant="body2">
            {formatMoney(piece.between.least, currency)} to {formatMoney(piece.between.most, currency)}
          </Typography>
        </Box>
      </Box>
      <Button variant="text" onClick={() => setOpen(!isOpen)} aria-expanded={isOpen}>
        Calculation
      </Button>
      {isOpen ? (
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {piece.working.map((step) => (
            <li key={step.label}>
              {step.label}: <span className="fig">{step.formula}</span> = <span className="fig">{step.substituted}</span> ={' '}
              <b className="fig">{formatMoney(step.value, currency)}</b>
            </li>
          ))}
        </Box>
      ) : null}
    </Box>
  )
}

/** What a job is to cost and why, with what goes to the customer and what goes to the bench. */
export function QuoteView({ quoted, today }: { readonly quoted: JobQuote; readonly today: string }) {
  const { job, quote, open, metals, pricesOn, agreed, balance } = quoted
  const { currency, uid, settingsRevision, typedFigures } = useWorkshop()
  const told = useTold()
  const { day } = useDates()
  const [problem, setProblem] = useState('')
  async function takePrices() {
    const priced = (price: (alloy: AlloyId) => number | null) => Object.fromEntries(metals.map((alloy) => [alloy, price(alloy)]))
    const done = await told(
      'takePrices',
      { day: today, prices: priced((alloy) => simulatedFeed.perGram(alloy, today)) },
      {
        revision: settingsRevision,
        text: 'Prices of today are taken.',
        back: { day: pricesOn, prices: priced((alloy) => typedFigures[`price-${alloy}`] ?? null) },
      },
    )
    setProblem(done.ok ? '' : done.message)
  }
  return (
    <Box
      sx={{
        p: 2.5,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 2.4fr) minmax(0, 1fr)' },
        gap: 3,
        alignItems: 'start',
      }}
    >
      <Box component="section" aria-label="Pieces">
        {quote.pieces.map((piece) => (
          <PieceQuote key={piece.id} piece={piece} currency={currency} />
        ))}
        {quote.pieces.length === 0 ? <Typography>No piece of this job has its size yet.</Typography> : null}
        {open.length > 0 ? (
          <Typography sx={{ mt: 1.5, color: PALETTE.fire }}>Not counted, their size is not complete: {open.join(', ')}.</Typography>
        ) : null}
      </Box>
      <Box component="section" aria-label="In all">
        <Typography variant="h2">In all</Typography>
        <Box className="fig" data-testid="quote-total" sx={{ fontSize: 32, fontWeight: 700 }}>
          {formatMoney(quote.total, currency)}
        </Box>
        <Typography variant="body2">
          {formatMoney(quote.between.least, currency)} to {formatMoney(quote.between.most, currency)} in eight cases of ten, as the minutes
          scatter
        </Typography>
        <Box
          component="dl"
          sx={{ display: 'grid', gridTemplateColumns: '1fr auto', rowGap: 0.5, my: 2, '& dd': { m: 0, textAlign: 'right' } }}
        >
          <dt>{job.agreed === null ? 'Asked' : 'Agreed'}</dt>
          <dd className="fig">{formatMoney(agreed, currency)}</dd>
          <dt>Deposit paid</dt>
          <dd className="fig">{formatMoney(job.deposit ?? 0, currency)}</dd>
          <dt>
            <b>Balance</b>
          </dt>
          <dd className="fig">
            <b>{formatMoney(balance, currency)}</b>
          </dd>
        </Box>
        {job.sizes ? (
          <Typography sx={{ mb: 2 }}>
            <b>Customer’s sizes:</b> {job.sizes}
          </Typography>
        ) : null}
        <Typography variant="body2">
          Metal at {pricesOn ? `the feed’s prices of ${day(pricesOn)} (simulated)` : quote.pricesFrom}. What is charged for an hour,
          overhead and what is added stand under{' '}
          <PageLink href="/tables?q=charged" style={{ color: PALETTE.verdigris }}>
            Tables
          </PageLink>
          .
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.5 }}>
          <Button onClick={() => void takePrices()} disabled={metals.length === 0}>
            Take today’s prices
          </Button>
          <Button component="a" href={`/api/jobs/${job.id}/quote?of=${uid}`} target="_blank">
            Print the quote
          </Button>
          <Button component="a" href={`/api/jobs/${job.id}/sheet?of=${uid}`} target="_blank">
            Print the job sheet
          </Button>
        </Box>
        <ProblemLine says={problem} />
      </Box>
    </Box>
  )
}
