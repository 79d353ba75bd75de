'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import { BATHS, type EtchAnswer, type EtchBath, type EtchChoices, type Resist } from '@/core/etching'
import { formatPlain } from '@/core/units'
import { colourOf } from '../drawing/metal-colour'
import { useSize } from '../drawing/use-size'
import { CheckList, WorkingSteps } from '../forms/answer-column'
import { SheetAndPanel } from '../layout/sheet-and-panel'
import { ChoiceField } from '../shared/choice-field'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { AmountField } from './amount-field'
import { ArtworkFile } from './artwork-file'
import { EtchDrawing } from './etch-drawing'
import type { ViewProps } from './struck-view'

const RESISTS: Readonly<Record<Resist, string>> = {
  'toner-transfer': 'toner, ironed on',
  painted: 'painted on',
  tape: 'cut tape',
  'photo-film': 'photo film',
}
const BATH_WORDS = Object.fromEntries(Object.entries(BATHS).map(([id, { title }]) => [id, title]))

/** An etch as it begins: a fifth of the thickness deep, no artwork yet. */
const firstEtch = (thicknessMm: number): EtchChoices => ({
  dark: [],
  resist: 'toner-transfer',
  depthMm: Math.max(0.05, Math.round(20 * thicknessMm) / 100),
  through: false,
  bothSides: false,
  edges: 'sealed',
  back: 'taped',
  bath: 'copper-sulphate',
  gapMm: 12,
})

/** A finest line under this is none that was said, mm. */
const LEAST_LINE_MM = 0.01

interface FieldsProps {
  readonly etch: EtchChoices
  readonly thicknessMm: number
  readonly onChange: (etch: EtchChoices) => void
}

function Check({
  label,
  checked,
  onChange,
}: {
  readonly label: string
  readonly checked: boolean
  readonly onChange: (on: boolean) => void
}) {
  return <FormControlLabel control={<Checkbox size="small" checked={checked} onChange={(_, on) => onChange(on)} />} label={label} />
}

/** What is chosen about an etch. */
function EtchFields({ etch, thicknessMm, onChange }: FieldsProps) {
  const { depthMm: _, ...rest } = etch
  return (
    <>
      {etch.through ? null : (
        <AmountField
          label="Depth"
          value={etch.depthMm ?? 0.2}
          min={0.005}
          max={10}
          onChange={(depthMm) => onChange({ ...etch, depthMm })}
        />
      )}
      <Check
        label="All the way through"
        checked={etch.through}
        onChange={(through) => onChange(through ? { ...rest, through } : { ...rest, through, depthMm: firstEtch(thicknessMm).depthMm })}
      />
      <Check label="From both sides" checked={etch.bothSides} onChange={(bothSides) => onChange({ ...etch, bothSides })} />
      <Check
        label="Edges sealed"
        checked={etch.edges === 'sealed'}
        onChange={(on) => onChange({ ...etch, edges: on ? 'sealed' : 'bare' })}
      />
      {etch.bothSides ? null : (
        <Check label="Back taped" checked={etch.back === 'taped'} onChange={(on) => onChange({ ...etch, back: on ? 'taped' : 'bare' })} />
      )}
      <ChoiceField
        label="Bath"
        value={etch.bath}
        options={BATH_WORDS}
        width={170}
        onChange={(bath) => onChange({ ...etch, bath: bath as EtchBath })}
      />
      <ChoiceField
        label="Resist"
        value={etch.resist}
        options={RESISTS}
        width={170}
        onChange={(resist) => onChange({ ...etch, resist: resist as Resist })}
      />
      <AmountField label="Between the plates" value={etch.gapMm} min={0.5} max={500} onChange={(gapMm) => onChange({ ...etch, gapMm })} />
      <AmountField
        label="Finest line drawn"
        value={etch.finestMm ?? 0}
        min={0}
        max={50}
        onChange={(mm) => onChange({ ...etch, finestMm: mm >= LEAST_LINE_MM ? mm : undefined })}
      />
    </>
  )
}

/** What an etch comes to: its time and current first. */
function EtchFigures({ answer }: { readonly answer: EtchAnswer }) {
  if (answer.minutes === 0) return null
  const lines = [
    ['Current', `${formatPlain(answer.currentA, 2)} A (${formatPlain(answer.densityAPerDm2, 1)} A/dm²)`],
    ['Metal etched', `${formatPlain(answer.areaMm2, 0)} mm², ${formatPlain(answer.massOffG, 2)} g comes off`],
    ['In a minute', `${formatPlain(answer.rateUmPerMin, 2)} µm`],
    ['Eaten in under the resist', `${formatPlain(answer.undercutMm, 2)} mm`],
    ['Finest dark line', `${formatPlain(answer.finestLineMm, 2)} mm`],
    ['Through after', `${formatPlain(answer.throughMinutes, 0)} min`],
  ] as const
  return (
    <Box component="section" aria-label="The etch" sx={{ my: 1 }}>
      <Typography className="fig" sx={{ fontSize: 30, fontWeight: 700, color: PALETTE.verdigris }}>
        {formatPlain(answer.minutes, 0)} min
      </Typography>
      <Typography variant="body2">with the current on, to {formatPlain(answer.depthMm, 3)} mm deep</Typography>
      <Typography variant="body2">
        between {formatPlain(answer.minutesLeast, 0)} and {formatPlain(answer.minutesMost, 0)} min,{' '}
        {answer.efficiencyRatio === 1
          ? 'nothing logged in this bath yet'
          : `by what this bath does: ${formatPlain(answer.efficiencyRatio, 2)} of Faraday’s law`}
      </Typography>
      <Box component="dl" sx={{ m: 0, mt: 1 }}>
        {lines.map(([label, value]) => (
          <Box
            key={label}
            sx={{ display: 'flex', justifyContent: 'space-between', borderBottom: `1px dotted ${PALETTE.hairline}`, py: 0.25 }}
          >
            <Typography component="dt" variant="body2">
              {label}
            </Typography>
            <Typography component="dd" className="fig" variant="body2" sx={{ m: 0 }}>
              {value}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  )
}

/** How a part’s blank is etched: its artwork on the true outline, current and minutes, what the undercut leaves, and what stands against it. */
export function EtchedView({ piece, hand, top, foot }: ViewProps) {
  const { part, etched } = hand
  const { uid } = useWorkshop()
  const { ref, width, height } = useSize({ width: 760, height: 620 })
  const { etch } = part
  const print = async () => {
    await hand.stored()
    window.open(`/api/pieces/${piece.id}/artwork?of=${uid}&part=${encodeURIComponent(part.part)}`, '_self')
  }
  return (
    <SheetAndPanel
      sheetRef={ref}
      label="Etch"
      panelPx={380}
      sheet={
        <EtchDrawing
          outer={part.outer}
          holes={part.holes}
          colour={colourOf(part.alloy)}
          answer={etched}
          width={width}
          height={height - 8}
        />
      }
    >
      {top}
      <Typography variant="h2">Etch of the {part.blank.toLowerCase()}</Typography>
      {etch ? (
        <>
          {etched ? <EtchFigures answer={etched} /> : null}
          {etched ? <CheckList checks={etched.checks} label="What to look at" /> : null}
          <ArtworkFile etch={etch} outer={part.outer} onChange={hand.changeEtch} />
          <EtchFields key={part.part} etch={etch} thicknessMm={part.thicknessMm} onChange={hand.changeEtch} />
          {etch.dark.length > 0 ? (
            <Button onClick={() => void print()} sx={{ mt: 1 }}>
              Artwork to print{etched?.isMirrored ? ', mirrored' : ''} (SVG)
            </Button>
          ) : null}
          <Button variant="text" onClick={() => hand.changeEtch(undefined)}>
            It is not etched
          </Button>
        </>
      ) : (
        <>
          <Typography variant="body2" sx={{ my: 1 }}>
            It is not etched. What is dark in the artwork keeps the metal, what is bare is etched away by a current.
          </Typography>
          <Button variant="contained" onClick={() => hand.changeEtch(firstEtch(part.thicknessMm))}>
            Plan an etch
          </Button>
        </>
      )}
      {foot}
      {etched && etched.working.length > 0 ? <WorkingSteps steps={etched.working} /> : null}
    </SheetAndPanel>
  )
}
