'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useEffect } from 'react'
import type { Placement } from '@/core/layout'
import { findAlloy } from '@/core/metals'
import { formatMoney, formatPlain } from '@/core/units'
import type { WantedMetal } from '@/server/services/open-items'
import { LookingAt } from '../layout/looking-at'
import { useOneByOne } from '../layout/use-one-by-one'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { LittleSheet } from './little-sheet'
import { onDrawer, type SmallestSheet, smallestSheet, WIDTHS_MM } from './smallest-sheet'

type Priced = WantedMetal & { readonly perGram: number }

interface ToBuyViewProps {
  readonly metals: readonly Priced[]
  readonly kerfMm: number
  readonly marginMm: number
  /** Where the prices are from. */
  readonly from: string
}

interface Answer {
  readonly metal: Priced
  readonly onDrawer: readonly Placement[]
  readonly left: number
  readonly buy: SmallestSheet | undefined
}

const countOf = ({ items }: Pick<WantedMetal, 'items'>) => items.reduce((sum, { item }) => sum + item.qty, 0)

/** What the drawer takes, sheet by sheet. */
function sayDrawer({ metal, onDrawer: placed }: Answer): string {
  if (placed.length === 0) return metal.sheets.length === 0 ? 'None of it in the drawer.' : 'What is in the drawer takes none of them.'
  const by = metal.sheets
    .map(({ id, label }) => ({ label, count: placed.filter(({ sheet }) => sheet === id).length }))
    .filter(({ count }) => count > 0)
  return `${by.map(({ label, count }) => `${label} takes ${count}`).join(', ')}.`
}

function massG({ buy, metal }: Answer): number {
  const density = findAlloy(metal.alloy)?.densityGPerCm3 ?? 0
  return buy ? (buy.lengthMm * buy.widthMm * metal.thicknessMm * density) / 1000 : 0
}

function Answered({ answer }: { readonly answer: Answer }) {
  const { metal, left, buy } = answer
  const mass = massG(answer)
  const { currency } = useWorkshop()
  return (
    <Box
      component="section"
      aria-label={metal.title}
      sx={{ borderTop: `1px solid ${PALETTE.hairline}`, py: 1.5, display: 'flex', flexWrap: 'wrap', gap: 3 }}
    >
      <Box sx={{ width: 420, maxWidth: '100%' }}>
        <Typography variant="h3" component="h2">
          {metal.title}
        </Typography>
        <Typography variant="body2">{metal.items.map(({ item, name }) => `${item.qty} × ${name}`).join(', ')}</Typography>
        <Typography sx={{ mt: 0.5 }}>{sayDrawer(answer)}</Typography>
        {left === 0 ? (
          <Typography sx={{ fontWeight: 700, color: PALETTE.verdigris }}>Nothing to buy.</Typography>
        ) : buy ? (
          <>
            <Typography sx={{ fontWeight: 700 }}>
              Buy{' '}
              <span className="fig">
                {buy.lengthMm} × {buy.widthMm} mm
              </span>{' '}
              for {left === 1 ? 'the one that is left' : `the ${left} that are left`}
            </Typography>
            <Typography variant="body2">
              <span className="fig">{formatPlain(mass, 1)} g</span>, about{' '}
              <span className="fig">{formatMoney(mass * metal.perGram, currency)}</span>
            </Typography>
          </>
        ) : (
          <Typography sx={{ color: PALETTE.fire, fontWeight: 600 }}>
            No sheet up to {Math.max(...WIDTHS_MM)} mm wide was found that takes the {left} that are left.
          </Typography>
        )}
      </Box>
      {buy ? (
        <LittleSheet
          sheet={buy.sheet}
          items={metal.items}
          placements={buy.placements}
          says={`${left} blanks on ${buy.lengthMm} × ${buy.widthMm} mm`}
        />
      ) : null}
    </Box>
  )
}

/** The smallest metal to buy for all open jobs, metal by metal, after what the drawer takes. */
export function ToBuyView({ metals, kerfMm, marginMm, from }: ToBuyViewProps) {
  const { done, failed, at, lookAt, stop } = useOneByOne<Priced, Answer>(
    ({ title }) => title,
    async (metal, signal) => {
      const gaps = { kerfMm, marginMm }
      const items = metal.items.map(({ item }) => item)
      const drawer = await onDrawer(metal.sheets, items, gaps, signal)
      const buy = drawer.left.length > 0 && !signal.aborted ? await smallestSheet(drawer.left, gaps, signal) : undefined
      return { metal, onDrawer: drawer.placements, left: drawer.left.reduce((sum, { qty }) => sum + qty, 0), buy }
    },
  )
  const count = metals.reduce((sum, metal) => sum + countOf(metal), 0)
  // biome-ignore lint/correctness/useExhaustiveDependencies: what is wanted is looked at once
  useEffect(() => void lookAt(metals), [])
  return (
    <Box sx={{ p: 2.5 }}>
      <Typography>
        {count === 0
          ? 'Every blank of the open jobs lies on a sheet already.'
          : `${count} blanks of open jobs lie on no sheet yet and are not at the bench. Wire and tube stand under each job’s layout.`}
      </Typography>
      <LookingAt
        at={at}
        says={`Looking at ${at}: ${done.length} of ${metals.length} done…`}
        failed={failed}
        isWhole={done.length === metals.length}
        onStop={stop}
        onAgain={() => void lookAt(metals)}
      />
      {done.map((answer) => (
        <Answered key={answer.metal.key} answer={answer} />
      ))}
      {done.length > 0 ? (
        <Typography variant="body2" sx={{ mt: 1 }}>
          The smallest that a search of under a second for each width finds; a longer one may save some more. Prices: {from}.
        </Typography>
      ) : null}
    </Box>
  )
}
