'use client'
import { closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from '@dnd-kit/core'
import { arrayMove, SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import OutlinedInput from '@mui/material/OutlinedInput'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useId } from 'react'
import { lightOf } from '@/core/forming'
import { ALLOYS, BOUGHT_TEMPERS, type BoughtTemper } from '@/core/metals'
import { OPERATIONS } from '@/core/operations'
import { checkOrder, type DesignStep, insertAnneal, type TemperState, type ToolNote, toolNotes, walkTemper, wordsOf } from '@/core/route'
import { isReason, REASON_HELP } from '@/core/rules'
import { SaveWords } from '../acting/save-words'
import { useKeys } from '../keys/use-keys'
import { ChoiceField } from '../shared/choice-field'
import { useNotice } from '../shared/notices'
import { ProblemLine } from '../shared/problem-line'
import { PALETTE } from '../theme/palette'
import { Ribbon } from './ribbon'
import { StepMenu } from './step-menu'
import { StepTag } from './step-tag'
import { type RoutedPiece, useRoute } from './use-route'

interface StepRowProps {
  readonly step: DesignStep
  readonly index: number
  readonly count: number
  readonly title: string
  readonly say: string
  readonly state: TemperState | undefined
  readonly tool: ToolNote | undefined
  readonly finding: string | undefined
  readonly onMove: (by: number) => void
  readonly onRemove: () => void
}

const LIGHT_WORDS = { green: 'easy', amber: 'anneal soon', red: 'may split' } as const
const LIGHT_COLOUR = { green: PALETTE.verdigris, amber: PALETTE.ochre, red: PALETTE.fire } as const

/** A heat that is red is so for its own reason: work is not what it does. */
function lightWords({ light, heat, meltingMarginC, workUsedFraction }: TemperState): string {
  if (!heat || light === 'green' || lightOf(workUsedFraction) === light) return LIGHT_WORDS[light]
  return `${Math.max(0, Math.round(meltingMarginC ?? 0))} °C from melting`
}

/** Share of the limit that no anneal gives back, of the part that has lost the most. */
const lostFraction = ({ regions }: TemperState) => Math.max(0, ...regions.map((region) => region.damageFraction))
/** Less than this is not worth a line. */
const LOST_SHOWN = 0.02

function StepRow({ step, index, count, title, say, state, tool, finding, onMove, onRemove }: StepRowProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: step.id })
  return (
    <Box
      component="li"
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '40px 1fr', md: '40px minmax(0, 1fr) 210px 40px' },
        gap: 1,
        alignItems: 'center',
        py: 0.75,
        borderBottom: `1px solid ${PALETTE.hairline}`,
        bgcolor: PALETTE.ground,
      }}
    >
      <StepTag number={index + 1} label={`Drag ${title}`} attributes={attributes} listeners={listeners} />
      <Box sx={{ minWidth: 0 }}>
        <Typography sx={{ fontWeight: 600 }}>{title}</Typography>
        <Typography variant="body2">{say}</Typography>
        {tool ? (
          <Typography variant="body2" sx={{ color: tool.level === 'note' ? PALETTE.ochre : PALETTE.verdigris }}>
            {tool.message}
          </Typography>
        ) : null}
        {finding ? (
          <Typography role="alert" sx={{ fontSize: 13, color: PALETTE.fire }}>
            {finding}
          </Typography>
        ) : null}
      </Box>
      <Box sx={{ gridColumn: { xs: '2', md: 'auto' } }}>
        {state ? (
          <>
            <Typography sx={{ fontSize: 13 }}>
              {state.temper.replaceAll('-', ' ')}, hardness <span className="fig">{Math.round(state.hardnessHv)} HV</span>
            </Typography>
            <Typography sx={{ fontSize: 13, color: LIGHT_COLOUR[state.light] }}>
              <b className="fig">{Math.round(100 * state.workLeftFraction)} %</b> work left, {lightWords(state)}
            </Typography>
            {lostFraction(state) > LOST_SHOWN ? (
              <Typography sx={{ fontSize: 13, color: PALETTE.fire }}>
                {Math.round(100 * lostFraction(state))} % is gone for good: cracks have begun, and no anneal closes them
              </Typography>
            ) : null}
          </>
        ) : null}
      </Box>
      <StepMenu title={title} isFirst={index === 0} isLast={index === count - 1} onMove={onMove} onRemove={onRemove} />
    </Box>
  )
}

/** A name for a step of the smith's own: given once, and never again on any route. */
function ownStepId(op: string): string {
  const [number = 0] = crypto.getRandomValues(new Uint32Array(1))
  return `${op}+${number.toString(36)}`
}

/** Operations that need nothing more than their presets to be put on a route. */
const ADDABLE = Object.fromEntries(
  OPERATIONS.filter((operation) => operation.read({}).ok)
    .map((operation) => [operation.id, operation.title] as const)
    .sort(([, a], [, b]) => a.localeCompare(b)),
)

/** The steps in order, each with what it does to the metal; dragged or keyed, the ribbon follows. */
export function RouteStation({ piece }: { readonly piece: RoutedPiece }) {
  const router = useRouter()
  const dndId = useId()
  const { plan, state, bench, steps, bought, note, setNote, problem, keep, startTray, move } = useRoute(piece)
  const say = useNotice()
  useKeys({ undo: () => void move('undo'), redo: () => void move('redo') })
  const sensors = useSensors(useSensor(PointerSensor), useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }))
  if (!plan.ok)
    return (
      <Typography role="alert" sx={{ p: 3 }}>
        The size is not complete yet: {plan.issues[0]?.message}
      </Typography>
    )
  const walk = walkTemper({ ...plan.temper, bought, steps })
  const findings = checkOrder(steps)
  const notes = toolNotes(steps, { thicknessMm: plan.temper.thicknessMm, ...bench })
  const reorder = (from: number, to: number) => keep({ steps: arrayMove([...steps], from, to) })
  const addAnneal = (before: number) =>
    keep({
      steps: insertAnneal(steps, before, (op) => ({ id: ownStepId(op), op, params: {} })),
    })
  const dropped = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return
    reorder(
      steps.findIndex((step) => step.id === active.id),
      steps.findIndex((step) => step.id === over.id),
    )
  }
  const toBench = () => void startTray((trayId) => router.push(`/bench/${trayId}`))
  return (
    <Box sx={{ flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0, overflow: { md: 'hidden' } }}>
      <Box
        sx={{
          flex: 1,
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 300px' },
          gridTemplateRows: { md: 'minmax(0, 1fr)' },
          minHeight: 0,
        }}
      >
        <Box component="section" aria-label="Steps" sx={{ px: 2.5, py: 1.5, overflowY: 'auto' }}>
          <Typography variant="h2">Steps in order</Typography>
          <DndContext id={dndId} sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
            <SortableContext items={steps.map((step) => step.id)} strategy={verticalListSortingStrategy}>
              <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
                {steps.map((step, i) => {
                  const words = wordsOf(step, plan.temper)
                  return (
                    <StepRow
                      key={step.id}
                      step={step}
                      index={i}
                      count={steps.length}
                      title={words.title}
                      say={words.say}
                      state={walk.steps[i]}
                      tool={notes.find((item) => item.step === i)}
                      finding={findings.find((finding) => finding.step === i)?.message}
                      onMove={(by) => reorder(i, i + by)}
                      onRemove={() => {
                        keep({ steps: steps.filter((_, j) => j !== i) })
                        say({ text: `${words.title} is taken out.`, undo: () => move('undo') })
                      }}
                    />
                  )
                })}
              </Box>
            </SortableContext>
          </DndContext>
        </Box>
        <Box
          component="section"
          aria-label="Metal and bench"
          sx={{ bgcolor: PALETTE.paper, borderLeft: { md: `1px solid ${PALETTE.hairline}` }, px: 2.25, py: 1.5, overflowY: 'auto' }}
        >
          <SaveWords state={state} />
          <Typography variant="h2">{ALLOYS[plan.temper.alloy].title} as bought</Typography>
          <ChoiceField
            label="Temper"
            value={bought}
            options={BOUGHT_TEMPERS}
            onChange={(value) => keep({ bought: value as BoughtTemper })}
          />
          {bought === 'unknown' ? (
            <Typography variant="body2" sx={{ mt: 0.5 }}>
              Calculated as half hard, the usual way sheet is sold.
            </Typography>
          ) : null}
          <ChoiceField
            label="Add a step"
            value=""
            options={{ '': 'choose', ...ADDABLE }}
            onChange={(op) => {
              if (op) keep({ steps: [...steps, { id: ownStepId(op), op, params: {} }] })
            }}
          />
          {plan.misfits.length > 0 ? (
            <Box sx={{ borderLeft: `4px solid ${PALETTE.ochre}`, bgcolor: PALETTE.ochreSoft, p: 1.25, mt: 2 }} role="alert">
              {plan.misfits.map((misfit) => (
                <Typography key={misfit.id}>{misfit.message}</Typography>
              ))}
              <Button sx={{ mt: 1 }} onClick={() => keep({ steps: plan.steps })}>
                Keep the route as it is shown
              </Button>
            </Box>
          ) : null}
          {walk.annealBefore[0] !== undefined ? (
            <Box sx={{ borderLeft: `4px solid ${PALETTE.fire}`, bgcolor: PALETTE.fireSoft, p: 1.25, mt: 2 }} role="alert">
              <Typography>
                At “{walk.steps[walk.annealBefore[0]]?.title}” the metal has about{' '}
                {Math.round(100 * (walk.steps[walk.annealBefore[0]]?.workLeftFraction ?? 0))} % work left and may split.
              </Typography>
              <Button sx={{ mt: 1 }} onClick={() => addAnneal(walk.annealBefore[0] ?? 0)}>
                Put an anneal before it
              </Button>
            </Box>
          ) : null}
          {findings.some((finding) => finding.level === 'stop') || walk.steps.some((state) => state.light === 'red') ? (
            <Box sx={{ mt: 2 }}>
              <Typography sx={{ fontWeight: 600 }} component="label" htmlFor="order-note">
                Reason
              </Typography>
              <OutlinedInput
                id="order-note"
                fullWidth
                value={note}
                onChange={(event) => setNote(event.target.value)}
                onBlur={() => keep({ note })}
                sx={{ mt: 0.5 }}
              />
              <Typography variant="body2" sx={{ mt: 0.5 }}>
                {note !== '' && !isReason(note) ? 'This is not a reason yet. ' : ''}
                {REASON_HELP}
              </Typography>
            </Box>
          ) : null}
          <Button variant="contained" fullWidth sx={{ mt: 3, minHeight: 40 }} onClick={toBench}>
            Start a tray of {piece.quantity + piece.spares} at the bench
          </Button>
          <Typography variant="body2" sx={{ mt: 0.75 }}>
            The plan is frozen with the tray; later changes here do not reach it.
          </Typography>
          <ProblemLine says={problem} />
        </Box>
      </Box>
      <Ribbon walk={walk} onAnneal={addAnneal} />
    </Box>
  )
}
