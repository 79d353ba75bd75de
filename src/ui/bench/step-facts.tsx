'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { PartSize, RouteTemper } from '@/core/piece'
import type { TemperState } from '@/core/route'
import { formatPlain } from '@/core/units'
import { PageLink } from '../shared/page-link'
import { FONTS, PALETTE } from '../theme/palette'
import { ReadAloud } from './read-aloud'
import type { BenchEntry, BenchStepView } from './tray-view'

interface StepFactsProps {
  readonly step: BenchStepView
  /** Readings of the piece in hand: they stand for what was predicted. */
  readonly readings: readonly BenchEntry[]
  readonly walk: RouteTemper
  readonly index: number
  /** Where the cuts stand in their order. */
  readonly sawPlan: string | null
}

/** The metal of the part in hand as the steps before this one have left it. */
function metalBefore({ step, walk, index }: StepFactsProps): TemperState {
  const own = walk.parts.find(({ part }) => part === step.part)
  const last = own?.walk.steps[own.at.findLastIndex((at) => at < index)]
  return last ?? own?.walk.start ?? walk.start
}

/** A size as it was read of this piece, or as it is predicted. */
function sizeWords({ dimension, label, value, plusMinus, unit }: PartSize, readings: readonly BenchEntry[]): string {
  const read = readings.findLast((entry) => entry.dimension === dimension)?.value ?? null
  const name = label.toLowerCase()
  return read === null
    ? `${name} ${formatPlain(value, 2)} ± ${formatPlain(plusMinus, 2)} ${unit}`
    : `${name} ${formatPlain(read, 2)} ${unit}, measured`
}

function Facts(props: StepFactsProps) {
  const { step } = props
  const before = metalBefore(props)
  const metal = `${before.temper.replaceAll('-', ' ')}, ${Math.round(100 * before.workLeftFraction)} % work left`
  const sizes = step.sizes.map((size) => sizeWords(size, props.readings)).join(', ')
  const rows = [...step.words.facts, { label: 'Metal now', value: metal }, ...(sizes ? [{ label: 'Sizes now', value: sizes }] : [])]
  return (
    <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'max-content 1fr', columnGap: 3.5, rowGap: 1, my: 2.5, fontSize: 18 }}>
      {rows.map((row) => (
        <Box key={row.label} sx={{ display: 'contents' }}>
          <Box component="dt" sx={{ color: PALETTE.petrolMuted }}>
            {row.label}
          </Box>
          <Box component="dd" sx={{ m: 0, fontFamily: FONTS.mono }}>
            {row.value}
          </Box>
        </Box>
      ))}
    </Box>
  )
}

/** Where the flame goes at a heat, and what to keep it off. */
const flameWords = (heat: BenchStepView['heat']) => (heat ? [heat.say, ...heat.warnings].join(' ') : '')

/** A step as it is read aloud: what to do, its figures, its caution. */
function aloud({ words, caution, target, heat }: BenchStepView): string {
  const facts = words.facts.map(({ label, value }) => `${label}: ${value}`)
  const aim = target ? `${target.label}: ${formatPlain(target.valueMm, 2)} millimetres` : ''
  return [words.title, words.say, ...facts, aim, flameWords(heat), caution ?? ''].filter(Boolean).join('. ')
}

function Callout({ colour, label, children }: { readonly colour: string; readonly label: string; readonly children: string }) {
  return (
    <Box sx={{ borderLeft: `5px solid ${colour}`, bgcolor: '#2a2a25', px: 2.25, py: 1.5, mt: 1.5, fontSize: 18, lineHeight: 1.4 }}>
      <b>{label}</b> {children}
    </Box>
  )
}

/** What to do at this step, in words and figures, and what to watch. */
export function StepFacts(props: StepFactsProps) {
  const { step, sawPlan } = props
  return (
    <Box>
      <Typography
        component="h1"
        sx={{ fontFamily: FONTS.head, fontSize: { xs: 41, md: 46 }, fontWeight: 650, lineHeight: 1.1, color: '#fff' }}
      >
        {step.words.title}
      </Typography>
      {step.onWords ? <Typography sx={{ fontSize: 22, color: PALETTE.verdigrisBench, mt: 0.5 }}>{step.onWords}</Typography> : null}
      <Typography sx={{ fontSize: 20, lineHeight: 1.42, mt: 1.5, maxWidth: 580 }}>{step.words.say}</Typography>
      <ReadAloud text={aloud(step)} />
      <Facts {...props} />
      {step.op === 'saw' && sawPlan ? (
        <Button
          component={PageLink}
          href={sawPlan}
          variant="outlined"
          sx={{ minHeight: 56, fontSize: 18, color: PALETTE.verdigrisBench, borderColor: PALETTE.verdigrisBench }}
        >
          The cuts in their order
        </Button>
      ) : null}
      {step.reasons.map(({ rule, reason }) => (
        <Callout key={rule} colour={PALETTE.ribbonNow} label={`Against ${rule}, all the same.`}>
          {reason}
        </Callout>
      ))}
      {step.heat ? (
        <Callout colour={PALETTE.fireBench} label="Flame.">
          {flameWords(step.heat)}
        </Callout>
      ) : null}
      {step.lostBefore ? (
        <Callout colour={PALETTE.fireBench} label="Your record.">
          {step.lostBefore}
        </Callout>
      ) : null}
      {step.words.watch ? (
        <Callout colour={PALETTE.fireBench} label="Watch.">
          {step.words.watch}
        </Callout>
      ) : null}
      {step.caution ? (
        <Callout colour="#c9a24a" label="Care.">
          {step.caution}
        </Callout>
      ) : null}
    </Box>
  )
}
