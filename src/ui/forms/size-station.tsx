'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { type ReactNode, useState } from 'react'
import type { Supply } from '@/core/costing'
import { type DrawingView, viewBounds } from '@/core/drawing'
import type { FormResult } from '@/core/forms'
import { type GrowthSums, type Losses, ownAllowanceOf } from '@/core/logbook'
import { metalsOf, type PieceDesign, roughOf, routeTemper } from '@/core/piece'
import { SaveWords } from '../acting/save-words'
import { UndoRedo } from '../acting/undo-redo'
import { metalColour } from '../drawing/metal-colour'
import { ScaleDrawing } from '../drawing/scale-drawing'
import { useSize } from '../drawing/use-size'
import { useKeys } from '../keys/use-keys'
import { Ribbon } from '../route/ribbon'
import { useNotice } from '../shared/notices'
import { SolidView } from '../solid/solid-view'
import { PALETTE } from '../theme/palette'
import { AfterOriginal } from './after-original'
import { AnswerBox, AnswerColumn } from './answer-column'
import { FormFields } from './form-fields'
import { HowMany } from './how-many'
import { OwnRecord } from './own-record'
import { Schools } from './schools'
import { SupplyPanel } from './supply-panel'
import { useDesign } from './use-design'
import { useLast } from './use-last'
import { WhatComesOut } from './what-comes-out'

interface SizeStationProps {
  readonly piece: {
    readonly id: number
    readonly name: string
    readonly quantity: number
    readonly spares: number
    readonly revisionId: number
    readonly revision: number
    readonly canUndo: boolean
    readonly redoId: number | null
    readonly design: PieceDesign
  }
  /** Which of its parts is sized here. */
  readonly partId: string
  /** Where it stands among its parts; none where it is the only one. */
  readonly parts: ReactNode
  /** The record of this form and metal, by method. */
  readonly methods: Readonly<Record<string, GrowthSums>>
  readonly losses: Losses
  readonly supply: readonly Supply[]
  readonly cardHref: string
}

/** How much of the column a view gets: tall views more, flat ones enough for their lettering. */
function shareOf(view: DrawingView): number {
  const box = viewBounds(view)
  return Math.min(1, Math.max(0.75, (box.maxY - box.minY) / (box.maxX - box.minX || 1)))
}

/** Two views beside one another want at least this, px. */
const PAIR_FROM_PX = 520

/** Each view has a row of its own; where there are more than two and there is room, the first two share theirs. */
function rowsOf(views: readonly DrawingView[], width: number): readonly (readonly DrawingView[])[] {
  return views.length > 2 && width >= PAIR_FROM_PX
    ? [views.slice(0, 2), ...views.slice(2).map((view) => [view])]
    : views.map((view) => [view])
}

function Drawings({ result, onHandle }: { readonly result: FormResult; readonly onHandle: (field: string, by: number) => void }) {
  const { ref, width, height } = useSize({ width: 600, height: 560 })
  const colour = metalColour(result)
  const rows = rowsOf(result.drawing.views, width)
  const shares = rows.map((row) => Math.max(...row.map(shareOf)))
  const whole = shares.reduce((sum, share) => sum + share, 0)
  return (
    <Box
      ref={ref}
      sx={{
        height: '100%',
        minHeight: { xs: 460, md: 0 },
        overflow: 'hidden',
      }}
    >
      {rows.map((row, i) => (
        <Box key={row[0]?.id} sx={{ display: 'flex' }}>
          {row.map((view) => (
            <ScaleDrawing
              key={view.id}
              view={view}
              colour={colour}
              width={width / row.length}
              height={(height * (shares[i] ?? 1)) / whole - 46}
              onHandle={onHandle}
            />
          ))}
        </Box>
      ))}
    </Box>
  )
}

/** The metal in the middle: drawn in section and flat, or in 3D. */
function Stage({
  result,
  faded,
  onHandle,
}: {
  readonly result: FormResult | undefined
  readonly faded: boolean
  readonly onHandle: (field: string, by: number) => void
}) {
  const [look, setLook] = useState<'drawn' | 'round'>('drawn')
  return (
    <Box
      component="section"
      aria-label="Drawing"
      sx={{ display: 'flex', flexDirection: 'column', minWidth: 0, minHeight: 0, overflow: 'hidden', opacity: faded ? 0.45 : 1 }}
    >
      <Box sx={{ flex: 1, minHeight: 0 }}>
        {result ? look === 'round' ? <SolidView result={result} /> : <Drawings result={result} onHandle={onHandle} /> : null}
      </Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        value={look}
        aria-label="Look at it"
        onChange={(_, choice: 'drawn' | 'round' | null) => {
          if (choice) setLook(choice)
        }}
        sx={{ alignSelf: 'center', my: 0.75 }}
      >
        <ToggleButton value="drawn" sx={{ py: 0.25 }}>
          Drawn to scale
        </ToggleButton>
        <ToggleButton value="round" sx={{ py: 0.25 }}>
          3D
        </ToggleButton>
      </ToggleButtonGroup>
    </Box>
  )
}

/** Finished piece to blank: what was measured at the left, the metal in the middle, the answer and its working at the right. */
export function SizeStation({ piece, partId, parts, methods, losses, supply, cardHref }: SizeStationProps) {
  const design = useDesign(piece, partId)
  const say = useNotice()
  const move = async (way: 'undo' | 'redo') => {
    const problem = await design.move(way)
    if (problem) say({ text: problem })
  }
  useKeys({ undo: () => void move('undo'), redo: () => void move('redo') })
  const isPhone = useMediaQuery('(max-width:899.95px)')
  const { plan, typed, part } = design
  const shown = useLast(part?.result ? plan : undefined)
  const issues = Object.fromEntries((part?.issues ?? []).map((issue) => [issue.path, issue.message]))
  const result = shown?.parts.find(({ id }) => id === part?.id)?.result
  const isSized = part?.result !== undefined
  const problem = Object.values(issues)[0] ?? 'Enter the sizes.'
  const walk = shown ? routeTemper(shown.assembly, metalsOf(shown)) : undefined
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
        {isPhone && result && isSized ? (
          <Box sx={{ position: 'sticky', top: 0, zIndex: 5, px: 1 }}>
            <AnswerBox result={result} />
          </Box>
        ) : null}
        <Box
          component="section"
          aria-label="Finished piece"
          sx={{ px: 2.25, py: 1.5, overflowY: 'auto', borderRight: { md: `1px solid ${PALETTE.hairline}` } }}
        >
          <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
            <Box>
              <Typography variant="h2">Finished piece</Typography>
              <SaveWords state={design.state} />
            </Box>
            <Box>
              <UndoRedo piece={piece} onMove={(way) => void move(way)} />
            </Box>
          </Box>
          {parts}
          <FormFields
            formId={design.formId}
            values={typed}
            understood={result?.understood ?? {}}
            issues={issues}
            onChange={design.change}
            onLeave={design.saveNow}
          />
          <HowMany piece={piece} losses={losses} revision={design.revision} />
          {issues.form ? <Typography role="alert">{issues.form}</Typography> : null}
          {result ? (
            <>
              <Schools
                label={result.questionLabel}
                chosen={result.school}
                options={result.schools}
                onChoose={(id) => design.choose(result.question, id)}
              />
              {result.choices.map((choice) => (
                <Schools
                  key={choice.question}
                  label={choice.label}
                  chosen={choice.school}
                  options={choice.schools}
                  onChoose={(id) => design.choose(choice.question, id)}
                />
              ))}
            </>
          ) : null}
        </Box>
        <Stage result={result} faded={!isSized} onHandle={design.nudge} />
        <Box
          component="section"
          aria-label="Answer and working"
          sx={{ bgcolor: PALETTE.paper, px: 2.25, py: 1.5, overflowY: 'auto', borderLeft: { md: `1px solid ${PALETTE.hairline}` } }}
        >
          <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'center' }}>
            <Typography variant="h2">The blank</Typography>
            <Button variant="text" href={cardHref} target="_blank">
              Print the card
            </Button>
          </Box>
          {result ? (
            <AnswerColumn
              result={result}
              problem={isSized ? undefined : problem}
              rough={part && roughOf(part)}
              isAnswerAbove={isPhone}
              count={(piece.quantity + piece.spares) * (part?.count ?? 1)}
              supply={<SupplyPanel supply={supply} />}
              record={
                <>
                  <OwnRecord
                    own={ownAllowanceOf(result, methods)}
                    appliedMm={result.understood.allowanceMm?.mm ?? (Number(typed.allowanceMm) || 0)}
                    typed={typed.allowanceMm ?? '0'}
                    error={issues.allowanceMm}
                    onChange={(text) => design.change('allowanceMm', text)}
                    onLeave={design.saveNow}
                  />
                  <WhatComesOut
                    result={result}
                    bands={design.bands}
                    issues={issues}
                    onChange={design.changeBand}
                    onLeave={design.saveNow}
                  />
                  <AfterOriginal
                    result={result}
                    originals={design.originals}
                    issues={issues}
                    onChange={design.changeOriginal}
                    onLeave={design.saveNow}
                  />
                </>
              }
            />
          ) : (
            <Typography role="status">{problem}</Typography>
          )}
        </Box>
      </Box>
      {walk && walk.steps.length > 0 ? <Ribbon walk={walk} /> : null}
    </Box>
  )
}
