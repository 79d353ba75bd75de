import Box from '@mui/material/Box'
import type { DapAnswer } from '@/core/forming'
import { formatPlain } from '@/core/units'
import { PALETTE } from '../theme/palette'

/** A way of doming that was kept to be looked at beside another. */
export interface KeptWay {
  readonly answer: DapAnswer
  readonly anneals: readonly boolean[]
}

/** What a way comes to at its last punch, and at its worst on the way there. */
function rowsOf({ answer, anneals }: KeptWay): readonly (readonly [string, string])[] {
  const last = answer.stages.at(-1)
  const spots = answer.stages.flatMap(({ pole, middle, rim }) => [pole, middle, rim])
  const used = Math.max(0, ...spots.map(({ workUsedFraction }) => workUsedFraction))
  const folds = Math.max(0, ...answer.stages.map(({ wrinkle }) => wrinkle.index))
  const mm = (value: number | undefined) => `${formatPlain(value ?? 0, 2)} mm`
  return [
    ['Anneals', String(anneals.filter(Boolean).length)],
    ['Crown', mm(last?.pole.thicknessMm)],
    ['Rim', mm(last?.rim.thicknessMm)],
    ['Height', mm(last?.heightMm)],
    ['Work used at the worst', `${Math.round(100 * used)} %`],
    ['Rim at the worst, of its limit', formatPlain(folds, 2)],
  ]
}

/** Two ways beside each other, row by row; what differs stands strong. */
export function BesideTable({ kept, now }: { readonly kept: KeptWay; readonly now: KeptWay }) {
  const [first, second] = [rowsOf(kept), rowsOf(now)]
  const cell = { textAlign: 'right', py: 0.25, pl: 1.5, borderBottom: `1px dotted ${PALETTE.hairline}` } as const
  return (
    <Box component="table" aria-label="Kept way beside this one" sx={{ width: '100%', borderCollapse: 'collapse', fontSize: 13.5, mt: 1 }}>
      <thead>
        <tr>
          <th aria-label="What is compared" />
          <Box component="th" scope="col" sx={{ ...cell, fontWeight: 400, color: PALETTE.muted }}>
            kept
          </Box>
          <Box component="th" scope="col" sx={{ ...cell, fontWeight: 400, color: PALETTE.muted }}>
            now
          </Box>
        </tr>
      </thead>
      <tbody>
        {first.map(([label, before], i) => {
          const after = second[i]?.[1] ?? ''
          return (
            <tr key={label}>
              <Box component="th" scope="row" sx={{ ...cell, pl: 0, textAlign: 'left', fontWeight: 400 }}>
                {label}
              </Box>
              <Box component="td" className="fig" sx={cell}>
                {before}
              </Box>
              <Box component="td" className="fig" sx={{ ...cell, fontWeight: before === after ? 400 : 700 }}>
                {after}
              </Box>
            </tr>
          )
        })}
      </tbody>
    </Box>
  )
}
