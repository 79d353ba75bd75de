'use client'
import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import type { DapAnswer, DomeSpot, Light } from '@/core/forming'
import { formatPlain } from '@/core/units'
import { LIGHT_COLOUR } from '../theme/light-colour'
import { PALETTE } from '../theme/palette'
import { StageButton } from './stage-button'

interface StageTableProps {
  readonly answer: DapAnswer
  readonly anneals: readonly boolean[]
  readonly chosen: number
  readonly onChoose: (index: number) => void
  readonly onAnneal: (index: number, annealed: boolean) => void
}

const FOLDS: Readonly<Record<Light, string>> = { green: 'no fold', amber: 'may ripple', red: 'folds' }

const worstSpot = (spots: readonly DomeSpot[]) =>
  spots.reduce((worst, spot) => (spot.workUsedFraction > worst.workUsedFraction ? spot : worst))

/** Each punch: what it makes of the metal, how near that is to splitting and folding, and whether it is annealed first. */
export function StageTable({ answer, anneals, chosen, onChoose, onAnneal }: StageTableProps) {
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, mt: 1.5 }}>
      {answer.stages.map((stage, i) => {
        const worst = worstSpot([stage.pole, stage.middle, stage.rim])
        const band = answer.bands[i]?.poleThicknessMm
        return (
          <Box component="li" key={`${i} ${stage.punchMm}`} sx={{ borderTop: `1px solid ${PALETTE.hairline}` }}>
            <FormControlLabel
              sx={{ ml: -1, '& .MuiFormControlLabel-label': { fontSize: 13.5 } }}
              control={<Checkbox size="small" checked={anneals[i] ?? false} onChange={(_, annealed) => onAnneal(i, annealed)} />}
              label={`annealed before punch ${i + 1}`}
            />
            <StageButton isChosen={i === chosen} onChoose={() => onChoose(i)}>
              <b>
                Punch <span className="fig">{formatPlain(stage.punchMm, 1)}</span> mm
              </b>
              <Box>
                <span className="fig">{formatPlain(stage.heightMm, 1)} mm</span> high,{' '}
                <span className="fig">{formatPlain(stage.rimDiameterMm, 1)} mm</span> across the rim
              </Box>
              <Box>
                crown <span className="fig">{formatPlain(stage.pole.thicknessMm, 2)}</span>
                {band ? (
                  <>
                    {' '}
                    (<span className="fig">{formatPlain(band.p10, 2)}</span> to <span className="fig">{formatPlain(band.p90, 2)} mm</span>)
                  </>
                ) : null}
                , rim <span className="fig">{formatPlain(stage.rim.thicknessMm, 2)} mm</span>
              </Box>
              <Box sx={{ color: LIGHT_COLOUR[worst.light] }}>
                <span className="fig">{Math.round(100 * worst.workUsedFraction)} %</span> ±{' '}
                <span className="fig">{Math.round(30 * worst.workUsedFraction)}</span> of its work used
              </Box>
              <Box sx={{ color: LIGHT_COLOUR[stage.wrinkle.light] }}>
                rim {FOLDS[stage.wrinkle.light]} (<span className="fig">{formatPlain(stage.wrinkle.index, 2)}</span> of the limit)
              </Box>
            </StageButton>
          </Box>
        )
      })}
    </Box>
  )
}
