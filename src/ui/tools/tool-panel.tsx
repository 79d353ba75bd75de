'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { TOOL_KIND_INFO } from '@/core/toolwall'
import { formatPlain } from '@/core/units'
import type { ToolReason, WallTool } from '@/server/db/repositories'
import { type Act, useAct } from '../acting/act-provider'
import { useArchive } from '../archive/use-archive'
import { SizeField } from '../shared/size-field'
import { TextRow } from '../shared/text-row'
import { PALETTE } from '../theme/palette'
import { ToolShape } from './tool-shape'
import { sizeWords } from './tool-words'

type Said = { readonly ok: true } | { readonly ok: false; readonly message: string }

/** Writes to a tool, and keeps what was said against it. */
function useToolAct() {
  const [problem, setProblem] = useState<string>()
  const act = useAct()
  async function write(work: (act: Act) => Promise<Said>): Promise<boolean> {
    const done = await work(act)
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
        void write((act) => act('measureTool', { id: tool.id, typed }, { revision: tool.revision }))
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
            ? 'Only its label is known. Measure it, and it can be picked.'
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
    void write((act) => act('countTool', { id: tool.id, change, reason }, { revision: tool.revision }))
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
      {problem ? (
        <Typography role="alert" sx={{ color: PALETTE.fire }}>
          {problem}
        </Typography>
      ) : null}
    </Box>
  )
}

interface PairsProps {
  readonly title: string
  readonly help: string
  readonly keyLabel: string
  readonly pairs: readonly { readonly key: string; readonly mm: number }[]
  readonly keep: (act: Act, key: string, typed: string) => Promise<Said>
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
          if (await write((act) => keep(act, key, typed))) setTyped('')
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

/** One tool in the hand: what it is, what it measures, how many are left. */
export function ToolPanel({ tool, onGone }: { readonly tool: WallTool; readonly onGone: () => void }) {
  const { archive } = useArchive(onGone)
  const { facts } = tool
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
      <Measured tool={tool} />
      <Count tool={tool} />
      {tool.kind === 'mandrel' ? (
        <Pairs
          title="Its own calibration"
          help="Put the calipers on it at each mark: what you read is what counts, not the mark."
          keyLabel="Mark"
          pairs={(facts.marks ?? []).map((mark) => ({ key: mark.mark, mm: mark.diameterMm }))}
          keep={(act, mark, typed) => act('markMandrel', { id: tool.id, mark, typed }, { revision: tool.revision })}
        />
      ) : null}
      {tool.kind === 'stamp' ? (
        <Pairs
          title="Widths"
          help="Stamp the alphabet once and measure from letter to letter."
          keyLabel="Letter"
          pairs={Object.entries(facts.widths ?? {}).map(([key, mm]) => ({ key, mm }))}
          keep={(act, character, typed) => act('measureStamp', { id: tool.id, character, typed }, { revision: tool.revision })}
        />
      ) : null}
      <Button variant="text" sx={{ mt: 2, ml: -0.75 }} onClick={() => void archive({ kind: 'tool', id: tool.id, name: tool.label })}>
        Take it off the wall
      </Button>
    </Box>
  )
}
