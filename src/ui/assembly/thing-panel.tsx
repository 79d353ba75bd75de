'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { OTHER_KINDS, type OtherKind } from '@/core/assembly'
import { BOUGHT_TEMPERS, type BoughtTemper } from '@/core/metals'
import { changeJoint, changeOther, changePart, type DesignOther, type DesignPart, removeThing } from '@/core/piece'
import { STONE_RISKS, type StoneRisk } from '@/core/tables'
import { formatPlain } from '@/core/units'
import { ChoiceField } from '../shared/choice-field'
import { PageLink } from '../shared/page-link'
import { SizeField } from '../shared/size-field'
import { JointFields } from './joint-fields'
import type { AssemblyHand } from './use-assembly'
import { useKept } from './use-kept'

interface PanelProps<T> {
  readonly thing: T
  readonly hand: AssemblyHand
}

function PartFields({ thing: part, hand, pieceId }: PanelProps<DesignPart> & { readonly pieceId: number }) {
  const { design, keep, plan } = hand
  const name = useKept(part.name, (text) => keep(changePart(design, part.id, { name: text.trim() })))
  const count = useKept(String(part.count ?? 1), (text) => {
    const whole = Math.round(Number(text))
    keep(changePart(design, part.id, { count: whole > 1 ? whole : undefined }))
  })
  const planned = plan.parts.find(({ id }) => id === part.id)
  return (
    <>
      {planned?.result ? (
        <Typography>
          {planned.result.answer.name}: mark at <b className="fig">{formatPlain(planned.result.answer.markAt, 2)} mm</b>
        </Typography>
      ) : (
        <Typography role="status">{planned?.issues[0]?.message ?? 'Its sizes are still open.'}</Typography>
      )}
      <Button variant="contained" component={PageLink} href={`/pieces/${pieceId}?part=${encodeURIComponent(part.id)}`} sx={{ my: 1 }}>
        Size it
      </Button>
      <SizeField label="Name" wide value={name.text} onChange={name.setText} onBlur={name.take} />
      <SizeField label="So many in one piece" value={count.text} onChange={count.setText} onBlur={count.take} />
      <ChoiceField
        label="As bought"
        value={part.bought}
        options={BOUGHT_TEMPERS}
        onChange={(bought) => keep(changePart(design, part.id, { bought: bought as BoughtTemper }))}
      />
    </>
  )
}

function OtherFields({ thing: other, hand }: PanelProps<DesignOther>) {
  const { design, keep } = hand
  const name = useKept(other.name, (text) => keep(changeOther(design, other.id, { name: text.trim() })))
  const stands = useKept(other.standsC === undefined ? '' : String(other.standsC), (text) => {
    const standsC = Number(text.replace(',', '.'))
    keep(changeOther(design, other.id, { standsC: text.trim() !== '' && standsC >= 0 ? standsC : undefined }))
  })
  return (
    <>
      <SizeField label="Name" wide value={name.text} onChange={name.setText} onBlur={name.take} />
      <ChoiceField
        label="What it is"
        value={other.kind}
        options={OTHER_KINDS}
        onChange={(kind) => keep(changeOther(design, other.id, { kind: kind as OtherKind }))}
      />
      {other.kind === 'stone' ? (
        <ChoiceField
          label="Which stone"
          value={STONE_RISKS.find((stone) => stone.name === other.name)?.id ?? ''}
          options={{ '': 'not in the table', ...Object.fromEntries(STONE_RISKS.map((stone) => [stone.id, stone.name])) }}
          onChange={(id) => {
            const stone = STONE_RISKS.find((one) => one.id === id)
            if (stone) keep(changeOther(design, other.id, { name: stone.name, standsC: stone.standsC, note: stoneNote(stone) }))
          }}
        />
      ) : null}
      {other.note ? <Typography variant="body2">{other.note}</Typography> : null}
      <SizeField
        label="Stands a heat of"
        unit="°C"
        value={stands.text}
        onChange={stands.setText}
        onBlur={stands.take}
        help="Where nothing is said, stone, glass and the like stand 60 °C."
      />
    </>
  )
}

const TAKES = { no: 'no', short: 'only for a moment', yes: 'yes' } as const

/** What is to be known of a stone before it is set. */
function stoneNote({ mohs, breaks, acid, wet }: StoneRisk): string {
  return `Mohs ${mohs}, ${breaks}; acid: ${TAKES[acid]}; water: ${TAKES[wet]}. Heat at the bench is a suggestion: try a like stone first.`
}

interface ThingPanelProps {
  readonly id: string
  readonly pieceId: number
  readonly hand: AssemblyHand
  readonly things: Readonly<Record<string, string>>
}

/** What was picked: a part, what goes on it, or a joint, and everything of it that can be changed. */
export function ThingPanel({ id, pieceId, hand, things }: ThingPanelProps) {
  const { design, plan, keep } = hand
  const part = design.parts.find((one) => one.id === id)
  const other = design.others.find((one) => one.id === id)
  const joint = design.joints.find((one) => one.id === id)
  const title = part?.name || other?.name || id.replaceAll('-', ' ')
  if (!part && !other && !joint) return null
  return (
    <Box component="section" aria-label="What was picked" sx={{ pb: 1.5 }}>
      <Typography variant="h2" sx={{ textTransform: 'none' }}>
        {title}
      </Typography>
      {part ? <PartFields key={id} thing={part} hand={hand} pieceId={pieceId} /> : null}
      {other ? <OtherFields key={id} thing={other} hand={hand} /> : null}
      {joint ? (
        <JointFields key={id} joint={joint} plan={plan} things={things} onChange={(change) => keep(changeJoint(design, id, change))} />
      ) : null}
      {design.parts.length > 1 || !part ? (
        <Button color="error" sx={{ mt: 1.5 }} onClick={() => keep(removeThing(design, id))}>
          Take it out of the piece
        </Button>
      ) : null}
    </Box>
  )
}
