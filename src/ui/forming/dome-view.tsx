'use client'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useMemo, useRef, useState } from 'react'
import type { DapAnswer, Light } from '@/core/forming'
import { ALLOYS } from '@/core/metals'
import { type DappedPart, dapQuestion, punchForHeight } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { LIGHT_COLOUR } from '../theme/light-colour'
import { PALETTE } from '../theme/palette'
import { BesideTable, type KeptWay } from './beside-table'
import { CrownTrial } from './crown-trial'
import { DomeSection } from './dome-section'
import { DomeSolid } from './dome-solid'
import { PictureAndPanel } from './picture-and-panel'
import { StageTable } from './stage-table'
import { ThicknessChart } from './thickness-chart'
import { useDap } from './use-dap'

/** How the sheet drags on the punch, as a smith would say it. */
const WAYS = [
  [0, 'oiled'],
  [0.25, 'dry'],
  [1, 'driven home'],
] as const

const NUMBERS = ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight'] as const
const ORDER = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth'] as const

/** "Four punches, anneal before the third": what the simulation would do. */
function sequenceWords(punches: number, { annealBefore, isTooStiff }: DapAnswer): string {
  const count = punches === 1 ? 'One punch' : `${NUMBERS[punches] ?? punches} punches`
  if (annealBefore.length === 0) return `${count}, and no anneal is needed against splitting.`
  const stiff = isTooStiff ? ' As it is bought it is too stiff for a mallet.' : ''
  if (isTooStiff && annealBefore.length === 1) return `${count}, annealed before the first.${stiff}`
  const before = annealBefore.map((i) => `the ${ORDER[i] ?? `${i + 1}th`}`).join(' and ')
  return `${count}, annealed before ${before}: without it more than 61 % of what the metal can take would be used there.${stiff}`
}

const WORST: readonly Light[] = ['green', 'amber', 'red']
const SAID: Readonly<Record<Light, string>> = { green: 'within its limit', amber: 'near its limit', red: 'likely to fail' }

function verdict({ stages }: DapAnswer): { readonly light: Light; readonly words: string } {
  const worst = (lights: readonly Light[]) => WORST[Math.max(...lights.map((light) => WORST.indexOf(light)))] ?? 'green'
  const cracks = worst(stages.flatMap(({ pole, middle, rim }) => [pole.light, middle.light, rim.light]))
  const folds = worst(stages.map(({ wrinkle }) => wrinkle.light))
  return { light: worst([cracks, folds]), words: `Against splitting ${SAID[cracks]}, against folding at the rim ${SAID[folds]}.` }
}

/** A way of doming in hand: what of it differs from its route's, and the question that it is. */
function useWay(part: DappedPart) {
  const [anneals, setAnneals] = useState(() => part.stages.map(({ annealBefore }) => annealBefore))
  const [friction, setFriction] = useState(0)
  /** The last punch, where another height is tried; and whether it is still being dragged. */
  const [lastMm, setLast] = useState<number>()
  const [isDragged, setDragged] = useState(false)
  const asPlanned = useMemo(() => dapQuestion(part), [part])
  const question = useMemo(() => {
    const isSame = friction === 0 && lastMm === undefined && part.stages.every(({ annealBefore }, i) => annealBefore === anneals[i])
    if (isSame) return asPlanned
    const punchOf = (punchMm: number, i: number) => (i === part.stages.length - 1 ? (lastMm ?? punchMm) : punchMm)
    return {
      ...asPlanned,
      friction,
      ...(isDragged ? { rings: PREVIEW_RINGS } : {}),
      stages: part.stages.map(({ punchMm }, i) => ({ punchMm: punchOf(punchMm, i), annealBefore: anneals[i] ?? false })),
    }
  }, [asPlanned, part.stages, anneals, friction, lastMm, isDragged])
  return { anneals, setAnneals, friction, setFriction, lastMm, setLast, isDragged, setDragged, question }
}

const PREVIEW_RINGS = 20

/** A disc domed stage by stage: in section or in 3D, along its thickness, and with what can be tried. */
export function DomeView({ part, first }: { readonly part: DappedPart; readonly first: DapAnswer }) {
  const way = useWay(part)
  const [chosen, setChosen] = useState(part.stages.length - 1)
  const [isRound, setRound] = useState(false)
  const [kept, setKept] = useState<KeptWay>()
  const { answer, isWorking, isFailed } = useDap(way.question, first)
  const { anneals, friction, lastMm } = way
  // the section goes with the hand; the chart follows when it lets go
  const charted = useRef(answer.stages)
  if (!way.isDragged && !isWorking) charted.current = answer.stages
  const { light, words } = verdict(answer)
  const isRecommended = anneals.every((annealed, i) => annealed === answer.annealBefore.includes(i))
  const stage = answer.stages[chosen]
  const isLast = chosen === part.stages.length - 1
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
          {isRound && stage ? (
            <DomeSolid stage={stage} alloy={part.alloy} height={SECTION_HEIGHT} />
          ) : (
            <DomeSection
              stages={answer.stages}
              chosen={chosen}
              thicknessMm={part.thicknessMm}
              discMm={part.discMm}
              {...(isLast
                ? {
                    onHeight: (heightMm: number, isStill: boolean) => {
                      way.setDragged(!isStill)
                      way.setLast(punchForHeight(part, heightMm))
                    },
                  }
                : {})}
            />
          )}
          <ToggleButtonGroup
            exclusive
            size="small"
            value={isRound}
            onChange={(_, round: boolean | null) => round !== null && setRound(round)}
            aria-label="How it is drawn"
          >
            <ToggleButton value={false}>in section</ToggleButton>
            <ToggleButton value={true}>in 3D</ToggleButton>
          </ToggleButtonGroup>
          <Typography variant="body2" sx={{ color: PALETTE.muted, mt: 0.5 }}>
            {isRound
              ? 'As thick as the simulation has it. Drag it, or turn it with the arrow keys.'
              : 'Rust: thinner than the sheet; blue: thicker. Dashed: the other stages. Figures are mm of metal. Drag the mark over the crown to try another height.'}
          </Typography>
          <Typography variant="h2" sx={{ mt: 1.5 }}>
            Thickness from the crown to the rim{kept ? ', dashed as it was kept' : ''}
          </Typography>
          <ThicknessChart stages={charted.current} chosen={chosen} thicknessMm={part.thicknessMm} kept={kept?.answer.stages[chosen]} />
        </>
      }
      panel={
        <>
          <Typography role="status" sx={{ fontWeight: 600, color: LIGHT_COLOUR[light] }}>
            {words}
          </Typography>
          <Typography sx={{ mt: 0.75 }}>{sequenceWords(part.stages.length, answer)}</Typography>
          {isRecommended ? null : (
            <Button sx={{ mt: 0.75 }} onClick={() => way.setAnneals(part.stages.map((_, i) => answer.annealBefore.includes(i)))}>
              Look at it that way
            </Button>
          )}
          {lastMm === undefined ? null : (
            <Typography sx={{ mt: 0.75, borderLeft: `3px solid ${PALETTE.verdigris}`, pl: 1 }}>
              For this height the last punch is <span className="fig">{formatPlain(lastMm, 1)} mm</span>.{' '}
              <Button variant="text" onClick={() => way.setLast(undefined)}>
                Back to the route’s
              </Button>
            </Typography>
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
            onAnneal={(at, annealed) => way.setAnneals(anneals.map((was, i) => (i === at ? annealed : was)))}
          />
          <Typography variant="h2" sx={{ mt: 2, mb: 0.75 }}>
            On the punch
          </Typography>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={friction}
            onChange={(_, drag: number | null) => drag !== null && way.setFriction(drag)}
            aria-label="On the punch"
          >
            {WAYS.map(([value, title]) => (
              <ToggleButton key={value} value={value}>
                {title}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <Button sx={{ mt: 1.5, display: 'block' }} onClick={() => setKept(kept ? undefined : { answer, anneals })}>
            {kept ? 'Look at this way alone' : 'Keep this way to compare'}
          </Button>
          {kept ? <BesideTable kept={kept} now={{ answer, anneals }} /> : null}
          <CrownTrial part={part} stage={stage} />
          <Typography variant="body2" sx={{ mt: 1.5 }}>
            Height and rim are those of the middle of the metal. How far the crown thins is the hand’s: from 0.4 to 1.8 of what is
            calculated, so its figure has a wide band until you have measured your own. The rim is known better, within 3 %; work used
            within 30 % of itself. What you try here changes nothing of the route.
          </Typography>
        </>
      }
    />
  )
}

const SECTION_HEIGHT = 300
