'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import NextLink from 'next/link'
import { useMemo, useState } from 'react'
import type { DapAnswer, Light } from '@/core/forming'
import { ALLOYS } from '@/core/metals'
import { type BentPart, type DappedPart, dapQuestion } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { PALETTE } from '../theme/palette'
import { BendView } from './bend-view'
import { BesideTable, type KeptWay } from './beside-table'
import { DomeSection } from './dome-section'
import { PictureAndPanel } from './picture-and-panel'
import { StageTable } from './stage-table'
import { ThicknessChart } from './thickness-chart'
import { useDap } from './use-dap'

/** A part that is formed: domed out of a disc, with its stages as its route has them, or bent round a former. */
export type FormedPart =
  | { readonly kind: 'domed'; readonly part: DappedPart; readonly answer: DapAnswer }
  | { readonly kind: 'bent'; readonly part: BentPart }

/** How the sheet drags on the punch, as a smith would say it. */
const WAYS = [
  [0, 'oiled'],
  [0.25, 'dry'],
  [1, 'driven home'],
] as const

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight'] as const
const ORDER = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'] as const

/** "Four punches, anneal before the third": what the simulation would do. */
function sequenceWords(punches: number, annealBefore: readonly number[]): string {
  const count = punches === 1 ? 'One punch' : `${NUMBERS[punches] ?? punches} punches`
  if (annealBefore.length === 0) return `${count}, and no anneal is needed against splitting.`
  const before = annealBefore.map((i) => `the ${ORDER[i] ?? `${i + 1}th`}`).join(' and ')
  return `${count}, annealed before ${before}: without it more than 61 % of what the metal can take would be used there.`
}

const WORST: readonly Light[] = ['green', 'amber', 'red']
const SAID: Readonly<Record<Light, string>> = { green: 'within its limit', amber: 'near its limit', red: 'likely to fail' }

function verdict({ stages }: DapAnswer): { readonly light: Light; readonly words: string } {
  const worst = (lights: readonly Light[]) => WORST[Math.max(...lights.map((light) => WORST.indexOf(light)))] ?? 'green'
  const cracks = worst(stages.flatMap(({ pole, middle, rim }) => [pole.light, middle.light, rim.light]))
  const folds = worst(stages.map(({ wrinkle }) => wrinkle.light))
  return { light: worst([cracks, folds]), words: `Against splitting ${SAID[cracks]}, against folding at the rim ${SAID[folds]}.` }
}

function Dome({ part, first }: { readonly part: DappedPart; readonly first: DapAnswer }) {
  const [anneals, setAnneals] = useState(() => part.stages.map(({ annealBefore }) => annealBefore))
  const [friction, setFriction] = useState(0)
  const [chosen, setChosen] = useState(part.stages.length - 1)
  const [kept, setKept] = useState<KeptWay>()
  const asPlanned = useMemo(() => dapQuestion(part), [part])
  const question = useMemo(() => {
    const isSame = friction === 0 && part.stages.every(({ annealBefore }, i) => annealBefore === anneals[i])
    return isSame
      ? asPlanned
      : {
          ...asPlanned,
          friction,
          stages: part.stages.map(({ punchMm }, i) => ({ punchMm, annealBefore: anneals[i] ?? false })),
        }
  }, [asPlanned, part.stages, anneals, friction])
  const { answer, isWorking, isFailed } = useDap(question, first)
  const { light, words } = verdict(answer)
  const recommended = answer.annealBefore
  const isRecommended = anneals.every((annealed, i) => annealed === recommended.includes(i))
  return (
    <PictureAndPanel
      label="Stages"
      isWorking={isWorking}
      picture={
        <>
          <Typography variant="h2">
            {part.name}, disc <span className="fig">{formatPlain(part.discMm, 1)} mm</span>, {ALLOYS[part.alloy].title.toLowerCase()}{' '}
            <span className="fig">{formatPlain(part.thicknessMm, 2)} mm</span>
          </Typography>
          <DomeSection stages={answer.stages} chosen={chosen} thicknessMm={part.thicknessMm} discMm={part.discMm} />
          <Typography variant="body2" sx={{ color: PALETTE.muted, mt: 0.5 }}>
            Rust: thinner than the sheet; blue: thicker. Dashed: the other stages. Figures are mm of metal.
          </Typography>
          <Typography variant="h2" sx={{ mt: 1.5 }}>
            Thickness from the crown to the rim{kept ? ', dashed as it was kept' : ''}
          </Typography>
          <ThicknessChart stages={answer.stages} chosen={chosen} thicknessMm={part.thicknessMm} kept={kept?.answer.stages[chosen]} />
        </>
      }
      panel={
        <>
          <Typography
            role="status"
            sx={{ fontWeight: 600, color: light === 'green' ? PALETTE.verdigris : light === 'amber' ? PALETTE.ochre : PALETTE.fire }}
          >
            {words}
          </Typography>
          <Typography sx={{ mt: 0.75 }}>{sequenceWords(part.stages.length, recommended)}</Typography>
          {isRecommended ? null : (
            <Button sx={{ mt: 0.75 }} onClick={() => setAnneals(part.stages.map((_, i) => recommended.includes(i)))}>
              Look at it that way
            </Button>
          )}
          {isFailed ? (
            <Typography role="alert" sx={{ color: PALETTE.fire, mt: 0.75 }}>
              This way could not be worked out. What is shown is the one before it.
            </Typography>
          ) : null}
          <StageTable
            answer={answer}
            anneals={anneals}
            chosen={chosen}
            onChoose={setChosen}
            onAnneal={(at, annealed) => setAnneals(anneals.map((was, i) => (i === at ? annealed : was)))}
          />
          <Typography variant="h2" sx={{ mt: 2, mb: 0.75 }}>
            On the punch
          </Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={friction}
            onChange={(_, way: number | null) => way !== null && setFriction(way)}
            aria-label="On the punch"
          >
            {WAYS.map(([value, way]) => (
              <ToggleButton key={value} value={value}>
                {way}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Button sx={{ mt: 1.5, display: 'block' }} onClick={() => setKept(kept ? undefined : { answer, anneals })}>
            {kept ? 'Look at this way alone' : 'Keep this way to compare'}
          </Button>
          {kept ? <BesideTable kept={kept} now={{ answer, anneals }} /> : null}
          <Typography variant="body2" sx={{ mt: 1.5 }}>
            Height and rim are those of the middle of the metal. How far the crown thins is the hand’s: from 0.4 to 1.8 of what is
            calculated, so its figure has a wide band. The rim is known better, within 3 %; work used within 30 % of itself. What you try
            here changes nothing of the route.
          </Typography>
        </>
      }
    />
  )
}

/** Forming, stage by stage: what each punch makes of the metal. */
export function FormStation({ pieceId, parts }: { readonly pieceId: number; readonly parts: readonly FormedPart[] }) {
  const [shown, setShown] = useState(0)
  const formed = parts[shown]
  if (!formed)
    return (
      <Typography sx={{ p: 3 }}>
        Nothing of this piece is domed out of a disc or bent round a former. Its other forming is on its{' '}
        <NextLink href={`/pieces/${pieceId}/route`}>route</NextLink>.
      </Typography>
    )
  return (
    <Box sx={{ flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0, overflow: { md: 'hidden' } }}>
      {parts.length > 1 ? (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={shown}
          onChange={(_, index: number | null) => index !== null && setShown(index)}
          aria-label="Part"
          sx={{ px: 2.5, pt: 1.25 }}
        >
          {parts.map(({ kind, part }, i) => (
            <ToggleButton key={`${part.part} ${kind}`} value={i}>
              {part.name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      ) : null}
      {formed.kind === 'domed' ? (
        <Dome key={formed.part.part} part={formed.part} first={formed.answer} />
      ) : (
        <BendView key={formed.part.part} part={formed.part} />
      )}
    </Box>
  )
}
