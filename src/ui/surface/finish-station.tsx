'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { filmColours } from '@/core/colour'
import { lackingOnRoute } from '@/core/piece'
import { type FaceLook, FINISHES, type FinishId, patinaOn, STARTS } from '@/core/surface'
import { WorkFoot } from '../acting/work-foot'
import { StepsPicture } from '../advice/steps-picture'
import { colourOf } from '../drawing/metal-colour'
import { useSize } from '../drawing/use-size'
import { CheckList, WorkingSteps } from '../forms/answer-column'
import { SheetAndPanel } from '../layout/sheet-and-panel'
import { ChoiceField } from '../shared/choice-field'
import { PartPicker } from '../shared/part-picker'
import { ColourFields } from './colour-fields'
import { FacesDrawing } from './faces-drawing'
import { FilmStrip, filmKindOf } from './film-strip'
import { HandlingList } from './handling-list'
import { LadderStairs } from './ladder-stairs'
import { SwatchBook } from './swatch-book'
import { TextureFields } from './texture-fields'
import { type SurfacedPiece, type SurfaceHand, useSurface } from './use-surface'

const LOOKS = Object.fromEntries(Object.entries(FINISHES).map(([id, { title }]) => [id, title]))
const GRADES = ['P80', 'P120', 'P220', 'P400', 'P600', 'P800', 'P1200', 'P1500']
const FROM = Object.fromEntries([...Object.keys(STARTS), ...GRADES].map((from) => [from, from]))

/** Colours that are not those of a thin film (house default). */
const OPAQUE: Readonly<Record<string, string>> = {
  selenious: '#2b2c31',
  tellurium: '#26272b',
  verdigris: '#74b3a0',
  'ammonia-fume': '#5f93b8',
  'ammonia-salt': '#63a9ab',
}
/** A heat colour that is stopped at its first reds and browns, nm of oxide (house default). */
const HEAT_NM = 20
/** A sulphide that was dipped until it stops changing: thick, rough and dark (house default). */
const THICK_SULPHIDE = '#35353a'

/** What lies over a part once it is coloured. */
function filmOver({ part }: SurfaceHand) {
  const patina = part.choices?.patina
  if (!patina || patinaOn(patina.agent, part.alloy).startsWith('no')) return undefined
  const kind = filmKindOf(patina.agent)
  const heat =
    kind === 'oxide' ? filmColours('oxide', part.alloy)?.swatches.find(({ thicknessNm }) => thicknessNm === HEAT_NM)?.colour : undefined
  const colour = OPAQUE[patina.agent] ?? (kind === 'sulphide' ? THICK_SULPHIDE : heat)
  return colour === undefined ? undefined : { colour, isRelieved: patina.relief !== 'none' }
}

/** The faces, the papers of the one chosen, the colours it goes through, and what it came out like before. */
interface PictureProps {
  readonly hand: SurfaceHand
  readonly swatches: SurfacedPiece['swatches']
  readonly width: number
  readonly height: number
}

function Picture({ hand, swatches, width, height }: PictureProps) {
  const { part, answer, chosen } = hand
  const looks = part.choices?.faces ?? part.faces.map(({ name }): FaceLook => ({ name, from: 'rolled sheet', finish: 'as-formed' }))
  const patina = part.choices?.patina
  const inner = width - 40
  const plan = answer?.faces[Math.min(chosen, answer.faces.length - 1)]
  const strip = patina && filmKindOf(patina.agent) ? 90 : 0
  const book = patina ? 206 : 0
  const ladder = plan ? 200 : 0
  return (
    <Box sx={{ p: 2.5 }}>
      <FacesDrawing
        part={part}
        looks={looks}
        chosen={chosen}
        colour={colourOf(part.alloy)}
        film={filmOver(hand)}
        width={inner}
        height={Math.min(380, Math.max(160, height - 60 - ladder - strip - book))}
        onChoose={hand.choose}
      />
      {plan ? <LadderStairs face={plan} width={inner} height={ladder} /> : null}
      {patina && strip > 0 ? (
        <Box sx={{ mt: 1 }}>
          <Typography variant="body2">
            What the colour goes through as it grows, calculated from the thickness of the film: approximate (optical constants are known
            roughly), and a thick film turns grey-black.
          </Typography>
          <FilmStrip agent={patina.agent} alloy={part.alloy} width={inner} />
        </Box>
      ) : null}
      {patina ? <SwatchBook swatches={swatches} alloy={part.alloy} agent={patina.agent} /> : null}
    </Box>
  )
}

/** How each face begins and is to look. */
function FaceFields({ hand }: { readonly hand: SurfaceHand }) {
  const { part, chosen, change } = hand
  const { choices } = part
  const at = Math.min(chosen, (choices?.faces.length ?? 1) - 1)
  const face = choices?.faces[at]
  if (!choices || !face) return null
  const keep = (next: Partial<FaceLook>) =>
    change({ ...choices, faces: choices.faces.map((one, i) => (i === at ? { ...one, ...next } : one)) })
  return (
    <Box component="fieldset" sx={{ border: 'none', p: 0, m: 0 }}>
      <ChoiceField
        label="Face"
        value={String(at)}
        options={Object.fromEntries(choices.faces.map(({ name }, i) => [String(i), name]))}
        onChange={(next) => hand.choose(Number(next))}
        width={210}
      />
      <ChoiceField label="Deepest scratch" value={face.from} options={FROM} onChange={(from) => keep({ from })} width={210} />
      <ChoiceField
        label="Finish"
        value={face.finish}
        options={LOOKS}
        onChange={(finish) => keep({ finish: finish as FinishId })}
        width={210}
      />
    </Box>
  )
}

/** How a part is to look, face by face, and how it is coloured: papers, minutes, where they stop and why, and what would spoil it later. */
export function FinishStation({ piece }: { readonly piece: SurfacedPiece }) {
  const hand = useSurface(piece)
  const { part, answer } = hand
  const { ref, width, height } = useSize({ width: 760, height: 620 })
  const minutes = answer?.faces.reduce((sum, face) => sum + (face.minutes ?? 0), 0) ?? 0
  return (
    <SheetAndPanel
      sheetRef={ref}
      label="Finish"
      panelPx={380}
      sheet={<Picture hand={hand} swatches={piece.swatches} width={width} height={height} />}
    >
      <PartPicker parts={piece.parts} part={part.part} onShow={hand.show} />
      <Typography variant="h2">Surface of the {part.name.toLowerCase()}</Typography>
      {part.choices ? (
        <>
          {answer && minutes > 0 ? (
            <Typography variant="body2">
              About <b className="fig">{Math.max(1, Math.round(minutes))}</b> min of papers, all faces: an estimate by area, see the
              working.
            </Typography>
          ) : null}
          <FaceFields hand={hand} />
          <ColourFields
            key={part.part}
            patina={part.choices.patina}
            onChange={(patina) => {
              const { patina: _, ...faces } = part.choices ?? { faces: [] }
              hand.change({ ...faces, ...(patina ? { patina } : {}) })
            }}
          />
          <TextureFields hand={hand} />
          {hand.issues.map(({ path, message }) => (
            <Typography key={path + message} role="alert" variant="body2" color="error">
              {message}
            </Typography>
          ))}
          {answer ? <CheckList checks={answer.checks} label="What to look at" /> : null}
          {answer?.colour ? (
            <>
              <Typography variant="h3" sx={{ mt: 1.5, mb: 1 }}>
                The colour run
              </Typography>
              <StepsPicture steps={answer.colour.steps} />
              <Typography variant="body2">
                Put back, and why: {answer.colour.rejects.map(({ looks, from }) => `${looks} – ${from}`).join('; ')}.
              </Typography>
            </>
          ) : null}
          {answer ? <HandlingList handling={answer.handling} /> : null}
          <Button variant="text" onClick={() => hand.change(undefined)} sx={{ mt: 1 }}>
            Plan nothing here
          </Button>
        </>
      ) : (
        <>
          <Typography variant="body2" sx={{ my: 1 }}>
            How it is to look is not planned yet. Papers, minutes and colour follow from the finish of each face.
          </Typography>
          <Button variant="contained" onClick={hand.begin}>
            Plan its finish
          </Button>
        </>
      )}
      <WorkFoot piece={piece} hand={hand} lacking={lackingOnRoute(part, part.part, hand.asked)} onToRoute={hand.toRoute} />
      {answer && answer.working.length > 0 ? <WorkingSteps steps={answer.working} /> : null}
    </SheetAndPanel>
  )
}
