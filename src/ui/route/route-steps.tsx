'use client'
import Box from '@mui/material/Box'
import { PALETTE } from '../theme/palette'
import { COLUMN, LEFT } from './board-shape'
import { Ribbon } from './ribbon'
import type { RouteView } from './route-view'
import { StrandBoard } from './strand-board'
import type { RouteDoing, RouteSeen } from './use-route-view'

interface RouteStepsProps {
  readonly seen: RouteSeen
  /** The route as it would be where a step is held over another place. */
  readonly shown: RouteView
  readonly does: RouteDoing
}

/** The wires of a route with their steps, and the metal beneath them, scrolled together. */
export function RouteSteps({ seen: { wanted, view, index, skipped }, shown, does }: RouteStepsProps) {
  return (
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
        chosen={wanted.steps[index]?.id}
        onChoose={does.choose}
        onOver={does.lift}
        onDrop={does.reorder}
        onRemove={does.remove}
      />
      {shown.temper.steps.length > 0 ? (
        <div style={{ width: LEFT + wanted.steps.length * COLUMN + 12, marginTop: 8, backgroundColor: PALETTE.white }}>
          <Ribbon
            walk={shown.temper}
            onAnneal={does.addAnneal}
            without={skipped?.without}
            under={{ left: LEFT, column: COLUMN, ids: shown.board.map(({ step }) => step.id) }}
          />
        </div>
      ) : null}
    </Box>
  )
}
