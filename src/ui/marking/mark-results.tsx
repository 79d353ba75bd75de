'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { memo } from 'react'
import { boundsOf, type Outline } from '@/core/geometry'
import type { MarksAnswer, PlacedMark } from '@/core/marks'
import { formatPlain } from '@/core/units'
import { WorkingSteps } from '../forms/answer-column'
import { PALETTE } from '../theme/palette'

/** Each line of marks: how long it is, what room it has, and how it is divided. */
function MarkLines({ lines }: { readonly lines: MarksAnswer['lines'] }) {
  return (
    <Box component="dl" aria-label="Lines" sx={{ m: 0, my: 1 }}>
      {lines.map(({ text, count, lengthMm, roomMm, pitchMm, leftOverMm, mmPerUnit }, i) => (
        <Box
          key={i}
          sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, borderBottom: `1px dotted ${PALETTE.hairline}`, py: 0.25 }}
        >
          <Typography component="dt" variant="body2">
            {text}
          </Typography>
          <Typography component="dd" className="fig" variant="body2" sx={{ m: 0, textAlign: 'right' }}>
            {mmPerUnit !== undefined
              ? `${count} dots, 1 is ${formatPlain(mmPerUnit, 3)} mm`
              : pitchMm !== undefined
                ? `${count} at ${formatPlain(pitchMm, 3)} mm${leftOverMm && leftOverMm > 1e-6 ? `, ${formatPlain(leftOverMm, 2)} mm over` : ''}`
                : `${formatPlain(lengthMm, 2)} mm${roomMm === undefined ? '' : ` of ${formatPlain(roomMm, 2)}`}`}
          </Typography>
        </Box>
      ))}
    </Box>
  )
}

/** More blows than this are not listed one by one. */
const MOST_LISTED = 60

/** Where each blow of a mark goes, in the order in which they are struck: what is scribed where no guide is stuck on. */
function BlowTable({ blows, outer }: { readonly blows: readonly PlacedMark[]; readonly outer: Outline }) {
  const listed = blows.slice(0, MOST_LISTED)
  const first = blows[0]?.order ?? 1
  const { minX, minY } = boundsOf(outer)
  return (
    <Box
      component="table"
      aria-label="Blows in order"
      sx={{ width: '100%', borderCollapse: 'collapse', '& td, & th': { py: 0.25, textAlign: 'right', fontSize: 13 } }}
    >
      <thead>
        <tr>
          <th scope="col">no.</th>
          <th scope="col">what</th>
          <th scope="col">from the left, mm</th>
          <th scope="col">from below, mm</th>
          <th scope="col">along its line from the middle, mm</th>
          <th scope="col">turned</th>
        </tr>
      </thead>
      <tbody className="fig">
        {listed.map(({ order, text, x, y, fromMiddleMm, turnDeg }) => (
          <tr key={order}>
            <td>{order - first + 1}</td>
            <td>{text}</td>
            <td>{formatPlain(x - minX, 2)}</td>
            <td>{formatPlain(y - minY, 2)}</td>
            <td>{fromMiddleMm === undefined ? '–' : formatPlain(fromMiddleMm, 2)}</td>
            <td>{formatPlain(turnDeg, 1)}°</td>
          </tr>
        ))}
      </tbody>
      {blows.length > MOST_LISTED ? (
        <caption style={{ captionSide: 'bottom', textAlign: 'left' }}>and {blows.length - MOST_LISTED} more, on the guide</caption>
      ) : null}
    </Box>
  )
}

interface MarkFiguresProps {
  readonly answer: MarksAnswer
  readonly chosen: number
  readonly outer: Outline
}

/** What the marks come to in figures: their lines, how the blank grows, the blows of the chosen mark, and the working. */
export const MarkFigures = memo(function MarkFigures({ answer, chosen, outer }: MarkFiguresProps) {
  return (
    <>
      <MarkLines lines={answer.lines} />
      {answer.growsPercent === undefined ? null : (
        <Typography variant="body2">
          It grows by about {formatPlain(answer.growsPercent, 2)} % (half of that to twice) and warps: flatten it on a padded block, then
          measure.
        </Typography>
      )}
      <BlowTable blows={answer.marks.filter((blow) => blow.mark === chosen)} outer={outer} />
      <WorkingSteps steps={answer.working} />
    </>
  )
})
