'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { type BendAnswer, mostBentShare } from '@/core/forming'
import { ALLOYS, BOUGHT_TEMPERS, temperStrain } from '@/core/metals'
import { type BentPart, bendOf } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { PressWheel } from '../solid/press-wheel'
import { LIGHT_COLOUR } from '../theme/light-colour'
import { BendSection } from './bend-section'
import { PictureAndPanel } from './picture-and-panel'
import { SpringChart } from './spring-chart'
import { TrialStrip } from './trial-strip'

/** The tempers it can be tried in, beside the one its route brings it to the former with. */
const TRIED = ['annealed', 'half-hard', 'hard'] as const
type Tried = 'route' | (typeof TRIED)[number]

const inside = (radiusMm: number, part: BentPart) => 2 * radiusMm - part.thicknessMm

const Mm = ({ value }: { readonly value: number }) => <span className="fig">{formatPlain(value, 1)} mm</span>

/** What it springs to, with its band; flat where nothing holds it. */
function Sprung({ part, answer }: { readonly part: BentPart; readonly answer: BendAnswer }) {
  const { sprungRadiusMm, between } = answer
  if (sprungRadiusMm === null) return <>it springs flat again</>
  return (
    <>
      it opens to <Mm value={inside(sprungRadiusMm, part)} />
      {between.leastMm === null ? null : (
        <>
          {' '}
          (<Mm value={inside(between.leastMm, part)} /> to {between.mostMm === null ? 'flat' : <Mm value={inside(between.mostMm, part)} />})
        </>
      )}
    </>
  )
}

function Words({ part, answer, formerMm }: { readonly part: BentPart; readonly answer: BendAnswer; readonly formerMm: number }) {
  const wantedMm = 2 * part.insideRadiusMm
  const aimed = answer.formerRadiusMm
  const isAimed = Math.abs(formerMm - wantedMm) > 0.01
  return (
    <>
      <Typography role="status" sx={{ fontWeight: 600, mt: 1.5 }}>
        Bent on <Mm value={formerMm} /> inside and let go, <Sprung part={part} answer={answer} />.
      </Typography>
      <Typography sx={{ mt: 1 }}>
        {part.isClosed
          ? 'Its ends meet and the joint holds them: close it past the joint so that it springs shut. The heat of the solder takes the spring away.'
          : isAimed || aimed === null
            ? 'Nothing holds it when it is worn: the former has to be smaller than the cuff.'
            : `To be worn at ${formatPlain(wantedMm, 1)} mm, bend it on ${formatPlain(inside(aimed, part), 1)} mm.`}
      </Typography>
      <Typography sx={{ mt: 1, color: LIGHT_COLOUR[answer.light] }}>
        <span className="fig">{Math.round(100 * answer.workUsedFraction)} %</span> ±{' '}
        <span className="fig">{Math.round(30 * answer.workUsedFraction)}</span> of what the outside can take is used then; the outside is
        stretched by <span className="fig">{(100 * answer.outerStrain).toFixed(answer.outerStrain < 0.1 ? 1 : 0)} %</span>.
      </Typography>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        {answer.smallestInsideMm === null
          ? 'From this temper it takes no bend: anneal it first.'
          : answer.smallestInsideMm < 0.05
            ? 'From this temper it could be folded flat.'
            : `From this temper the smallest sound inside radius is about ${formatPlain(answer.smallestInsideMm, 1)} mm.`}
      </Typography>
    </>
  )
}

/** A part bent round a former: as it closes, and what it springs to when it is let go. */
export function BendView({ part }: { readonly part: BentPart }) {
  const [temper, setTemper] = useState<Tried>('route')
  const [aim, setAim] = useState<'size' | 'spring'>('size')
  const [closed, setClosed] = useState(0.7)
  const strain = temper === 'route' ? part.strain : temperStrain(temper)
  const answer = useMemo(() => bendOf(part, part.insideRadiusMm, strain), [part, strain])
  const aimed = answer.formerRadiusMm
  const isAimed = aim === 'spring' && aimed !== null
  const formerRadiusMm = isAimed ? aimed : part.insideRadiusMm + part.thicknessMm / 2
  const bentShare = closed * mostBentShare(part.lengthMm, part.thicknessMm, formerRadiusMm)
  const shown = useMemo(() => bendOf(part, formerRadiusMm - part.thicknessMm / 2, strain), [part, formerRadiusMm, strain])
  return (
    <PictureAndPanel
      label="Bend"
      picture={
        <>
          <Typography variant="h2">
            {part.name}, {ALLOYS[part.alloy].title.toLowerCase()} <span className="fig">{formatPlain(part.thicknessMm, 2)} mm</span>, strip{' '}
            <span className="fig">{formatPlain(part.lengthMm, 1)} mm</span> long
          </Typography>
          <BendSection part={part} formerRadiusMm={formerRadiusMm} answer={shown} bentShare={bentShare} />
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
            <PressWheel value={closed} onChange={setClosed} />
            <Typography variant="body2">
              <span className="fig">{Math.round(100 * bentShare)} %</span> of it bent. Shaded: where it stands when it is let go, and how
              far that is not known.
            </Typography>
          </Box>
          <Typography variant="h2" sx={{ mt: 1.5 }}>
            Inside diameter when it is let go, by that of the former, mm
          </Typography>
          <SpringChart part={part} strain={strain} formerMm={inside(formerRadiusMm, part)} />
        </>
      }
      panel={
        <>
          <Typography variant="h2" sx={{ mb: 0.75 }}>
            The former
          </Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={aim}
            onChange={(_, way: 'size' | 'spring' | null) => way !== null && setAim(way)}
            aria-label="The former"
          >
            <ToggleButton value="size">of its size</ToggleButton>
            <ToggleButton value="spring" disabled={aimed === null}>
              so that it springs to size
            </ToggleButton>
          </ToggleButtonGroup>
          <Typography variant="h2" sx={{ mt: 2, mb: 0.75 }}>
            The metal as it is bent
          </Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={temper}
            onChange={(_, one: Tried | null) => one !== null && setTemper(one)}
            aria-label="The metal as it is bent"
          >
            <ToggleButton value="route">by its route</ToggleButton>
            {TRIED.map((one) => (
              <ToggleButton key={one} value={one}>
                {BOUGHT_TEMPERS[one]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Words part={part} answer={shown} formerMm={inside(formerRadiusMm, part)} />
          <TrialStrip part={part} strain={strain} formerMm={inside(formerRadiusMm, part)} />
          <Typography variant="body2" sx={{ mt: 1.5 }}>
            How far metal springs is known within 15 % of it. A trial strip of the same sheet, bent round a rod and measured, tells better.
            What you try here changes nothing of the route.
          </Typography>
        </>
      }
    />
  )
}
