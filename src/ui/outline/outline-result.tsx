'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { outlinesPattern, patternDxf, patternSvg } from '@/core/drawing'
import { boundsOf, laidAlong, netAreaMm2, type Region, withFewerPoints } from '@/core/geometry'
import { capitalised, formatPlain } from '@/core/units'
import { NewStock } from '../drawer/new-stock'
import { ScaleDrawing } from '../drawing/scale-drawing'
import { useSize } from '../drawing/use-size'
import { WorkingSteps } from '../forms/answer-column'
import { ProblemLine } from '../shared/problem-line'
import { useKeepTemplate } from '../templates/use-keep-template'
import { PALETTE } from '../theme/palette'
import { openDrawing, outlineDrawing } from './outline-drawing'
import type { OutlineSeen, PictureSeen } from './use-outline'

/** Off so little, an outline takes fewer points in the drawer. */
const FEWER_MM = 0.05
const STEEL = { face: PALETTE.steel, edge: PALETTE.steelEdge }

function save(name: string, type: string, text: string): void {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([text], { type }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}

/** Corners as they are typed in the drawer. */
const cornersOf = ({ outer }: Region) =>
  withFewerPoints(outer, FEWER_MM)
    .map(([x, y]) => `${formatPlain(x, 2)} ${formatPlain(y, 2)}`)
    .join(', ')

interface ActsProps {
  readonly regions: readonly Region[]
  readonly name: string
  /** How the outlines came to be known, and how well. */
  readonly from: string
}

/** What can be done with outlines: into the drawer as metal, among the templates, or out as a drawing. */
function Acts({ regions, name, from }: ActsProps) {
  const [adding, setAdding] = useState(false)
  const { keep, problem } = useKeepTemplate()
  const [largest] = [...regions].sort((a, b) => netAreaMm2(b.outer) - netAreaMm2(a.outer))
  const lines = regions.flatMap(({ outer, holes }) => [outer, ...holes])
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 1.5 }}>
        <Button variant="contained" onClick={() => setAdding(!adding)}>
          Put it in the drawer
        </Button>
        <Button disabled={!largest} onClick={() => largest && void keep({ ...largest, name, from })}>
          Keep as a template
        </Button>
        <Button onClick={() => save(`${name}.svg`, 'image/svg+xml', patternSvg(name, outlinesPattern(lines)))}>Save as SVG</Button>
        <Button onClick={() => save(`${name}.dxf`, 'image/vnd.dxf', patternDxf(outlinesPattern(lines)))}>Save as DXF</Button>
      </Box>
      <ProblemLine says={problem} />
      {adding && (regions.length > 1 || largest?.holes.length) ? (
        <Typography variant="body2">The drawer takes the largest outline, without its holes.</Typography>
      ) : null}
      {adding && largest ? <NewStock like={{ shape: 'outline', corners: cornersOf(largest) }} onDone={() => setAdding(false)} /> : null}
    </>
  )
}

function Notes({ notes }: { readonly notes: readonly string[] }) {
  return (
    <Box component="ul" sx={{ m: 0, my: 1, pl: 2.25 }}>
      {notes.map((note) => (
        <Typography component="li" variant="body2" key={note}>
          {note}
        </Typography>
      ))}
    </Box>
  )
}

/** What is shown of the photograph round the thing, as a share of its size. */
const AROUND = 0.18

/** The photograph about the thing, with the edge that was found drawn over it. */
function OverPicture({ answer, url, size: [width, height] }: PictureSeen) {
  const box = boundsOf(answer.inPicture)
  const room = AROUND * Math.max(box.maxX - box.minX, box.maxY - box.minY)
  const shown = [box.minX - room, box.minY - room, box.maxX - box.minX + 2 * room, box.maxY - box.minY + 2 * room] as const
  const edge = answer.inPicture.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')
  return (
    <Box component="figure" sx={{ m: 0, mt: 1.5 }}>
      <svg
        viewBox={shown.join(' ')}
        role="img"
        aria-label="The edge that was found, drawn over the photograph"
        style={{ width: '100%', maxHeight: 320, display: 'block' }}
      >
        <image href={url} width={width} height={height} />
        <path d={`M${edge}Z`} fill="none" stroke={PALETTE.fire} strokeWidth={1.6} vectorEffect="non-scaling-stroke" />
      </svg>
    </Box>
  )
}

function Sizes({
  lengthMm,
  widthMm,
  areaMm2,
  said,
}: {
  readonly lengthMm: number
  readonly widthMm: number
  readonly areaMm2: number
  readonly said: string
}) {
  return (
    <Box sx={{ borderLeft: `3px solid ${PALETTE.verdigris}`, pl: 1.5 }} role="status">
      <Typography variant="h1" component="p" className="fig">
        {formatPlain(lengthMm, 2)} × {formatPlain(widthMm, 2)} mm
      </Typography>
      <Typography className="fig">
        {formatPlain(areaMm2, 0)} mm² {said}
      </Typography>
    </Box>
  )
}

function Drawn({ regions, height = 320 }: { readonly regions: readonly Region[]; readonly height?: number }) {
  const { ref, width } = useSize({ width: 560, height })
  return (
    <Box ref={ref} sx={{ bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', mt: 1.5 }}>
      <ScaleDrawing view={outlineDrawing(regions)} colour={STEEL} width={width} height={height} />
    </Box>
  )
}

/** What was found in the file, and what can be done with it. */
export function OutlineResult({ seen, name }: { readonly seen: OutlineSeen; readonly name: string }) {
  const { ref, width } = useSize({ width: 560, height: 320 })
  if (seen.kind === 'none') return <Typography sx={{ color: PALETTE.muted }}>Nothing has been read in yet.</Typography>
  if (seen.kind === 'measuring')
    return (
      <Box role="status">
        <Typography>Measuring the picture…</Typography>
        <LinearProgress sx={{ mt: 1, maxWidth: 420 }} />
      </Box>
    )
  if (seen.kind === 'problem') return <ProblemLine says={capitalised(seen.says)} />
  if (seen.kind === 'open')
    return (
      <Box ref={ref}>
        <ProblemLine says={capitalised(seen.answer.message)} />
        <ScaleDrawing view={openDrawing(seen.answer.lines, seen.answer.open)} colour={STEEL} width={width} height={320} />
      </Box>
    )
  if (seen.kind === 'drawing')
    return (
      <Box>
        <Sizes
          {...seen.answer}
          said={`in ${seen.answer.regions.length === 1 ? 'one outline' : `${seen.answer.regions.length} outlines`}`}
        />
        <Notes notes={seen.answer.notes} />
        <Acts regions={seen.answer.regions} name={name} from="read from a drawing" />
        <Drawn regions={seen.answer.regions} />
      </Box>
    )
  const { answer, url, size } = seen
  const regions: readonly Region[] = [{ outer: laidAlong(answer.outline), holes: [] }]
  return (
    <Box>
      <Sizes
        {...answer}
        said={`± ${formatPlain(answer.areaOffMm2, 0)}; its edge ± ${formatPlain(answer.uncertainty.plusMinus, 2)} mm, 19 times in 20`}
      />
      <Notes notes={answer.notes} />
      <Acts regions={regions} name={name} from={`measured by photograph, its edge ± ${formatPlain(answer.uncertainty.plusMinus, 2)} mm`} />
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', lg: '1fr 1fr' }, gap: 2, alignItems: 'start' }}>
        <OverPicture answer={answer} url={url} size={size} />
        <Drawn regions={regions} />
      </Box>
      <Typography variant="h3" component="h2" sx={{ mt: 2 }}>
        Working
      </Typography>
      <Box sx={{ maxWidth: 460 }}>
        <WorkingSteps steps={answer.working} />
      </Box>
    </Box>
  )
}
