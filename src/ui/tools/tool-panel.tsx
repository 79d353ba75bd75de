'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import * as z from 'zod'
import { toolLabel } from '@/core/entries'
import { TOOL_KIND_INFO } from '@/core/toolwall'
import { formatPlain } from '@/core/units'
import type { ActionName } from '@/server/actions/names'
import type { ActionInput } from '@/server/actions/perform'
import type { ToolReason, WallTool } from '@/server/db/repositories'
import { useTold } from '../acting/use-told'
import { useArchive } from '../archive/use-archive'
import { EntrySize, EntryText } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { ProblemLine } from '../shared/problem-line'
import { SizeField } from '../shared/size-field'
import { TextRow } from '../shared/text-row'
import { ToolShape } from './tool-shape'
import { sizeWords } from './tool-words'

/** Writes to a tool, says so with Undo, and keeps what was said against it. */
function useToolAct() {
  const [problem, setProblem] = useState<string>()
  const told = useTold()
  async function write<N extends ActionName>(name: N, input: ActionInput<N>, words: Parameters<typeof told<N>>[2]): Promise<boolean> {
    const done = await told(name, input, words)
    setProblem(done.ok ? undefined : done.message)
    return done.ok
  }
  return { problem, write }
}

function Measured({ tool }: { readonly tool: WallTool }) {
  const { size } = TOOL_KIND_INFO[tool.kind]
  const [typed, setTyped] = useState(tool.measured === undefined ? '' : String(tool.measured))
  const { problem, write } = useToolAct()
  if (!size) return null
  return (
    <Box
      component="form"
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        void write(
          'measureTool',
          { id: tool.id, typed },
          {
            revision: tool.revision,
            text: typed === '' ? `${tool.label} counts as not measured.` : `${tool.label} measures ${typed}.`,
            back: { id: tool.id, typed: tool.measured === undefined ? '' : String(tool.measured) },
          },
        )
      }}
    >
      <SizeField
        label={`${size.label}, as measured`}
        value={typed}
        unit={size.unit}
        onChange={setTyped}
        error={problem}
        understood={
          tool.nominal === undefined
            ? 'Only its label is known. Measure it so that plans can use it.'
            : `Sold as ${formatPlain(tool.nominal, 3)} ${size.unit}; what you measure wins.`
        }
      />
      <Button type="submit" sx={{ mt: 1 }}>
        Save
      </Button>
    </Box>
  )
}

function Count({ tool }: { readonly tool: WallTool }) {
  const { problem, write } = useToolAct()
  if (!TOOL_KIND_INFO[tool.kind].counted) return null
  const log = (change: number, reason: ToolReason) =>
    void write(
      'countTool',
      { id: tool.id, change, reason },
      {
        revision: tool.revision,
        text: `${tool.label}: ${(tool.count ?? 0) + change} on hand.`,
        back: { id: tool.id, change: -change, reason },
      },
    )
  return (
    <Box sx={{ mt: 2 }}>
      <Typography>
        <b className="fig" data-testid="on-hand">
          {tool.count ?? 0}
        </b>{' '}
        on hand{tool.broken > 0 ? `, ${tool.broken} broken so far` : ''}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.75 }}>
        <Button disabled={(tool.count ?? 0) === 0} onClick={() => log(-1, 'broke')}>
          One broke
        </Button>
        <Button disabled={(tool.count ?? 0) === 0} onClick={() => log(-1, 'wore-out')}>
          One wore out
        </Button>
        <Button onClick={() => log(12, 'bought')}>Bought a dozen</Button>
        <Button onClick={() => log(1, 'bought')}>Bought one</Button>
      </Box>
      <ProblemLine says={problem} />
    </Box>
  )
}

interface PairsProps {
  readonly title: string
  readonly help: string
  readonly keyLabel: string
  readonly pairs: readonly { readonly key: string; readonly mm: number }[]
  /** Keeps what was measured at a name, empty for none; `before` is what stood there. */
  readonly keep: (write: ReturnType<typeof useToolAct>['write'], key: string, typed: string, before: string) => Promise<boolean>
}

/** Names with a measured length each: marks of a mandrel, letters of a stamp set. */
function Pairs({ title, help, keyLabel, pairs, keep }: PairsProps) {
  const [key, setKey] = useState('')
  const [typed, setTyped] = useState('')
  const { problem, write } = useToolAct()
  return (
    <Box sx={{ mt: 1 }}>
      <Typography variant="h2">{title}</Typography>
      <Typography variant="body2">{help}</Typography>
      <Box
        component="form"
        onSubmit={async (event: React.FormEvent) => {
          event.preventDefault()
          const before = pairs.find((pair) => pair.key === key.trim())?.mm
          if (await keep(write, key, typed, before === undefined ? '' : String(before))) setTyped('')
        }}
      >
        <TextRow label={keyLabel} value={key} onChange={setKey} />
        <SizeField label="Measured" value={typed} unit="mm" onChange={setTyped} error={problem} />
        <Button type="submit" sx={{ mt: 1 }}>
          Save
        </Button>
      </Box>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1, columns: pairs.length > 8 ? 2 : 1 }}>
        {pairs.map((pair) => (
          <Box
            component="li"
            key={pair.key}
            className="fig"
            sx={{ fontSize: 13, display: 'flex', justifyContent: 'space-between', maxWidth: 150 }}
          >
            <span>{pair.key}</span>
            <span>{formatPlain(pair.mm, 3)}</span>
          </Box>
        ))}
      </Box>
    </Box>
  )
}

/** The name of a tool and what it is sold as, to be corrected. */
function Words({ tool, onDone }: { readonly tool: WallTool; readonly onDone: () => void }) {
  const told = useTold()
  const size = TOOL_KIND_INFO[tool.kind].size
  const before = { label: tool.label, size: tool.nominal === undefined ? '' : formatPlain(tool.nominal, 4) }
  const send = (typed: typeof before) =>
    told(
      'correctTool',
      { ...typed, id: tool.id },
      {
        revision: tool.revision,
        text: `It is ${typed.label} now.`,
        back: { ...before, id: tool.id },
      },
    )
  return (
    <EntryForm<typeof before>
      label={`Correct ${tool.label}`}
      schema={CORRECTED}
      values={before}
      send={send}
      onDone={onDone}
      onCancel={onDone}
      submit="Save"
    >
      <EntryText name="label" label="Name" autoFocus />
      {size ? <EntrySize name="size" label={`${size.label}, as sold`} unit={size.unit} /> : null}
    </EntryForm>
  )
}

const CORRECTED = z.object({ label: toolLabel, size: z.string().max(60) })

/** One tool in the hand: what it is, what it measures, how many are left. */
export function ToolPanel({ tool, onGone }: { readonly tool: WallTool; readonly onGone: () => void }) {
  const { archive } = useArchive(onGone)
  const { facts } = tool
  const [correcting, setCorrecting] = useState(false)
  return (
    <Box component="section" aria-label={tool.label}>
      <Typography variant="body2">{TOOL_KIND_INFO[tool.kind].title}</Typography>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'flex-start', gap: 1 }}>
        <Box>
          <Typography variant="h3" component="h2" sx={{ fontSize: 20 }}>
            {tool.label}
          </Typography>
          <Typography className="fig">{sizeWords(tool)}</Typography>
        </Box>
        <ToolShape tool={tool} />
      </Box>
      {facts.teethPerCm ? (
        <Typography variant="body2">
          {facts.teethPerCm} teeth to the centimetre, {facts.widthMm} mm wide
        </Typography>
      ) : null}
      {facts.solidusC ? <Typography variant="body2">Begins to melt at {facts.solidusC} °C. Your supplier’s sheet wins.</Typography> : null}
      {correcting ? <Words tool={tool} onDone={() => setCorrecting(false)} /> : null}
      <Measured tool={tool} />
      <Count tool={tool} />
      {tool.kind === 'mandrel' ? (
        <Pairs
          title="Its own calibration"
          help="Put the calipers on it at each mark: what you read is what counts, not the mark."
          keyLabel="Mark"
          pairs={(facts.marks ?? []).map((mark) => ({ key: mark.mark, mm: mark.diameterMm }))}
          keep={(write, mark, typed, before) =>
            write(
              'markMandrel',
              { id: tool.id, mark, typed },
              {
                revision: tool.revision,
                text: `${mark} is kept.`,
                back: { id: tool.id, mark, typed: before },
              },
            )
          }
        />
      ) : null}
      {tool.kind === 'stamp' ? (
        <Pairs
          title="Widths"
          help="Stamp the alphabet once and measure from letter to letter."
          keyLabel="Letter"
          pairs={Object.entries(facts.widths ?? {}).map(([key, mm]) => ({ key, mm }))}
          keep={(write, character, typed, before) =>
            write(
              'measureStamp',
              { id: tool.id, character, typed },
              {
                revision: tool.revision,
                text: `${character} is kept.`,
                back: { id: tool.id, character, typed: before },
              },
            )
          }
        />
      ) : null}
      <Button variant="text" sx={{ mt: 2, ml: -0.75 }} onClick={() => void archive({ kind: 'tool', id: tool.id, name: tool.label })}>
        Take it off the wall
      </Button>
      <Button variant="text" sx={{ mt: 2 }} onClick={() => setCorrecting(!correcting)}>
        Correct or rename
      </Button>
    </Box>
  )
}
