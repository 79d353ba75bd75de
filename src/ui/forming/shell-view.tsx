'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Light } from '@/core/forming'
import { ALLOYS } from '@/core/metals'
import type { ShellPart, ShellStage, ShellWay } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { LIGHT_COLOUR } from '../theme/light-colour'
import { PALETTE } from '../theme/palette'
import { PictureAndPanel } from './picture-and-panel'
import { ShellSection } from './shell-section'
import { StageButton } from './stage-button'
import { ThicknessChart } from './thickness-chart'

/** What happens to the metal in each way of hollowing it, and how far the figures can be trusted. */
const WAY_WORDS: Readonly<Record<ShellWay, string>> = {
  held: 'With its rim held nothing draws in: all of the depth comes out of the thickness, most of it in the middle. Within 8 % to a depth of 0.6 of the half width; past a depth of half of it bench metal seldom follows.',
  pressed:
    'With its rim free the metal draws in: the middle thins less than where it is held, the rim thickens and may fold. The crown is the hand’s, within 0.4 to 1.8 of what is calculated; the rim is known better.',
  sunk: 'Sunk into a hollow it thins in the middle and thickens at its rim like a dome. Planishing thins it further and is a step of its own.',
  raised:
    'Raised on the stake the wall thickens by what its round loses, at the free edge by half of that. The wall is drawn straight. Bench practice, a rough figure.',
}
const SAID: Readonly<Record<Light, string>> = { green: 'within its limit', amber: 'near its limit', red: 'likely to split' }

const thicknesses = ({ profile }: ShellStage) => profile.map(({ thicknessMm }) => thicknessMm)

function StageWords({ stage }: { readonly stage: ShellStage }) {
  const { state, profile } = stage
  const [crown, rim] = [profile[0], profile.at(-1)]
  return (
    <>
      <b>{stage.title}</b>
      <Box>
        <span className="fig">{formatPlain(crown?.zMm ?? 0, 1)} mm</span> {stage.way === 'sunk' ? 'deep' : 'high'},{' '}
        <span className="fig">{formatPlain(2 * (rim?.rMm ?? 0), 1)} mm</span> across
      </Box>
      <Box>
        from <span className="fig">{formatPlain(Math.min(...thicknesses(stage)), 2)}</span> to{' '}
        <span className="fig">{formatPlain(Math.max(...thicknesses(stage)), 2)} mm</span> thick
      </Box>
      <Box sx={{ color: LIGHT_COLOUR[state.light] }}>
        <span className="fig">{Math.round(100 * state.workUsedFraction)} %</span> ±{' '}
        <span className="fig">{Math.round(100 * state.plusMinusFraction)}</span> of its work used, most at the {state.worstRegion}
      </Box>
    </>
  )
}

/** A part that is pressed, sunk or raised: in section and along its thickness, step by step as its route has it. */
export function ShellView({ part }: { readonly part: ShellPart }) {
  const [chosen, setChosen] = useState(part.stages.length - 1)
  const stage = part.stages[chosen]
  if (!stage) return null
  return (
    <PictureAndPanel
      label="Stages"
      picture={
        <>
          <Typography variant="h2">
            {part.name}, {ALLOYS[part.alloy].title.toLowerCase()} <span className="fig">{formatPlain(part.thicknessMm, 2)} mm</span>
          </Typography>
          <ShellSection stages={part.stages} chosen={chosen} thicknessMm={part.thicknessMm} />
          <Typography variant="body2" sx={{ color: PALETTE.muted, mt: 0.5 }}>
            Rust: thinner than the sheet; blue: thicker.{part.stages.length > 1 ? ' Dashed: the other stages.' : ''} Figures are mm of
            metal.
          </Typography>
          <Typography variant="h2" sx={{ mt: 1.5 }}>
            Thickness from the crown to the rim
          </Typography>
          <ThicknessChart stages={part.stages} chosen={chosen} thicknessMm={part.thicknessMm} />
        </>
      }
      panel={
        <>
          <Typography role="status" sx={{ fontWeight: 600, color: LIGHT_COLOUR[stage.state.light] }}>
            Against splitting {SAID[stage.state.light]}.
          </Typography>
          <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, mt: 1.5 }}>
            {part.stages.map((one, i) => (
              <Box component="li" key={`${i} ${one.title}`} sx={{ borderTop: `1px solid ${PALETTE.hairline}`, pt: 0.75 }}>
                {one.annealBefore ? <Typography variant="body2">annealed before it</Typography> : null}
                <StageButton isChosen={i === chosen} onChoose={() => setChosen(i)}>
                  <StageWords stage={one} />
                </StageButton>
              </Box>
            ))}
          </Box>
          <Typography variant="body2" sx={{ mt: 1.5 }}>
            {WAY_WORDS[stage.way]} The steps and their sizes are those of the route.
          </Typography>
        </>
      }
    />
  )
}
