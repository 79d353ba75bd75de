'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { type CurledAnswer, type CurledFibre, curlUsed, lightOf, type Settling } from '@/core/forming'
import { ALLOYS } from '@/core/metals'
import { type CurledPart, curlOf } from '@/core/piece'
import { alloyWith } from '@/core/tables'
import { formatPlain } from '@/core/units'
import { PressWheel } from '../solid/press-wheel'
import { LIGHT_COLOUR } from '../theme/light-colour'
import { PALETTE } from '../theme/palette'
import { CurlChart } from './curl-chart'
import { CurlSection } from './curl-section'
import { PictureAndPanel } from './picture-and-panel'

/** How the hand shares it out between stretching the edges and shrinking the waist. */
const WAYS: Readonly<Record<Settling, string>> = {
  'mean-kept': 'both',
  'least-work': 'as is easiest',
  'edges-stretched': 'edges stretch',
  'waist-shrunk': 'waist shrinks',
}

/** The bench rule adds so much to the inside of a bangle that is to be closed to a tube, mm. */
const RULE_MM = 3
/** A flat band is curled by as good as nothing. */
const LEAST_TURN_RAD = 1e-3

const Mm = ({ value }: { readonly value: number }) => <span className="fig">{formatPlain(value, 1)} mm</span>
const boreOf = (part: CurledPart, { waistInMm }: CurledAnswer) => part.insideMm - 2 * waistInMm

function Place({
  part,
  place,
  fibre,
}: {
  readonly part: CurledPart
  readonly place: 'waist' | 'quarter' | 'edge'
  readonly fibre: CurledFibre
}) {
  const used = curlUsed(alloyWith(part.alloy, part.figures), fibre, place)
  const strain = 100 * fibre.hoopStrain
  return (
    <Box component="li" sx={{ display: 'flex', justifyContent: 'space-between', py: 0.5, borderBottom: `1px dotted ${PALETTE.hairline}` }}>
      <span>
        {place}, {strain < 0 ? 'shortened' : 'stretched'} by <span className="fig">{Math.abs(strain).toFixed(1)} %</span>
      </span>
      <Box component="span" sx={{ color: LIGHT_COLOUR[lightOf(used)] }}>
        <span className="fig">{Math.round(100 * used)} %</span> ± <span className="fig">{Math.round(30 * used)}</span> used
      </Box>
    </Box>
  )
}

/** A closed band curled across until it is a tube: in section as it closes, and what becomes of its opening on the way. */
export function CurlView({ part }: { readonly part: CurledPart }) {
  const [closed, setClosed] = useState(0.5)
  const [settling, setSettling] = useState<Settling>('mean-kept')
  const turnRad = Math.max(LEAST_TURN_RAD, 2 * Math.PI * closed)
  const curled = useMemo(() => curlOf(part, turnRad, settling), [part, turnRad, settling])
  const whole = curlOf(part, 2 * Math.PI, 'mean-kept')
  const [least, most] = (['waist-shrunk', 'edges-stretched'] as const).map((way) => boreOf(part, curlOf(part, turnRad, way)))
  const bore = boreOf(part, curled)
  return (
    <PictureAndPanel
      label="Curl"
      picture={
        <>
          <Typography variant="h2">
            {part.name}, {ALLOYS[part.alloy].title.toLowerCase()} <span className="fig">{formatPlain(part.thicknessMm, 2)} mm</span>, strip{' '}
            <span className="fig">{formatPlain(part.stripMm, 1)} mm</span> wide
          </Typography>
          <CurlSection part={part} curled={curled} turnRad={turnRad} settling={settling} />
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
            <PressWheel value={closed} onChange={setClosed} />
            <Typography variant="body2">
              <span className="fig">{Math.round(100 * closed)} %</span> closed. Rust: stretched round the bangle; blue: shortened. Dashed:
              the band before it was curled.
            </Typography>
          </Box>
          <Typography variant="h2" sx={{ mt: 1.5 }}>
            Inside diameter as it closes, mm
          </Typography>
          <CurlChart part={part} settling={settling} closed={closed} />
        </>
      }
      panel={
        <>
          <Typography role="status" sx={{ fontWeight: 600 }}>
            So far closed it is <Mm value={bore} /> inside, from <Mm value={part.insideMm} /> as a flat band.
          </Typography>
          <Typography sx={{ mt: 0.75 }}>
            Between <Mm value={least ?? bore} /> and <Mm value={most ?? bore} />, by how stretch and shrink share it: the hand decides.
          </Typography>
          <Typography variant="h2" sx={{ mt: 2, mb: 0.75 }}>
            What the hammer does
          </Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={settling}
            onChange={(_, way: Settling | null) => way !== null && setSettling(way)}
            aria-label="What the hammer does"
            sx={{ flexWrap: 'wrap' }}
          >
            {Object.entries(WAYS).map(([way, title]) => (
              <ToggleButton key={way} value={way}>
                {title}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Box component="ul" aria-label="Along the strip" sx={{ listStyle: 'none', m: 0, p: 0, mt: 1.5, fontSize: 14 }}>
            <Place part={part} place="waist" fibre={curled.waist} />
            <Place part={part} place="quarter" fibre={curled.quarter} />
            <Place part={part} place="edge" fibre={curled.edge} />
          </Box>
          <Typography sx={{ mt: 1.5 }}>
            Closed, at constant area, it loses <Mm value={2 * whole.waistInMm} /> of its inside: the width over π. The bench rule of{' '}
            <span className="fig">+ {RULE_MM} mm</span> adds less, and leaves{' '}
            {2 * whole.waistInMm > RULE_MM ? (
              <>
                <Mm value={2 * whole.waistInMm - RULE_MM} /> for the hammer to stretch.
              </>
            ) : (
              'nothing for the hammer to stretch: here it comes out large.'
            )}
          </Typography>
          <Typography variant="body2" sx={{ mt: 1.5 }}>
            Work used is that of annealed metal, within 30 % of itself; a sawn edge counts 1.2 times. What you try here changes nothing of
            the route.
          </Typography>
        </>
      }
    />
  )
}
