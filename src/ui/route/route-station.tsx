'use client'
import { arrayMove } from '@dnd-kit/sortable'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { memo, useMemo, useState } from 'react'
import { ALLOYS, type AlloyId, BOUGHT_TEMPERS, type BoughtTemper } from '@/core/metals'
import { findOperation } from '@/core/operations'
import {
  addStep,
  giveReason,
  insertAnneal,
  metalsOf,
  moveToThing,
  partOfStep,
  pinStep,
  skipHeat,
  skipWords,
  unfoldStep,
} from '@/core/piece'
import { toolNotes } from '@/core/route'
import { type Finding, partedInto, putInOrder } from '@/core/rules'
import { SaveWords } from '../acting/save-words'
import { newStepId } from '../acting/use-part-work'
import { useKeys } from '../keys/use-keys'
import { ChoiceField } from '../shared/choice-field'
import { useNotice } from '../shared/notices'
import { ProblemLine } from '../shared/problem-line'
import { useSteady } from '../shared/use-steady'
import { PALETTE } from '../theme/palette'
import { AddStep } from './add-step'
import { COLUMN, LEFT } from './board-shape'
import { type BrokenRule, BrokenRules } from './broken-rules'
import { type OrderOffer, OrderPanel } from './order-panel'
import { Ribbon } from './ribbon'
import { metalFindings, metalOfStep, type RouteView, routeView, type StressAdvice, stressAdvice } from './route-view'
import { StepPanel } from './step-panel'
import { StrandBoard } from './strand-board'
import { type RoutedPiece, type RouteHand, useRoute } from './use-route'

interface BoughtProps {
  readonly part: string
  /** Empty where the piece has only this part. */
  readonly name: string
  readonly alloy: AlloyId
  readonly bought: BoughtTemper
  readonly setPart: RouteHand['setPart']
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
function brokenOf(findings: readonly Finding[], hand: RouteHand, view: RouteView, onShow: (id: string) => void): BrokenRule[] {
  const { steps, edits } = hand.wanted
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
      onReason: (reason) => hand.keep(giveReason(hand.wanted, late, rule, given ? (given.against as string | undefined) : against, reason)),
      onShow: () => onShow(late),
    }
  })
}

/** The order that keeps the rules, with its moves and what is missing in words. */
function orderOffer(hand: RouteHand, view: RouteView): OrderOffer {
  const { wanted, plan } = hand
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
      onAdd: () => hand.keep(addStep({ ...wanted, steps: ordered }, at, { id: newStepId(op), op, on, params })),
    })),
    onTake: () => hand.keep({ ...wanted, steps: ordered }),
  }
}

/** Metal that may split later for the stress that is left in it, and the step that takes it out. */
function Stressed({ advice, onRelieve }: { readonly advice: StressAdvice; readonly onRelieve: () => void }) {
  return (
    <Box component="aside" aria-label="Stress left in the metal" sx={{ borderLeft: `4px solid ${PALETTE.ochre}`, pl: 1.25, mt: 2 }}>
      <Typography variant="body2">{advice.message}</Typography>
      <Button sx={{ mt: 0.5 }} onClick={onRelieve}>
        Relieve it after step {advice.step + 1}
      </Button>
    </Box>
  )
}

/** The route of a piece: its wires with their steps, the metal beneath, and beside them the chosen step and what is broken. */
export function RouteStation({ piece }: { readonly piece: RoutedPiece }) {
  const router = useRouter()
  const hand = useRoute(piece)
  const { plan, wanted, keep } = hand
  const say = useNotice()
  const [chosenId, setChosen] = useState<string>()
  const [lifted, setLifted] = useState<readonly [number, number]>()
  const [isOrdering, setOrdering] = useState(false)
  const [skipId, setSkip] = useState<string>()
  useKeys({ undo: () => void hand.move('undo'), redo: () => void hand.move('redo') })
  const view = useMemo(() => routeView(plan, wanted.steps), [plan, wanted.steps])
  const shown = useMemo(
    () => (lifted && lifted[0] !== lifted[1] ? routeView(plan, arrayMove([...wanted.steps], ...lifted)) : view),
    [lifted, plan, wanted.steps, view],
  )
  const index = Math.max(
    0,
    wanted.steps.findIndex(({ id }) => id === chosenId),
  )
  const chosen = wanted.steps[index]
  const isSkipping = chosen?.op === 'anneal' && skipId === chosen.id && lifted === undefined
  const skipped = useMemo(
    () => (isSkipping ? skipHeat(view.assembly, metalsOf(plan), index) : undefined),
    [isSkipping, view.assembly, plan, index],
  )
  const findings = [...view.findings, ...metalFindings(view)]
  const reorder = (from: number, to: number) => {
    setLifted(undefined)
    if (from !== to && from >= 0 && to >= 0) keep({ ...wanted, steps: arrayMove([...wanted.steps], from, to) })
  }
  const addAnneal = (before: number) => {
    const part = view.temper.steps[before]?.part ?? plan.parts[0]?.id ?? ''
    keep({ ...wanted, steps: insertAnneal(wanted.steps, before, (op) => ({ id: newStepId(op), op, on: [{ thing: part }], params: {} })) })
  }
  const relieve = ({ part, step }: StressAdvice) =>
    keep(addStep(wanted, step + 1, { id: newStepId('stress-relief'), op: 'stress-relief', on: [{ thing: part }], params: {} }))
  const only = plan.assembly.parts.length + plan.assembly.others.length < 2
  const things = only ? {} : Object.fromEntries(view.names)
  const setPart = useSteady(hand.setPart)
  const add = useSteady((op: string, thing: string, where: 'last' | 'before', params: Readonly<Record<string, unknown>>) => {
    const id = newStepId(op)
    keep(addStep(wanted, where === 'last' ? wanted.steps.length : index, { id, op, on: [{ thing }], params }))
    setChosen(id)
  })
  const toBench = () => void hand.startTray((trayId) => router.push(`/bench/${trayId}`))
  const [annealAt] = view.temper.annealBefore
  const isBroken = view.findings.some(({ level, overridden }) => level !== 'note' && !overridden)
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 316px' },
        gridTemplateRows: { md: 'minmax(0, 1fr)' },
        minHeight: 0,
        overflow: { md: 'hidden' },
      }}
    >
      <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, minWidth: 0 }}>
        <Box
          component="section"
          aria-label="Steps"
          tabIndex={0}
          sx={{ overflow: 'auto', pt: 1.5, flexShrink: 0, maxHeight: { md: 'calc(100% - 170px)' } }}
        >
          <StrandBoard
            strands={shown.strands}
            steps={view.board}
            colours={view.colours}
            names={view.names}
            findings={shown.findings.filter(({ level }) => level !== 'note')}
            chosen={chosen?.id}
            onChoose={setChosen}
            onOver={(from, to) => setLifted([from, to])}
            onDrop={reorder}
            onRemove={(i) => {
              keep({ ...wanted, steps: wanted.steps.filter((_, j) => j !== i) })
              say({ text: `${view.board[i]?.title ?? 'The step'} is taken out.`, undo: () => hand.move('undo') })
            }}
          />
          {shown.temper.steps.length > 0 ? (
            <Box sx={{ width: LEFT + wanted.steps.length * COLUMN + 12, mt: 1, bgcolor: PALETTE.white }}>
              <Ribbon
                walk={shown.temper}
                onAnneal={addAnneal}
                without={skipped?.without}
                under={{ left: LEFT, column: COLUMN, ids: shown.board.map(({ step }) => step.id) }}
              />
            </Box>
          ) : null}
        </Box>
        {chosen ? (
          <StepPanel
            key={chosen.id}
            step={chosen}
            title={`${index + 1}  ${view.board[index]?.title ?? ''}`}
            on={view.board[index]?.on ?? ''}
            say={view.wordsFor(chosen).say}
            watch={view.wordsFor(chosen).watch}
            metal={metalOfStep(view, index)}
            metalPart={view.names.get(view.temper.steps[index]?.part ?? '') ?? ''}
            sizes={view.sizes[index]?.sizes ?? []}
            tool={
              toolNotes([chosen], {
                thicknessMm: plan.parts.find(({ id }) => id === partOfStep(plan, chosen.on))?.metal?.thicknessMm ?? 1,
                ...hand.bench,
              })[0]
            }
            includes={partedInto(view.assembly, index).filter(({ isItself }) => !isItself)}
            isPinned={chosen.pinned === true}
            onParams={(params) => hand.setParams(chosen.id, params)}
            onPin={(isPinned) => keep(pinStep(wanted, chosen.id, isPinned))}
            things={things}
            skipped={skipped && skipWords(skipped)}
            onSkip={chosen.op === 'anneal' ? (isLookedAt) => setSkip(isLookedAt ? chosen.id : undefined) : undefined}
            onThing={(thing) => keep(moveToThing(plan, wanted, chosen.id, thing, newStepId))}
            onUnfold={() => keep(unfoldStep(wanted, view.assembly, chosen.id, newStepId))}
            onDouble={() => {
              const { id: _, target: __, ...same } = chosen
              keep(addStep(wanted, index + 1, { ...same, id: newStepId(chosen.op) }))
            }}
          />
        ) : null}
      </Box>
      <Box
        component="section"
        aria-label="Metal and bench"
        sx={{ bgcolor: PALETTE.paper, borderLeft: { md: `1px solid ${PALETTE.hairline}` }, px: 2.25, py: 1.5, overflowY: 'auto' }}
      >
        <SaveWords state={hand.state} />
        {plan.faults.map(({ path, message }) => (
          <Typography key={path} role="alert" sx={{ color: PALETTE.fire, mt: 1 }}>
            {message}
          </Typography>
        ))}
        {plan.misfits.length > 0 ? (
          <Box sx={{ borderLeft: `4px solid ${PALETTE.ochre}`, bgcolor: PALETTE.ochreSoft, p: 1.25, mt: 2 }} role="alert">
            {plan.misfits.map((misfit) => (
              <Typography key={misfit.id}>{misfit.message}</Typography>
            ))}
            <Button sx={{ mt: 1 }} onClick={() => keep(wanted)}>
              Keep the route as it is shown
            </Button>
          </Box>
        ) : null}
        {annealAt !== undefined ? (
          <Box sx={{ borderLeft: `4px solid ${PALETTE.fire}`, bgcolor: PALETTE.fireSoft, p: 1.25, mt: 2 }} role="alert">
            <Typography>
              At “{view.temper.steps[annealAt]?.title}” the metal has about{' '}
              {Math.round(100 * (view.temper.steps[annealAt]?.workLeftFraction ?? 0))} % work left and may split.
            </Typography>
            <Button sx={{ mt: 1 }} onClick={() => addAnneal(annealAt)}>
              Put an anneal before it
            </Button>
          </Box>
        ) : null}
        <BrokenRules broken={brokenOf(findings, hand, view, setChosen)} />
        {stressAdvice(view).map((advice) => (
          <Stressed key={advice.part} advice={advice} onRelieve={() => relieve(advice)} />
        ))}
        {isOrdering ? <OrderPanel offer={orderOffer(hand, view)} onLeave={() => setOrdering(false)} /> : null}
        {isBroken && !isOrdering ? <Button onClick={() => setOrdering(true)}>Put it in order</Button> : null}
        <AddStep things={only ? { [plan.parts[0]?.id ?? '']: 'it' } : things} before={view.board[index]?.title} onAdd={add} />
        {plan.parts.map(({ id, metal }) =>
          metal ? (
            <Bought key={id} part={id} name={view.names.get(id) ?? ''} alloy={metal.alloy} bought={metal.bought} setPart={setPart} />
          ) : null,
        )}
        <Button variant="contained" fullWidth sx={{ mt: 3, minHeight: 40 }} onClick={toBench}>
          Start a tray of {piece.quantity + piece.spares} at the bench
        </Button>
        <Typography variant="body2" sx={{ mt: 0.75 }}>
          The plan is frozen with the tray; later changes here do not reach it.
        </Typography>
        <ProblemLine says={hand.problem} />
      </Box>
    </Box>
  )
}
