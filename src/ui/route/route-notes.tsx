'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { memo, type ReactNode, useState } from 'react'
import { ALLOYS, type AlloyId, BOUGHT_TEMPERS, type BoughtTemper } from '@/core/metals'
import { findOperation } from '@/core/operations'
import { addStep } from '@/core/piece'
import { type Finding, putInOrder } from '@/core/rules'
import { newStepId } from '../acting/use-part-work'
import { ChoiceField } from '../shared/choice-field'
import { PALETTE } from '../theme/palette'
import { AddStep } from './add-step'
import { type BrokenRule, BrokenRules } from './broken-rules'
import { type OrderOffer, OrderPanel } from './order-panel'
import { metalFindings, stressAdvice } from './route-view'
import type { RouteDoing, RouteSeen } from './use-route-view'

interface NotesProps {
  readonly seen: RouteSeen
  readonly does: RouteDoing
}

interface BoughtProps {
  readonly part: string
  /** Empty where the piece has only this part. */
  readonly name: string
  readonly alloy: AlloyId
  readonly bought: BoughtTemper
  readonly setPart: RouteDoing['setPart']
}

/** The metal of a part as it was bought. */
const Bought = memo(function Bought({ part, name, alloy, bought, setPart }: BoughtProps) {
  return (
    <Box sx={{ mt: 1 }}>
      <Typography variant="h2">
        {name ? `${name}, ` : ''}
        {ALLOYS[alloy].title} as bought
      </Typography>
      <ChoiceField
        label={name ? `Temper, ${name}` : 'Temper'}
        value={bought}
        options={BOUGHT_TEMPERS}
        onChange={(value) => setPart(part, { bought: value as BoughtTemper })}
      />
      {bought === 'unknown' ? (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          Calculated as half hard, the usual way sheet is sold.
        </Typography>
      ) : null}
    </Box>
  )
})

/** What the route breaks, as it is listed: where, and the reason given there. */
function brokenOf(findings: readonly Finding[], { wanted, view }: RouteSeen, does: RouteDoing): BrokenRule[] {
  const { steps, edits } = wanted
  const nameAt = (i: number) => `${i + 1} ${view.board[i]?.title ?? ''}`
  return findings.map(({ rule, level, steps: at, message, under, overridden, fixed }) => {
    const late = steps[at.at(-1) ?? -1]?.id ?? ''
    const against = at.length > 1 ? steps[at[0] ?? -1]?.id : undefined
    const given = edits.reasons?.find((item) => item.id === late && item.rule === rule && (item.against ?? against) === against)
    return {
      key: `${rule}-${at.join('-')}`,
      rule,
      level,
      message,
      under,
      where: at.map(nameAt).join(' → '),
      reason: given?.reason ?? '',
      isOverridden: overridden,
      isLiftable: !fixed,
      onReason: (reason) => does.reason(late, rule, given ? (given.against as string | undefined) : against, reason),
      onShow: () => does.choose(late),
    }
  })
}

/** The order that keeps the rules, with its moves and what is missing in words. */
function orderOffer({ wanted, plan, view }: RouteSeen, does: RouteDoing): OrderOffer {
  const { steps, moves, proposed } = putInOrder(view.assembly)
  const title = (i: number) => view.board[i]?.title ?? ''
  const ordered = steps.flatMap((i) => wanted.steps[i] ?? [])
  return {
    moves: moves.map(({ step, from, to, because }) => ({
      key: String(step),
      words: `${title(step)}: from ${from + 1} to ${to + 1}, for ${because.join(', ') || 'the steps around it'}`,
    })),
    missing: proposed.map(({ op, on, params, at, because }, i) => ({
      key: `${op}-${i}`,
      words: `${findOperation(op)?.title ?? op}, ${on.map(({ thing }) => view.names.get(thing) || plan.parts[0]?.name.toLowerCase()).join(', ')}, before “${title(steps[at] ?? -1) || 'the end'}” (${because.join(', ')})`,
      onAdd: () => does.keep(addStep({ ...wanted, steps: ordered }, at, { id: newStepId(op), op, on, params })),
    })),
    onTake: () => does.keep({ ...wanted, steps: ordered }),
  }
}

interface NoticeProps {
  readonly colour: string
  readonly ground: string
  readonly press: string
  readonly onPress: () => void
  readonly children: ReactNode
}

/** Something to be said of the route, and the one press that mends it. */
function Notice({ colour, ground, press, onPress, children }: NoticeProps) {
  return (
    <Box role="alert" sx={{ borderLeft: `4px solid ${colour}`, bgcolor: ground, p: 1.25, mt: 2 }}>
      {children}
      <Button sx={{ mt: 1 }} onClick={onPress}>
        {press}
      </Button>
    </Box>
  )
}

/** What cannot be planned, what no longer fits the piece, and metal that may split. */
function Faults({ seen: { plan, wanted, view }, does }: NotesProps) {
  const [annealAt] = view.temper.annealBefore
  const split = annealAt === undefined ? undefined : view.temper.steps[annealAt]
  return (
    <>
      {plan.faults.map(({ path, message }) => (
        <Typography key={path} role="alert" sx={{ color: PALETTE.fire, mt: 1 }}>
          {message}
        </Typography>
      ))}
      {plan.misfits.length > 0 ? (
        <Notice colour={PALETTE.ochre} ground={PALETTE.ochreSoft} press="Keep the route as it is shown" onPress={() => does.keep(wanted)}>
          {plan.misfits.map((misfit) => (
            <Typography key={misfit.id}>{misfit.message}</Typography>
          ))}
        </Notice>
      ) : null}
      {annealAt !== undefined ? (
        <Notice colour={PALETTE.fire} ground={PALETTE.fireSoft} press="Put an anneal before it" onPress={() => does.addAnneal(annealAt)}>
          <Typography>
            At “{split?.title}” the metal has about {Math.round(100 * (split?.workLeftFraction ?? 0))} % work left and may split.
          </Typography>
        </Notice>
      ) : null}
    </>
  )
}

/** Beside a route: what is against it and how it is put right, what can be added, and how its metal was bought. */
export const RouteNotes = memo(function RouteNotes({ seen, does }: NotesProps) {
  const [isOrdering, setOrdering] = useState(false)
  const { plan, view, index, things } = seen
  const findings = [...view.findings, ...metalFindings(view)]
  const isBroken = view.findings.some(({ level, overridden }) => level !== 'note' && !overridden)
  return (
    <>
      <Faults seen={seen} does={does} />
      <BrokenRules broken={brokenOf(findings, seen, does)} />
      {stressAdvice(view).map((advice) => (
        <Box
          key={advice.part}
          component="aside"
          aria-label="Stress left in the metal"
          sx={{ borderLeft: `4px solid ${PALETTE.ochre}`, pl: 1.25, mt: 2 }}
        >
          <Typography variant="body2">{advice.message}</Typography>
          <Button sx={{ mt: 0.5 }} onClick={() => does.relieve(advice)}>
            Relieve it after step {advice.step + 1}
          </Button>
        </Box>
      ))}
      {isOrdering ? <OrderPanel offer={orderOffer(seen, does)} onLeave={() => setOrdering(false)} /> : null}
      {isBroken && !isOrdering ? <Button onClick={() => setOrdering(true)}>Put it in order</Button> : null}
      <AddStep
        things={Object.keys(things).length === 0 ? { [plan.parts[0]?.id ?? '']: 'it' } : things}
        before={view.board[index]?.title}
        onAdd={does.add}
      />
      {plan.parts.map(({ id, metal }) =>
        metal ? (
          <Bought key={id} part={id} name={view.names.get(id) ?? ''} alloy={metal.alloy} bought={metal.bought} setPart={does.setPart} />
        ) : null,
      )}
    </>
  )
})
