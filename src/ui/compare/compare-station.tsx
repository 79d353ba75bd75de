'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import type { FormResult } from '@/core/forms'
import type { CompareRow, PieceComparison } from '@/core/piece'
import { useAct } from '../acting/act-provider'
import { metalColour } from '../drawing/metal-colour'
import { fitView } from '../drawing/scale'
import { ScaleDrawing } from '../drawing/scale-drawing'
import { useSize } from '../drawing/use-size'
import { ChoiceField } from '../shared/choice-field'
import { PALETTE } from '../theme/palette'

interface CompareStationProps {
  readonly piece: { readonly id: number; readonly name: string }
  readonly others: readonly { readonly id: number; readonly name: string; readonly jobTitle: string }[]
  readonly otherId: number | null
  readonly results: readonly [FormResult, FormResult] | null
  readonly comparison: PieceComparison | null
}

interface PictureProps {
  readonly result: FormResult
  readonly label: string
  /** Both are drawn at the scale at which the larger fits. */
  readonly beside: FormResult
}

function Picture({ result, label, beside }: PictureProps) {
  const { ref, width, height } = useSize({ width: 420, height: 260 })
  const [view] = result.drawing.views
  const [other] = beside.drawing.views
  const maxScale = other ? fitView(other, width, height - 32).scale : undefined
  return (
    <Box component="section" aria-label={label} ref={ref} sx={{ minWidth: 0, height: 300, overflow: 'hidden' }}>
      {view ? (
        <ScaleDrawing view={view} colour={metalColour(result)} width={width} height={height - 32} {...(maxScale ? { maxScale } : {})} />
      ) : null}
    </Box>
  )
}

const CELL = { py: 0.75, px: 1.5, borderBottom: `1px dotted ${PALETTE.hairline}`, textAlign: 'left' } as const

/** Figures stand in the figure face, words in the reading face. */
const faceOf = (text: string) => (/\d/.test(text) ? 'fig' : undefined)

function Rows({ title, rows, empty }: { readonly title: string; readonly rows: readonly CompareRow[]; readonly empty: string }) {
  return (
    <>
      <Box component="tr">
        <Box component="th" colSpan={4} scope="colgroup" sx={{ ...CELL, pt: 1.75 }}>
          <Typography variant="h2" component="span">
            {title}
          </Typography>
        </Box>
      </Box>
      {rows.length === 0 ? (
        <Box component="tr">
          <Box component="td" colSpan={4} sx={CELL}>
            <Typography variant="body2">{empty}</Typography>
          </Box>
        </Box>
      ) : (
        rows.map((row) => (
          <Box component="tr" key={row.label} sx={{ bgcolor: row.differs ? PALETTE.white : undefined }}>
            <Box component="th" scope="row" sx={{ ...CELL, fontWeight: 500 }}>
              {row.label}
            </Box>
            <Box component="td" className={faceOf(row.first)} sx={CELL}>
              {row.first}
            </Box>
            <Box component="td" className={faceOf(row.second)} sx={{ ...CELL, fontWeight: row.differs ? 700 : 400 }}>
              {row.second}
            </Box>
            <Box component="td" className="fig" sx={{ ...CELL, color: PALETTE.muted }}>
              {row.differs ? row.difference || 'differs' : ''}
            </Box>
          </Box>
        ))
      )}
    </>
  )
}

/** Two pieces side by side: pictures at the top, what differs below. */
export function CompareStation({ piece, others, otherId, results, comparison }: CompareStationProps) {
  const router = useRouter()
  const [problem, setProblem] = useState<string>()
  const act = useAct()
  async function duplicate() {
    const made = await act('duplicatePiece', { pieceId: piece.id })
    if (made.ok) router.push(`/pieces/${made.id}`)
    else setProblem(made.message)
  }
  const variant = (
    <>
      <Button onClick={() => void duplicate()}>Make a variant</Button>
      {problem ? <Typography role="alert">{problem}</Typography> : null}
    </>
  )
  const titles = Object.fromEntries(others.map((other) => [String(other.id), `${other.name}, ${other.jobTitle}`]))
  if (otherId === null)
    return (
      <Box sx={{ p: 3, maxWidth: 640 }}>
        <Typography sx={{ mb: 1.5 }}>
          There is nothing beside this piece yet. A variant is a second piece with the same design, in the same job: change it at Size, then
          look at both here.
        </Typography>
        {variant}
      </Box>
    )
  return (
    <Box sx={{ flex: 1, minHeight: 0, overflowY: 'auto', px: 2.25, pb: 2 }}>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' }, gap: 2 }}>
        <Box>
          <Typography sx={{ fontWeight: 700, fontSize: 17, height: 48, display: 'flex', alignItems: 'center' }}>{piece.name}</Typography>
          {results ? <Picture result={results[0]} beside={results[1]} label={piece.name} /> : null}
        </Box>
        <Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2, minHeight: 48 }}>
            <ChoiceField
              label="Beside"
              value={String(otherId)}
              options={titles}
              width={300}
              onChange={(id) => router.push(`/pieces/${piece.id}/compare?with=${id}`)}
            />
            {variant}
          </Box>
          {results ? <Picture result={results[1]} beside={results[0]} label={titles[String(otherId)] ?? ''} /> : null}
        </Box>
      </Box>
      {comparison ? (
        <Box component="table" aria-label="Comparison" sx={{ width: '100%', borderCollapse: 'collapse', fontSize: 14.5 }}>
          <Box component="tbody">
            <Rows title="What it comes to" rows={comparison.comesTo} empty="" />
            <Rows title="What was entered differently" rows={comparison.entered} empty="Nothing: both are the same design." />
          </Box>
        </Box>
      ) : (
        <Typography role="status">One of the two cannot be made as it is entered; put it right at Size first.</Typography>
      )}
    </Box>
  )
}
