'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { STARTING_SETS, TOOL_KIND_INFO, TOOL_KINDS, type ToolKind } from '@/core/toolwall'
import { useAct } from '../acting/act-provider'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import { TextRow } from '../shared/text-row'
import { PALETTE } from '../theme/palette'

const KIND_TITLES = Object.fromEntries(TOOL_KINDS.map((kind) => [kind, TOOL_KIND_INFO[kind].title])) as Record<ToolKind, string>

const SIZE_HELP: Partial<Record<ToolKind, string>> = {
  drill: '#55, 1.3, 1/16 in. Leave it empty if only its label is known.',
  blade: 'A size such as 4/0, or the thickness from the packet.',
  abrasive: 'P400, CAMI 320, or the micron.',
  solder: 'Where it flows, from the supplier’s sheet.',
  hammer: 'Hardness of the face; empty for a soft one.',
}

/** One tool by hand: what it is called, what it is sold as, how many there are. */
export function NewTool({ onDone }: { readonly onDone: () => void }) {
  const [kind, setKind] = useState<ToolKind>('drill')
  const [fields, setFields] = useState({ label: '', size: '', measured: '', count: '' })
  const [issues, setIssues] = useState<Readonly<Record<string, string>>>({})
  const info = TOOL_KIND_INFO[kind]
  const set = (name: keyof typeof fields) => (value: string) => setFields({ ...fields, [name]: value })
  const act = useAct()
  async function add() {
    const added = await act('addTool', { kind, ...fields })
    setIssues(added.ok ? {} : Object.fromEntries(added.issues.map((issue) => [issue.path, issue.message])))
    if (added.ok) onDone()
  }
  return (
    <Box
      component="form"
      aria-label="One tool"
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        void add()
      }}
    >
      <Typography variant="h2">One tool</Typography>
      <ChoiceField label="What" value={kind} options={KIND_TITLES} onChange={(value) => setKind(value as ToolKind)} width={170} />
      <TextRow label="Name" value={fields.label} onChange={set('label')} error={issues.label} />
      {info.size ? (
        <>
          <SizeField
            label={`${info.size.label}, as sold`}
            value={fields.size}
            unit={info.size.unit}
            onChange={set('size')}
            error={issues.size}
            understood={SIZE_HELP[kind]}
          />
          <SizeField label="As measured" value={fields.measured} unit={info.size.unit} onChange={set('measured')} error={issues.measured} />
        </>
      ) : null}
      {info.counted ? <SizeField label="How many" value={fields.count} onChange={set('count')} error={issues.count} /> : null}
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5 }}>
        <Button type="submit" variant="contained">
          Hang it up
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </Box>
    </Box>
  )
}

/** Sets as they are sold, to tick and correct afterwards. */
export function StartingSets({ onDone }: { readonly onDone: (added: number) => void }) {
  const [ticked, setTicked] = useState<readonly string[]>([])
  const [problem, setProblem] = useState('')
  const act = useAct()
  async function add() {
    const done = await act('addStartingSets', { ids: [...ticked] })
    setProblem(done.ok ? '' : done.message)
    if (done.ok) onDone(done.added)
  }
  return (
    <Box component="section" aria-label="Starting sets">
      <Typography variant="h2">Starting sets</Typography>
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        Tick what you own and correct it by measuring. The sizes are as usually sold, a suggestion.
      </Typography>
      <Box>
        {STARTING_SETS.map((set) => (
          <Box
            component="label"
            key={set.id}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 0.5,
              fontSize: 13.5,
              borderBottom: `1px dotted ${PALETTE.hairline}`,
              cursor: 'pointer',
            }}
          >
            <Checkbox
              size="small"
              checked={ticked.includes(set.id)}
              onChange={(_, on) => setTicked(on ? [...ticked, set.id] : ticked.filter((id) => id !== set.id))}
              sx={{ p: 0.5, color: PALETTE.muted }}
            />
            {set.title}
          </Box>
        ))}
      </Box>
      <Button variant="contained" disabled={ticked.length === 0} onClick={() => void add()} sx={{ mt: 1.5 }}>
        Hang up what is ticked
      </Button>
      {problem ? <Typography role="alert">{problem}</Typography> : null}
    </Box>
  )
}
