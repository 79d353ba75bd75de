'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { boundsOf } from '@/core/geometry'
import type { AskedOutline } from '@/core/piece'
import { type FormCheck, formCheck } from '@/core/templates'
import { capitalised, formatPlain, readPlainNumber } from '@/core/units'
import { useAct } from '../acting/act-provider'
import { useSize } from '../drawing/use-size'
import { PictureInput, usePictureInput } from '../outline/picture-input'
import { type OutlineSeen, useOutline } from '../outline/use-outline'
import { ChoiceField } from '../shared/choice-field'
import { useNotice } from '../shared/notices'
import { ProblemLine } from '../shared/problem-line'
import { SizeField } from '../shared/size-field'
import { PALETTE } from '../theme/palette'
import { FormCheckPicture } from './form-check-picture'
import { keptPicture } from './shrink-picture'

interface FormCheckViewProps {
  readonly pieceId: number
  readonly outlines: readonly AskedOutline[]
}

const AS_WORDS = { blank: 'its blank', finished: 'finished' } as const
const nameOf = ({ name, as }: AskedOutline, isOnly: boolean) => capitalised(isOnly ? AS_WORDS[as] : `${name}, ${AS_WORDS[as]}`)

/** The outline that was seen and how far its edge may be off; undefined while there is none. */
function measuredOf(seen: OutlineSeen) {
  if (seen.kind === 'picture') return { outline: seen.answer.outline, plusMinusMm: seen.answer.uncertainty.plusMinus }
  if (seen.kind === 'drawing' && seen.answer.regions[0]) return { outline: seen.answer.regions[0].outer, plusMinusMm: 0 }
  return undefined
}

/** Off by such a share of the outline’s longer side it is likely another thing. */
const OTHER_SHARE = 0.15

/** Whether what was measured does not look like what was asked for at all. */
function looksOther({ usualMm }: FormCheck, { region }: AskedOutline): boolean {
  const { minX, minY, maxX, maxY } = boundsOf(region.outer)
  return usualMm > OTHER_SHARE * Math.max(maxX - minX, maxY - minY)
}

/** What the check comes to, in words. */
function sayCheck(overMm: number, shortMm: number, allowedMm: number, plusMinusMm: number): string {
  const most = Math.max(overMm, shortMm)
  if (most + plusMinusMm <= allowedMm) return 'Within what is allowed all round.'
  if (most <= allowedMm) return 'Within what is allowed, but by less than the picture can tell: check the places with calipers.'
  const parts = [
    overMm > allowedMm ? 'file off where the strokes stand out' : '',
    shortMm > allowedMm ? 'it is too small where they point in' : '',
  ]
  return `${capitalised(parts.filter(Boolean).join('; '))}.`
}

/** A finished piece or a blank against the outline it should have, by a photograph on the measuring card. */
export function FormCheckView({ pieceId, outlines }: FormCheckViewProps) {
  const [at, setAt] = useState('0')
  const [allowed, setAllowed] = useState('0.2')
  const hand = usePictureInput()
  const seen = useOutline(hand.file, hand.typed)
  const asked = outlines[Number(at)]
  const measured = useMemo(() => measuredOf(seen), [seen])
  const check = useMemo(() => (asked && measured ? formCheck(asked.region, measured.outline) : undefined), [asked, measured])
  const typedMm = readPlainNumber(allowed)
  const isAllowed = typedMm >= 0
  const allowedMm = isAllowed ? typedMm : 0
  const act = useAct()
  const say = useNotice()
  const { ref, width } = useSize({ width: 560, height: 420 })
  const isOnly = new Set(outlines.map(({ part }) => part)).size < 2
  const choices = Object.fromEntries(outlines.map((outline, i) => [String(i), nameOf(outline, isOnly)]))
  if (!asked)
    return <Typography sx={{ p: 2.5 }}>No part of this piece has its size yet, so there is no outline to lay a picture on.</Typography>
  const [overMm, shortMm] = check ? [Math.max(0, check.most.overMm), Math.max(0, -check.least.overMm)] : [0, 0]
  async function keep() {
    if (!hand.file || !check || !measured || !asked) return
    const words = `${nameOf(asked, isOnly)}: at most ${formatPlain(overMm, 2)} mm over and ${formatPlain(shortMm, 2)} mm short, the edge ± ${formatPlain(measured.plusMinusMm, 2)} mm`
    const kept = await act('addPicture', { pieceId, words, base64: await keptPicture(hand.file) })
    say({ text: kept.ok ? 'The picture is saved with the piece, and what it showed.' : kept.message })
  }
  return (
    <Box sx={{ p: 2.5, display: 'grid', gridTemplateColumns: { xs: '1fr', md: '340px minmax(0, 1fr)' }, gap: 3.5, alignItems: 'start' }}>
      <Box>
        <PictureInput hand={hand} />
        <ChoiceField label="Laid on" value={at} options={choices} onChange={setAt} />
        <SizeField label="Allowed off" value={allowed} onChange={setAllowed} unit="mm" />
        {isAllowed ? null : <ProblemLine says="Allowed off: a number of millimetres, 0 or more, such as 0.2; 0 is taken meanwhile." />}
      </Box>
      <Box ref={ref} component="section" aria-label="Form">
        {seen.kind === 'none' ? (
          <Typography sx={{ color: PALETTE.muted }}>
            Photograph the piece on the card: its edge is laid on the outline it should have, and every place that is off is drawn.
          </Typography>
        ) : null}
        {seen.kind === 'measuring' ? <Typography role="status">Measuring the picture…</Typography> : null}
        {seen.kind === 'problem' ? <ProblemLine says={capitalised(seen.says)} /> : null}
        {seen.kind === 'open' ? <ProblemLine says={capitalised(seen.answer.message)} /> : null}
        {check && measured ? (
          <>
            <Box
              sx={{ borderLeft: `3px solid ${Math.max(overMm, shortMm) > allowedMm ? PALETTE.fire : PALETTE.verdigris}`, pl: 1.5, mb: 1.5 }}
              role="status"
            >
              <Typography variant="h1" component="p" className="fig">
                {formatPlain(overMm, 2)} mm over, {formatPlain(shortMm, 2)} mm short
              </Typography>
              <Typography>
                {looksOther(check, asked)
                  ? 'This does not look like the outline it is laid on: is it the right piece, and the right one under “Laid on”?'
                  : sayCheck(overMm, shortMm, allowedMm, measured.plusMinusMm)}
              </Typography>
              <Typography variant="body2" className="fig">
                Usually {formatPlain(check.usualMm, 2)} mm off; area {formatPlain(Math.abs(100 * check.areaShare), 1)} %{' '}
                {check.areaShare >= 0 ? 'larger' : 'smaller'}
                {measured.plusMinusMm > 0 ? `; the picture’s edge ± ${formatPlain(measured.plusMinusMm, 2)} mm, 19 times in 20` : ''}
                {check.isTurnedOver ? '; it lies on its face and was turned over' : ''}
              </Typography>
            </Box>
            <FormCheckPicture asked={asked.region} check={check} allowedMm={allowedMm} width={width} height={420} />
            {seen.kind === 'picture' ? (
              <Button sx={{ mt: 1.5 }} onClick={() => void keep()}>
                Save it with the piece
              </Button>
            ) : null}
          </>
        ) : null}
      </Box>
    </Box>
  )
}
