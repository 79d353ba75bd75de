'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { JOINT_KINDS, OTHER_KINDS } from '@/core/assembly'
import type { Supply } from '@/core/costing'
import { ALLOYS, SOLDERS } from '@/core/metals'
import { metalsOf, type PiecePlan, routeTemper, standingPiece, standingViews } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { SaveWords } from '../acting/save-words'
import { UndoRedo } from '../acting/undo-redo'
import { SET_COLOUR } from '../drawing/metal-colour'
import { HowMany } from '../forms/how-many'
import { SupplyPanel } from '../forms/supply-panel'
import { useKeys } from '../keys/use-keys'
import { Ribbon } from '../route/ribbon'
import { useNotice } from '../shared/notices'
import { ProblemLine } from '../shared/problem-line'
import { BodiesView } from '../solid/bodies-view'
import { PALETTE } from '../theme/palette'
import { AddThing } from './add-thing'
import { AssemblyDrawing } from './assembly-drawing'
import { type ListedThing, ThingList } from './thing-list'
import { ThingPanel } from './thing-panel'
import { type AssembledPiece, type AssemblyHand, useAssembly } from './use-assembly'

interface AssemblyStationProps {
  readonly piece: AssembledPiece
  readonly supply: readonly Supply[]
  readonly cardHref: string
}

/** How far parts stand off each other when they are taken apart, mm. */
const APART_MM = 6

function partLine({ parts }: PiecePlan, id: string): ListedThing {
  const part = parts.find((one) => one.id === id)
  const mark = part?.result?.answer
  const many = part && part.count > 1 ? `${part.count} of it, ` : ''
  return {
    id,
    name: part?.name ?? id,
    detail: !mark
      ? `${many}sizes still open`
      : part?.isCut
        ? `${many}${mark.name} ${formatPlain(mark.markAt, 2)} mm`
        : `${many}comes off another part`,
    colour: part?.metal && ALLOYS[part.metal.alloy].colour.face,
    isOpen: !mark,
  }
}

/** Everything the piece is of, in lines. */
function linesOf({ design, plan }: AssemblyHand) {
  const nameOf = (id: string) =>
    plan.parts.find((part) => part.id === id)?.name ?? design.others.find((other) => other.id === id)?.name ?? id
  return {
    parts: design.parts.map(({ id }) => partLine(plan, id)),
    others: design.others.map(
      ({ id, name, kind, standsC }): ListedThing => ({
        id,
        name: name || id,
        detail: `${OTHER_KINDS[kind]}${standsC === undefined ? '' : `, stands ${standsC} °C`}`,
        colour: undefined,
        isOpen: false,
      }),
    ),
    joints: design.joints.map(
      ({ id, kind, members, solder }): ListedThing => ({
        id,
        name: [...new Set(members.map(({ thing }) => nameOf(thing)))].join(' on ').toLowerCase(),
        detail: `${JOINT_KINDS[kind]}${solder ? `, ${SOLDERS[solder].title}` : ''}`,
        colour: undefined,
        isOpen: false,
      }),
    ),
  }
}

/** The parts together: drawn standing on one another, in 3D, or taken apart. */
function Stage({
  hand,
  chosen,
  onPick,
}: {
  readonly hand: AssemblyHand
  readonly chosen: string | undefined
  readonly onPick: (id: string) => void
}) {
  const [look, setLook] = useState<'together' | 'apart' | 'round'>('together')
  const { plan, design } = hand
  const standing = useMemo(() => standingPiece(plan, design, look === 'apart' ? APART_MM : 0), [plan, design, look])
  const views = useMemo(() => (look === 'round' ? [] : standingViews(standing)), [standing, look])
  const colours = useMemo(
    () =>
      new Map<string, { readonly face: string; readonly edge: string }>([
        ...[...metalsOf(plan)].map(([id, { alloy }]) => [id, ALLOYS[alloy].colour] as const),
        ...design.others.map(({ id }) => [id, SET_COLOUR] as const),
      ]),
    [plan, design.others],
  )
  return (
    <Box
      component="section"
      aria-label="Drawing"
      sx={{ display: 'flex', flexDirection: 'column', minWidth: 0, minHeight: 0, overflow: 'hidden' }}
    >
      <Box sx={{ flex: 1, minHeight: 0 }}>
        {standing.bodies.length === 0 ? (
          <Typography sx={{ p: 3 }}>
            No part has its size yet. Pick one at the left and size it; it is drawn here where it stands.
          </Typography>
        ) : look === 'round' ? (
          <BodiesView bodies={standing.bodies} colours={colours} />
        ) : (
          <AssemblyDrawing views={views} colours={colours} chosen={chosen} onPick={onPick} />
        )}
      </Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={look}
        aria-label="Look at it"
        onChange={(_, choice: typeof look | null) => {
          if (choice) setLook(choice)
        }}
        sx={{ alignSelf: 'center', my: 0.75 }}
      >
        <ToggleButton value="together" sx={{ py: 0.25 }}>
          Together
        </ToggleButton>
        <ToggleButton value="apart" sx={{ py: 0.25 }}>
          Taken apart
        </ToggleButton>
        <ToggleButton value="round" sx={{ py: 0.25 }}>
          3D
        </ToggleButton>
      </ToggleButtonGroup>
    </Box>
  )
}

/** A piece of several parts: what it is of at the left, how it stands together in the middle, what was picked at the right. */
export function AssemblyStation({ piece, supply, cardHref }: AssemblyStationProps) {
  const hand = useAssembly(piece)
  const { design, plan } = hand
  const say = useNotice()
  const [chosen, setChosen] = useState<string | undefined>(design.parts[0]?.id)
  const move = async (way: 'undo' | 'redo') => {
    const problem = await hand.move(way)
    if (problem) say({ text: problem })
  }
  useKeys({ undo: () => void move('undo'), redo: () => void move('redo') })
  const lines = linesOf(hand)
  const things = Object.fromEntries([...lines.parts, ...lines.others].map(({ id, name }) => [id, name]))
  const walk = useMemo(() => routeTemper(plan.assembly, metalsOf(plan)), [plan])
  return (
    <Box sx={{ flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0, overflow: { md: 'hidden' } }}>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '268px minmax(0, 1fr) 316px' },
          gridTemplateRows: { md: 'minmax(0, 1fr)' },
        }}
      >
        <Box
          component="section"
          aria-label="What it is made of"
          sx={{ px: 2.25, py: 1.5, overflowY: 'auto', borderRight: { md: `1px solid ${PALETTE.hairline}` } }}
        >
          <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
            <SaveWords state={hand.state} />
            <Box>
              <UndoRedo piece={piece} onMove={(way) => void move(way)} />
            </Box>
          </Box>
          <ThingList title="Parts" things={lines.parts} chosen={chosen} onChoose={setChosen} />
          <ThingList title="What goes on them" things={lines.others} chosen={chosen} onChoose={setChosen} />
          <ThingList title="Joints" things={lines.joints} chosen={chosen} onChoose={setChosen} />
          <HowMany piece={piece} losses={{ begun: 0, lost: 0 }} revision={hand.revision} />
        </Box>
        <Stage hand={hand} chosen={chosen} onPick={setChosen} />
        <Box
          component="section"
          aria-label="Picked, and what to add"
          sx={{ bgcolor: PALETTE.paper, px: 2.25, py: 1.5, overflowY: 'auto', borderLeft: { md: `1px solid ${PALETTE.hairline}` } }}
        >
          {chosen ? <ThingPanel id={chosen} pieceId={piece.id} hand={hand} things={things} /> : null}
          {plan.faults.map(({ path, message }) => (
            <Typography key={path} role="alert" sx={{ color: PALETTE.fire }}>
              {message}
            </Typography>
          ))}
          <AddThing hand={hand} things={things} onAdded={setChosen} />
          <Button variant="text" href={cardHref} target="_blank" sx={{ mt: 1 }}>
            Print the card
          </Button>
          <SupplyPanel supply={supply} />
          <ProblemLine says={hand.refusal} />
        </Box>
      </Box>
      {walk.steps.length > 0 ? <Ribbon walk={walk} /> : null}
    </Box>
  )
}
