'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { type CUT_SIDES, CUT_WAY_FACTS, type CutWay, followsLine, type LineChoice, type PlannedCut } from '@/core/sawing'
import { capitalised, formatPlain } from '@/core/units'
import { KEY_REGISTRY } from '../keys/registry'
import { ChoiceField } from '../shared/choice-field'
import { FONTS, PALETTE } from '../theme/palette'

const SIDE_WORDS: Readonly<Record<(typeof CUT_SIDES)[number], string>> = {
  outside: 'outside the line',
  inside: 'inside the line',
  on: 'on the line',
}

interface CutCardProps {
  readonly cut: PlannedCut
  readonly count: number
  readonly isFixed: boolean
  readonly onChoose: (line: string, change: LineChoice) => void
  readonly onNext: () => void
  readonly onBack: (() => void) | undefined
}

/** What a cut is called: the way, then the line. */
export function cutTitle({ way, kind, blank }: Pick<PlannedCut, 'way' | 'kind' | 'blank'>): string {
  return CUT_WAY_FACTS[way].does[kind].replace('–', blank)
}

function factsOf(cut: PlannedCut): string[] {
  const { hole, way, lengthMm, turns } = cut
  return [
    ...(hole ? [way === 'saw' ? `start from a hole of ${hole.bit} (${formatPlain(hole.diameterMm, 2)} mm)` : `${hole.bit} across`] : []),
    ...(!hole && cut.wayIn
      ? [`${formatPlain(Math.hypot(cut.wayIn[1][0] - cut.wayIn[0][0], cut.wayIn[1][1] - cut.wayIn[0][1]), 1)} mm in to the line`]
      : []),
    ...(lengthMm > 0 ? [`${formatPlain(lengthMm, 0)} mm`] : []),
    ...(turns > 0 ? [`${turns} ${turns === 1 ? 'turn' : 'turns'}`] : []),
    `${formatPlain(Math.max(0.1, cut.minutes), 1)} min`,
  ]
}

/** What may be left on the blank's side of a line to be filed away, mm. */
const LEFT_TO_FILE_MM = [0, 0.1, 0.2, 0.3, 0.5, 1] as const

/** The widths to choose from, in order, that which stands among them. */
function leftToFile(standsMm: number): Readonly<Record<string, string>> {
  const all = [...new Set([...LEFT_TO_FILE_MM, standsMm])].sort((a, b) => a - b)
  return Object.fromEntries(all.map((mm) => [mm.toFixed(2), `${formatPlain(mm, 2)} mm`]))
}

/** The cut that is made next: what to do, why now, and what can be chosen about its line. */
export function CutCard({ cut, count, isFixed, onChoose, onNext, onBack }: CutCardProps) {
  const { caution } = CUT_WAY_FACTS[cut.way]
  return (
    <Box component="section" aria-label="This cut">
      <Typography className="fig" sx={{ color: PALETTE.muted, fontWeight: 700 }}>
        Cut {cut.number} of {count}
      </Typography>
      <Typography component="h2" sx={{ fontFamily: FONTS.head, fontSize: 24, fontWeight: 700, lineHeight: 1.15 }}>
        {cutTitle(cut)}
      </Typography>
      <Typography sx={{ mt: 0.5 }}>{factsOf(cut).join(', ')}</Typography>
      <Typography variant="body2">Now, because: {cut.why}.</Typography>
      {cut.notes.map((words) => (
        <Typography key={words} variant="body2" sx={{ borderLeft: `3px solid ${PALETTE.ochre}`, pl: 1, mt: 0.75 }}>
          {capitalised(words)}.
        </Typography>
      ))}
      {caution ? (
        <Typography variant="body2" sx={{ mt: 0.75, fontWeight: 600 }}>
          {caution}
        </Typography>
      ) : null}
      <Box sx={{ display: 'flex', gap: 1, my: 1.5 }}>
        <Button variant="contained" fullWidth title={KEY_REGISTRY.nextCut.shown} onClick={onNext}>
          Done, the next
        </Button>
        <Button disabled={!onBack} title={KEY_REGISTRY.backCut.shown} onClick={onBack}>
          Back
        </Button>
      </Box>
      {isFixed ? null : (
        <>
          <ChoiceField
            label="Cut by"
            value={cut.way}
            options={Object.fromEntries(cut.ways.map((way) => [way, CUT_WAY_FACTS[way].title.toLowerCase()]))}
            onChange={(way) => onChoose(cut.line, { way: way as CutWay, setOffMm: undefined })}
            width={150}
          />
          {cut.way === 'saw' ? (
            <ChoiceField
              label="Blade"
              value={cut.side}
              options={SIDE_WORDS}
              onChange={(side) => onChoose(cut.line, { side: side as (typeof CUT_SIDES)[number] })}
              width={150}
            />
          ) : null}
          {followsLine(cut.way) && cut.side !== 'on' ? (
            <ChoiceField
              label="Left to file"
              value={cut.setOffMm.toFixed(2)}
              options={leftToFile(cut.setOffMm)}
              onChange={(mm) => onChoose(cut.line, { setOffMm: Number(mm) })}
              width={150}
            />
          ) : null}
          <Typography variant="body2">Holds for every copy of this blank.</Typography>
        </>
      )}
    </Box>
  )
}
