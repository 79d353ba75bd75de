'use client'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useRef, useState } from 'react'
import type { EtchChoices } from '@/core/etching'
import { boundsOf, middleOf, type Outline, type Point, type Region } from '@/core/geometry'
import { formatPlain } from '@/core/units'
import { artworkInWorker } from '@/workers/artwork-client'
import { drawingInWorker } from '@/workers/outline-client'
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

const boxOf = (dark: Dark) => boundsOf(dark.flatMap(({ outer }) => outer))
const widthOf = (dark: Dark) => boxOf(dark).maxX - boxOf(dark).minX

/** A place as it is kept with an etch. */
const kept = ({ outer, holes }: Region): Dark[number] => ({
  outer: outer.map(([x, y]) => [x, y]),
  holes: holes.map((hole) => hole.map(([x, y]) => [x, y])),
})

/** A picture whose dark places are the artwork, and the shade they are parted at. */
interface ShadedPicture {
  readonly file: File
  readonly shade: number
}

const isPicture = ({ type, name }: File) => type.startsWith('image/') && !/svg/.test(type) && !/\.svg$/i.test(name)

/** The artwork of an etch: an SVG, a DXF, or the dark of a picture, laid on the middle of the blank, made larger or smaller, repeated. */
export function ArtworkFile({ etch, outer, onChange }: ArtworkFileProps) {
  const [said, setSaid] = useState('')
  const [picture, setPicture] = useState<ShadedPicture>()
  const asked = useRef(0)
  const blank = boundsOf(outer)
  const middle = middleOf(blank)
  const { dark, tile } = etch
  const readPicture = async (file: File, shade?: number) => {
    setSaid('Reading the picture …')
    const widthMm = dark.length > 0 && picture ? widthOf(dark) : blank.maxX - blank.minX
    asked.current++
    const own = asked.current
    const found = await artworkInWorker(file, { widthMm, shade })
    // a later shade was asked for meanwhile
    if (own !== asked.current) return
    if ('fault' in found) return setSaid(`${file.name}: ${found.fault}.`)
    setPicture({ file, shade: Math.round(found.shade) })
    setSaid(
      `Each pixel is ${formatPlain(found.pixelMm, 3)} mm on the metal: no edge is finer.${found.specks > 0 ? ` ${found.specks} specks are left out.` : ''}`,
    )
    onChange({ ...etch, dark: placed(found.dark.map(kept), middle, 1) })
  }
  const take = async (file: File) => {
    if (isPicture(file)) return readPicture(file)
    const read = await drawingInWorker(file, {})
    if (!read.ok) return setSaid(`${file.name}: ${read.message}`)
    setPicture(undefined)
    setSaid([...(read.isSizeKnown ? [] : ['The file names no unit: set its width.']), ...read.notes].join(' '))
    onChange({ ...etch, dark: placed(read.regions.map(kept), middle, 1) })
  }
  return (
    <DropFile
      label="Artwork"
      fileLabel="Artwork file"
      accept={{
        'image/svg+xml': ['.svg'],
        'application/dxf': ['.dxf'],
        'image/png': ['.png'],
        'image/jpeg': ['.jpg', '.jpeg'],
        'image/webp': ['.webp'],
      }}
      onFile={(file) => void take(file)}
    >
      {(pick) => (
        <>
          <Typography variant="body2">
            Dark keeps the metal.{' '}
            {dark.length > 0
              ? `${dark.length} dark ${dark.length === 1 ? 'place' : 'places'}.`
              : 'Drop an SVG, a DXF or a picture in black on white here.'}
          </Typography>
          <Button onClick={pick}>{dark.length > 0 ? 'Other artwork' : 'Choose a file'}</Button>
          <Typography variant="body2" role="status" sx={{ color: PALETTE.muted }}>
            {said}
          </Typography>
          {picture ? (
            <AmountField
              label="Dark under the shade"
              value={picture.shade}
              min={1}
              max={254}
              unit=""
              onChange={(shade) => void readPicture(picture.file, shade)}
            />
          ) : null}
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
