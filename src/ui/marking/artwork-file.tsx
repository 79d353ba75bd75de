'use client'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { readDrawn } from '@/core/drawn'
import type { EtchChoices } from '@/core/etching'
import { boundsOf, middleOf, type Outline, type Point } from '@/core/geometry'
import { formatPlain } from '@/core/units'
import { DropFile } from '../shared/drop-file'
import { PALETTE } from '../theme/palette'
import { AmountField } from './amount-field'

type Dark = EtchChoices['dark']

interface ArtworkFileProps {
  readonly etch: EtchChoices
  readonly outer: Outline
  readonly onChange: (etch: EtchChoices) => void
}

/** Artwork larger or smaller about its own middle, with that middle on a point. */
function placed(dark: Dark, to: Point, scale: number): Dark {
  const [x, y] = middleOf(boundsOf(dark.flatMap(({ outer }) => outer)))
  const move = (ring: Outline): [number, number][] => ring.map(([px, py]) => [to[0] + scale * (px - x), to[1] + scale * (py - y)])
  return dark.map(({ outer, holes }) => ({ outer: move(outer), holes: holes.map(move) }))
}

const widthOf = (dark: Dark) => {
  const { minX, maxX } = boundsOf(dark.flatMap(({ outer }) => outer))
  return maxX - minX
}

/** The artwork of an etch: read from an SVG or a DXF, laid on the middle of the blank, made larger or smaller, repeated. */
export function ArtworkFile({ etch, outer, onChange }: ArtworkFileProps) {
  const [said, setSaid] = useState('')
  const middle = middleOf(boundsOf(outer))
  const { dark, tile } = etch
  const take = async (file: File) => {
    const read = readDrawn(await file.text())
    if (!read.ok) return setSaid(`${file.name}: ${read.message}`)
    const regions: Dark = read.regions.map((region) => ({
      outer: region.outer.map(([x, y]) => [x, y]),
      holes: region.holes.map((hole) => hole.map(([x, y]) => [x, y])),
    }))
    setSaid([...(read.isSizeKnown ? [] : ['The file names no unit: set its width.']), ...read.notes].join(' '))
    onChange({ ...etch, dark: placed(regions, middle, 1) })
  }
  return (
    <DropFile
      label="Artwork"
      fileLabel="Artwork file"
      accept={{ 'image/svg+xml': ['.svg'], 'application/dxf': ['.dxf'] }}
      onFile={(file) => void take(file)}
    >
      {(pick) => (
        <>
          <Typography variant="body2">
            Dark keeps the metal.{' '}
            {dark.length > 0 ? `${dark.length} dark ${dark.length === 1 ? 'place' : 'places'}.` : 'Drop an SVG or a DXF here.'}
          </Typography>
          <Button onClick={pick}>{dark.length > 0 ? 'Other artwork' : 'Choose a file'}</Button>
          <Typography variant="body2" role="status" sx={{ color: PALETTE.muted }}>
            {said}
          </Typography>
          {dark.length > 0 ? (
            <>
              <AmountField
                label="Width of the artwork"
                value={Number(formatPlain(widthOf(dark), 3))}
                min={0.1}
                max={2000}
                onChange={(wide) => onChange({ ...etch, dark: placed(dark, middle, wide / widthOf(dark)) })}
              />
              <AmountField
                label="Repeated every"
                value={tile?.alongMm ?? 0}
                min={0}
                max={1000}
                onChange={(step) => {
                  const { tile: _, ...once } = etch
                  onChange(step < 0.5 ? once : { ...once, tile: { alongMm: step, acrossMm: step } })
                }}
              />
            </>
          ) : null}
        </>
      )}
    </DropFile>
  )
}
