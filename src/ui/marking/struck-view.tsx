'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { memo, type ReactNode, useMemo, useState } from 'react'
import { faceOf, type Mark } from '@/core/marks'
import { colourOf } from '../drawing/metal-colour'
import { useSize } from '../drawing/use-size'
import { CheckList } from '../forms/answer-column'
import { SheetAndPanel } from '../layout/sheet-and-panel'
import { ChoiceField } from '../shared/choice-field'
import { useSteadyAll } from '../shared/use-steady'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { MarkDrawing } from './mark-drawing'
import { MarkFields } from './mark-fields'
import { MarkFigures } from './mark-results'
import { MARK_KINDS, markTitle } from './mark-words'
import { newMark } from './new-mark'
import type { BlankHand, MarkedPiece } from './use-marks'

const Looked = memo(CheckList)

const FACES = { front: 'front', back: 'back' } as const
type Face = keyof typeof FACES

/** The marks of a part, one to be chosen; new ones are put at the end. */
function MarkList({
  marks,
  chosen,
  onChoose,
}: {
  readonly marks: readonly Mark[]
  readonly chosen: number
  readonly onChoose: (at: number) => void
}) {
  return (
    <Box component="ol" aria-label="Marks" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {marks.map((mark, i) => (
        <Box component="li" key={i} sx={{ borderBottom: `1px dotted ${PALETTE.hairline}` }}>
          <Button
            variant="text"
            fullWidth
            aria-current={i === chosen ? 'true' : undefined}
            onClick={() => onChoose(i)}
            sx={{ justifyContent: 'flex-start', textAlign: 'left', color: PALETTE.ink, fontWeight: i === chosen ? 700 : 400 }}
          >
            {markTitle(mark)}
            {mark.face === 'back' ? ', on the back' : ''}
          </Button>
        </Box>
      ))}
    </Box>
  )
}

/** What is added next. */
function AddMark({ onAdd }: { readonly onAdd: (kind: Mark['kind']) => void }) {
  const [kind, setKind] = useState<Mark['kind']>('letters')
  return (
    <Box sx={{ display: 'flex', alignItems: 'flex-end', gap: 1, my: 1 }}>
      <ChoiceField label="Add" value={kind} options={MARK_KINDS} onChange={(next) => setKind(next as Mark['kind'])} width={170} />
      <Button variant="contained" onClick={() => onAdd(kind)} sx={{ mb: 0.5 }}>
        Put it on
      </Button>
    </Box>
  )
}

/** The guide to print and stick on, and the same as files. */
function Guide({
  pieceId,
  part,
  face,
  onBefore,
}: {
  readonly pieceId: number
  readonly part: string
  readonly face: Face
  readonly onBefore: () => Promise<unknown>
}) {
  const { uid } = useWorkshop()
  const [isMirrored, setMirrored] = useState(false)
  const hrefOf = (kind: string) =>
    `/api/pieces/${pieceId}/marks/${kind}?of=${uid}&part=${encodeURIComponent(part)}&face=${face}${isMirrored ? '&mirror=1' : ''}`
  const open = async (kind: string) => {
    await onBefore()
    window.open(hrefOf(kind), kind === 'pdf' ? '_blank' : '_self')
  }
  return (
    <Box component="section" aria-label="Guide" sx={{ mt: 2 }}>
      <Typography variant="h3">Guide at full size</Typography>
      <FormControlLabel
        control={<Checkbox size="small" checked={isMirrored} onChange={(_, on) => setMirrored(on)} />}
        label="Mirrored, for a transfer laid face down"
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        {(['pdf', 'svg', 'dxf'] as const).map((kind) => (
          <Button key={kind} onClick={() => open(kind)}>
            {kind === 'pdf' ? 'Print guide (PDF)' : kind.toUpperCase()}
          </Button>
        ))}
      </Box>
    </Box>
  )
}

/** What a view of the blank is handed: the piece, its marks under the hands, and what stands at the top and the foot of every panel. */
export interface ViewProps {
  readonly piece: MarkedPiece
  readonly hand: BlankHand
  readonly top: ReactNode
  readonly foot: ReactNode
}

/** What is struck and drilled on a part’s blank while it is flat: drawn where it goes, moved by hand, and followed into the formed piece. */
export function StruckView({ piece, hand, top, foot }: ViewProps) {
  const { part, answer, chosen } = hand
  const { choose: take, change } = useSteadyAll({ choose: hand.choose, change: hand.change })
  const { ref, width, height } = useSize({ width: 760, height: 620 })
  const [face, setFace] = useState<Face>('front')
  const [isFormed, setFormed] = useState(false)
  const mark = part.marks[chosen]
  const { outer, holes } = part
  const seen = useMemo(() => faceOf({ outer, holes }, face), [outer, holes, face])
  const blows = useMemo(() => hand.blows.filter((blow) => blow.face === face), [hand.blows, face])
  const formed = useMemo(
    () => (isFormed ? answer?.formed?.filter((_, i) => answer.marks[i]?.face === face) : undefined),
    [isFormed, answer, face],
  )
  const choose = (at: number) => {
    hand.choose(at)
    setFace(part.marks[at]?.face ?? 'front')
  }
  const add = (kind: Mark['kind']) => {
    const made = newMark(kind, seen.outer)
    const on = kind === 'hallmark' ? made : { ...made, face }
    hand.add(on)
    setFace(on.face)
  }
  return (
    <SheetAndPanel
      sheetRef={ref}
      label="Marks"
      panelPx={380}
      sheet={
        <Box sx={{ position: 'relative' }}>
          <Box sx={{ position: 'absolute', top: 8, left: 16, display: 'flex', gap: 2, alignItems: 'center' }}>
            <ToggleButtonGroup
              exclusive
              size="small"
              value={face}
              aria-label="Face"
              onChange={(_, next: Face | null) => next && setFace(next)}
            >
              {Object.entries(FACES).map(([id, title]) => (
                <ToggleButton key={id} value={id}>
                  {title}
                </ToggleButton>
              ))}
            </ToggleButtonGroup>
            {part.after ? (
              <FormControlLabel
                control={<Checkbox size="small" checked={isFormed} onChange={(_, on) => setFormed(on)} />}
                label={part.after.kind === 'dome' ? 'As it lies on the dome, from above' : 'As long as it is on the ring'}
              />
            ) : null}
          </Box>
          <MarkDrawing
            outer={seen.outer}
            holes={seen.holes}
            colour={colourOf(part.alloy)}
            blows={blows}
            formed={formed}
            marks={part.marks}
            chosen={mark?.face === face ? chosen : -1}
            width={width}
            height={height - 8}
            onChoose={take}
            onMove={change}
          />
        </Box>
      }
    >
      {top}
      <Typography variant="h2">Marks on the {part.blank.toLowerCase()}</Typography>
      <AddMark onAdd={add} />
      <MarkList marks={part.marks} chosen={chosen} onChoose={choose} />
      {answer ? <Looked checks={answer.checks} label="What to look at" /> : null}
      {mark ? (
        <Box component="section" aria-label="This mark" sx={{ mt: 1.5 }}>
          <Typography variant="h3">{markTitle(mark)}</Typography>
          <MarkFields
            key={`${part.part} ${chosen} ${mark.kind}`}
            mark={mark}
            outer={faceOf(part, mark.face).outer}
            onChange={(next) => hand.change(chosen, next)}
          />
          <ChoiceField
            label="Struck on the"
            value={mark.face}
            options={FACES}
            onChange={(next) => {
              hand.change(chosen, { ...mark, face: next as Face })
              setFace(next as Face)
            }}
          />
          <Button variant="text" onClick={() => hand.remove(chosen)}>
            Take it off
          </Button>
        </Box>
      ) : (
        <Typography variant="body2" sx={{ my: 1 }}>
          Nothing is marked yet. Words, stamps, holes, a hallmark or a map of dots can be put on while the blank is flat.
        </Typography>
      )}
      {foot}
      {answer ? (
        <>
          <MarkFigures answer={answer} chosen={chosen} outer={part.outer} />
          <Guide pieceId={piece.id} part={part.part} face={face} onBefore={hand.stored} />
        </>
      ) : null}
    </SheetAndPanel>
  )
}
