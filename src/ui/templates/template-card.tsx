'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Trash2 } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { useMemo, useState } from 'react'
import { boundsOf, netAreaMm2, type Region } from '@/core/geometry'
import { type StoneSetting, settingsFor } from '@/core/templates'
import { formatPlain } from '@/core/units'
import type { Template } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { useTold } from '../acting/use-told'
import { ConfirmDialog } from '../shared/confirm-dialog'
import { IconAction } from '../shared/icon-action'
import { useNotice } from '../shared/notices'
import { useWorkshop } from '../shared/workshop-context'
import { ChangePanel } from './change-panel'
import { TemplateShape } from './template-shape'

interface TemplateCardProps {
  readonly template: Template
  readonly others: readonly Template[]
}

export function sizeWords({ outer, holes }: Region): string {
  const box = boundsOf(outer)
  const area = netAreaMm2(outer, holes) / 100
  return `${formatPlain(box.maxX - box.minX, 1)} × ${formatPlain(box.maxY - box.minY, 1)} mm, ${formatPlain(area, 2)} cm²`
}

/** A template: its shape and size, how often it was made, and what can be made of it. */
export function TemplateCard({ template, others }: TemplateCardProps) {
  const [changing, setChanging] = useState(false)
  const [asking, setAsking] = useState(false)
  const [setting, setSetting] = useState(false)
  const { uid } = useWorkshop()
  const act = useAct()
  const say = useNotice()
  const told = useTold()
  const router = useRouter()
  const settings = useMemo(() => (setting ? settingsFor(template) : undefined), [setting, template])
  const { id, name, made, revision } = template
  const file = (kind: string) => `/api/templates/${id}/${kind}?of=${uid}`
  async function drop(yes: boolean) {
    setAsking(false)
    if (!yes) return
    const done = await act('dropTemplate', { id }, { revision })
    say({ text: done.ok ? `${name} is taken out.` : done.message })
  }
  /** A piece of its own, its sizes those of this stone; metal and height are still to be said. */
  async function make(what: string, { form, input }: StoneSetting) {
    const added = await act('addPiece', { name: `${what} for ${name}`.slice(0, 200), form, input })
    if (added.ok) router.push(`/pieces/${added.id}`)
    else say({ text: added.message })
  }
  return (
    <Box component="article" aria-label={name} sx={{ width: 330, maxWidth: '100%' }}>
      <TemplateShape regions={[template]} says={`${name}, ${sizeWords(template)}`} />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
        <Typography sx={{ fontWeight: 700 }}>{name}</Typography>
        <IconAction label={`Take ${name} out`} icon={Trash2} onPress={() => setAsking(true)} />
      </Box>
      <Typography variant="body2">
        <span className="fig">{sizeWords(template)}</span>
        {template.from ? `, ${template.from}` : ''}, made <span className="fig">{made}</span> {made === 1 ? 'time' : 'times'}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', ml: -0.75 }}>
        <Button
          variant="text"
          onClick={() =>
            void told('countTemplate', { id, change: 1 }, { revision, text: `${name}: made once more.`, back: { id, change: -1 } })
          }
        >
          Made again
        </Button>
        <Button variant="text" href={file('pdf')} target="_blank">
          Print
        </Button>
        <Button variant="text" href={file('svg')}>
          SVG
        </Button>
        <Button variant="text" href={file('dxf')}>
          DXF
        </Button>
        <Button variant="text" aria-expanded={changing} onClick={() => setChanging(!changing)}>
          Scale, mirror, divide, compare
        </Button>
        <Button variant="text" aria-expanded={setting} onClick={() => setSetting(!setting)}>
          Set it as a stone
        </Button>
      </Box>
      {settings ? (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 0.5 }}>
          <Button onClick={() => void make('Bezel', settings.bezel)}>A bezel round it</Button>
          <Button onClick={() => void make('Tabs', settings.tabs)}>Tabs round it</Button>
          <Typography variant="body2">A bezel runs straight over any hollow. Metal and heights are asked next.</Typography>
        </Box>
      ) : null}
      {changing ? <ChangePanel template={template} others={others} onDone={() => setChanging(false)} /> : null}
      <ConfirmDialog
        open={asking}
        title={`Take ${name} out?`}
        says="It is gone from the templates for good. Pieces that were made with it stay as they are."
        yes="Take it out"
        onAnswer={(yes) => void drop(yes)}
      />
    </Box>
  )
}
