'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { SaveWords } from '../acting/save-words'
import { colourOf } from '../drawing/metal-colour'
import { useSize } from '../drawing/use-size'
import { KEY_REGISTRY } from '../keys/registry'
import { useKeys } from '../keys/use-keys'
import { SheetAndPanel } from '../layout/sheet-and-panel'
import { PALETTE } from '../theme/palette'
import { CutCard, cutTitle } from './cut-card'
import { SawDrawing } from './saw-drawing'
import { SawTotals } from './saw-totals'
import { type SawnLayout, useSawPlan } from './use-saw-plan'

type Plan = ReturnType<typeof useSawPlan>

function AllMade({ onAnew }: { readonly onAnew: () => void }) {
  return (
    <Box sx={{ py: 2 }}>
      <Typography variant="h2">Every line is cut</Typography>
      <Button sx={{ mt: 1 }} onClick={onAnew}>
        Begin anew
      </Button>
    </Box>
  )
}

/** The cuts in their order; any of them can be looked at. */
function CutList({
  plan: { cuts },
  made,
  current,
  onShow,
}: {
  readonly plan: Plan['plan']
  readonly made: readonly string[]
  readonly current: Plan['current']
  readonly onShow: (key: string) => void
}) {
  return (
    <Box component="ol" aria-label="Cuts in order" sx={{ listStyle: 'none', p: 0, m: 0, mt: 2 }}>
      {cuts.map((cut) => (
        <Box component="li" key={cut.key} sx={{ borderBottom: `1px dotted ${PALETTE.hairline}` }}>
          <Button
            variant="text"
            fullWidth
            aria-current={cut.key === current?.key ? 'step' : undefined}
            onClick={() => onShow(cut.key)}
            sx={{
              justifyContent: 'flex-start',
              textAlign: 'left',
              color: made.includes(cut.key) ? PALETTE.muted : PALETTE.ink,
              fontWeight: cut.key === current?.key ? 700 : 400,
              textDecoration: made.includes(cut.key) ? 'line-through' : 'none',
            }}
          >
            <Box component="span" className="fig" sx={{ width: 34, flexShrink: 0 }}>
              {cut.number}
            </Box>
            {cutTitle(cut)}
          </Button>
        </Box>
      ))}
    </Box>
  )
}

/** A layout's saw plan: the sheet with its cuts in order, stepped through one by one, and what can be chosen for each line. */
export function SawStation({ layout }: { readonly layout: SawnLayout }) {
  const { plan, made, current, left, ...hands } = useSawPlan(layout)
  const { ref, width, height } = useSize({ width: 760, height: 620 })
  const onBack = made.length > 0 ? hands.back : undefined
  useKeys({ nextCut: left > 0 ? hands.next : undefined, backCut: onBack, undo: hands.canUndo ? hands.undo : undefined })
  return (
    <SheetAndPanel
      sheetRef={ref}
      label="Saw plan"
      panelPx={340}
      sheet={
        <SawDrawing
          sheet={layout.sheet}
          colour={colourOf(layout.sheet.alloy)}
          cuts={plan.cuts}
          made={made}
          current={left > 0 ? current : undefined}
          kerfMm={layout.kerfMm}
          width={width}
          height={height - 8}
          onShow={hands.show}
        />
      }
    >
      {current && left > 0 ? (
        <CutCard
          cut={current}
          count={plan.cuts.length}
          isFixed={layout.isCut}
          onChoose={hands.choose}
          onNext={hands.next}
          onBack={onBack}
        />
      ) : (
        <AllMade onAnew={hands.beginAnew} />
      )}
      {made.length > 0 && left > 0 ? (
        <Button variant="text" onClick={hands.beginAnew}>
          Begin anew
        </Button>
      ) : null}
      {layout.isCut ? null : (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Button variant="text" title={KEY_REGISTRY.undo.shown} disabled={!hands.canUndo} onClick={hands.undo}>
            Undo
          </Button>
          <SaveWords state={hands.state} />
        </Box>
      )}
      <Typography role="status" variant="body2">
        {hands.refusal}
      </Typography>
      <SawTotals plan={plan} broken={layout.bladesBroken} />
      <CutList plan={plan} made={made} current={left > 0 ? current : undefined} onShow={hands.show} />
    </SheetAndPanel>
  )
}
