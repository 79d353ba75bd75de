'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { useWatch } from 'react-hook-form'
import { toolEntry } from '@/core/entries'
import { STARTING_SETS, TOOL_KIND_INFO, TOOL_KINDS, type ToolKind } from '@/core/toolwall'
import type { ActionInput } from '@/server/actions/perform'
import { useAct } from '../acting/act-provider'
import { EntryChoice, EntrySize, EntryText } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { PALETTE } from '../theme/palette'

const KIND_TITLES = Object.fromEntries(TOOL_KINDS.map((kind) => [kind, TOOL_KIND_INFO[kind].title])) as Record<ToolKind, string>

const SIZE_HELP: Partial<Record<ToolKind, string>> = {
  drill: '#55, 1.3, 1/16 in. Leave it empty if only its label is known.',
  blade: 'A size such as 4/0, or the thickness from the packet.',
  abrasive: 'P400, CAMI 320, or the micron.',
  solder: 'Where it flows, from the supplier’s sheet.',
  hammer: 'Hardness of the face; empty for a soft one.',
}

type ToolTyped = Omit<ActionInput<'addTool'>, 'facts' | 'count'> & { readonly kind: ToolKind; readonly count: string }

function ToolFields() {
  const { kind } = useWatch() as ToolTyped
  const info = TOOL_KIND_INFO[kind]
  const help = SIZE_HELP[kind]
  return (
    <>
      <EntryChoice name="kind" label="What" options={KIND_TITLES} />
      <EntryText name="label" label="Name" />
      {info.size ? (
        <>
          <EntrySize name="size" label={`${info.size.label}, as sold`} unit={info.size.unit} {...(help ? { help } : {})} />
          <EntrySize name="measured" label="As measured" unit={info.size.unit} />
        </>
      ) : null}
      {info.counted ? <EntrySize name="count" label="How many" /> : null}
    </>
  )
}

/** One tool by hand: what it is called, what it is sold as, how many there are. */
export function NewTool({ onDone }: { readonly onDone: () => void }) {
  const act = useAct()
  return (
    <Box>
      <Typography variant="h2">One tool</Typography>
      <EntryForm<ToolTyped>
        label="One tool"
        schema={toolEntry}
        values={{ kind: 'drill', label: '', size: '', measured: '', count: '' }}
        send={(typed) => act('addTool', typed)}
        onDone={onDone}
        onCancel={onDone}
        submit="Hang it up"
      >
        <ToolFields />
      </EntryForm>
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
