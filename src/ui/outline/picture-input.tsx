'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import type { Point } from '@/core/geometry'
import { ChoiceField } from '../shared/choice-field'
import { DropFile } from '../shared/drop-file'
import { SizeField } from '../shared/size-field'
import { useCardLines } from './use-card-lines'
import { isDrawing, type OutlineTyped } from './use-outline'
import { usePictureUrl } from './use-picture-url'
import { useTwoPoints } from './use-two-points'

const FILES = {
  'image/jpeg': ['.jpg', '.jpeg'],
  'image/png': ['.png'],
  'image/webp': ['.webp'],
  'image/svg+xml': ['.svg'],
  'image/vnd.dxf': ['.dxf'],
}

function Drop({ onFile }: { readonly onFile: (file: File) => void }) {
  return (
    <Box sx={{ my: 2 }}>
      <DropFile label="Photograph or drawing" fileLabel="Photograph or drawing file" accept={FILES} onFile={onFile}>
        {(pick) => (
          <Typography variant="body2">
            Drop a photograph of the card here, or a drawing in SVG or DXF, or
            <Button variant="text" onClick={pick}>
              pick the file
            </Button>
          </Typography>
        )}
      </DropFile>
    </Box>
  )
}

/** What to print and how to lay the thing down, once for each card. */
function TheCard() {
  return (
    <Box component="section" aria-label="Measuring card">
      <Typography variant="h2">Measuring card</Typography>
      <Typography variant="body2" sx={{ my: 0.75 }}>
        Print it at 100 % and measure its two lines once. Lay the thing in the middle, the card flat, and photograph the whole card from
        above, without flash. The picture stays on this machine.
      </Typography>
      <Typography variant="body2">
        <Link href="/api/measuring-card/white" target="_blank">
          White card
        </Link>{' '}
        for copper, brass, stones and dark things;{' '}
        <Link href="/api/measuring-card/green" target="_blank">
          green card
        </Link>{' '}
        for silver, steel and grey.
      </Typography>
    </Box>
  )
}

/** A file that an outline is read from, and what is typed beside it. */
export function usePictureInput() {
  const [file, setFile] = useState<File>()
  const [height, setHeight] = useState('0')
  const [longest, setLongest] = useState('')
  const { lineX, lineY, setLineX, setLineY } = useCardLines()
  const [scaleBy, setScaleBy] = useState<ScaleBy>('card')
  const [apart, setApart] = useState('')
  const isPointed = scaleBy === 'points' && file !== undefined && !isDrawing(file)
  const picture = usePictureUrl(isPointed ? file : undefined)
  const { points, lay } = useTwoPoints(picture?.size)
  const typed: OutlineTyped = useMemo(() => {
    const [from, to] = points?.places ?? [NOWHERE, NOWHERE]
    const known = { from, to, isLaid: points?.isLaid.every(Boolean) ?? false, apart }
    return { height, lineX, lineY, longest, points: isPointed ? known : undefined }
  }, [height, lineX, lineY, longest, isPointed, points, apart])
  return { file, typed, scaleBy, apart, picture, points, lay, setFile, setHeight, setLongest, setLineX, setLineY, setScaleBy, setApart }
}

/** What tells the scale of a photograph. */
const SCALES = { card: 'the measuring card', points: 'two points, without the card' } as const
type ScaleBy = keyof typeof SCALES
const NOWHERE: Point = [0, 0]

interface PictureInputProps {
  readonly hand: ReturnType<typeof usePictureInput>
  /** Whether two points may tell the scale: what is measured within tenths needs the card. */
  readonly mayPoint?: boolean
}

/** The card, the file and its sizes. */
export function PictureInput({ hand, mayPoint = false }: PictureInputProps) {
  const { file, typed } = hand
  const lines = [
    ['x', typed.lineX, hand.setLineX],
    ['y', typed.lineY, hand.setLineY],
  ] as const
  return (
    <Box>
      <TheCard />
      <Drop onFile={hand.setFile} />
      {file && isDrawing(file) ? (
        <SizeField
          label="Longest side"
          value={typed.longest}
          onChange={hand.setLongest}
          unit="mm"
          help="Leave it empty where the file’s own size is right."
        />
      ) : (
        <>
          <SizeField
            label="Height of its edge"
            value={typed.height}
            onChange={hand.setHeight}
            unit="mm"
            help="0 for sheet; of a stone or a piece, how high its edge stands over the card."
          />
          {mayPoint ? (
            <ChoiceField
              label="Its scale by"
              width={200}
              value={hand.scaleBy}
              options={SCALES}
              onChange={(by) => hand.setScaleBy(by as ScaleBy)}
            />
          ) : null}
          {hand.scaleBy === 'points' ? (
            <SizeField
              label="Distance of the points"
              value={hand.apart}
              onChange={hand.setApart}
              unit="mm"
              help="On plain paper, from straight above; the further apart, the surer."
            />
          ) : (
            lines.map(([way, value, set]) => (
              <SizeField
                key={way}
                label={`100 mm line along ${way}`}
                value={value}
                onChange={set}
                unit="mm"
                help="As measured with calipers; kept on this device."
              />
            ))
          )}
        </>
      )}
    </Box>
  )
}
