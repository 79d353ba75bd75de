'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useMemo, useState } from 'react'
import { netAreaMm2, type Region } from '@/core/geometry'
import { differenceOf, mirroredAbout, scaled, sectorsOf } from '@/core/templates'
import { formatPlain, readPlainNumber } from '@/core/units'
import type { Template } from '@/server/db/repositories'
import { ChoiceField } from '../shared/choice-field'
import { ProblemLine } from '../shared/problem-line'
import { TextRow } from '../shared/text-row'
import { PALETTE } from '../theme/palette'
import { TemplateShape } from './template-shape'
import { useKeepTemplate } from './use-keep-template'

interface ChangePanelProps {
  readonly template: Template
  readonly others: readonly Template[]
  readonly onDone: () => void
}

const WAYS = {
  scale: 'scale it',
  mirror: 'mirror it',
  divide: 'divide it into sectors',
  compare: 'compare it with another',
} as const
type Way = keyof typeof WAYS

/** What may be typed as a scale, %, and as a count of sectors. */
const RANGES = { scale: [5, 2000], divide: [2, 60] } as const

const between = (typed: string, [least, most]: readonly [number, number]): number | undefined => {
  const value = readPlainNumber(typed.replace('%', ''))
  return value >= least && value <= most ? value : undefined
}

/** What comes of a change, and what it is called; undefined where what was typed allows none. */
function changed(template: Template, way: Way, typed: string): { readonly regions: readonly Region[]; readonly name: string } | undefined {
  if (way === 'scale') {
    const percent = between(typed, RANGES.scale)
    return percent === undefined
      ? undefined
      : { regions: [scaled(template, percent / 100)], name: `${template.name}, ${formatPlain(percent, 1)} %` }
  }
  if (way === 'mirror') return { regions: [mirroredAbout(template, Math.PI / 2)], name: `${template.name}, mirrored` }
  if (way !== 'divide') return undefined
  const count = between(typed, RANGES.divide)
  if (count === undefined || !Number.isInteger(count)) return undefined
  return { regions: sectorsOf(template, count).flat(), name: `${template.name}, one of ${count}` }
}

function Compared({ template, other, isPair }: { readonly template: Template; readonly other: Template; readonly isPair: boolean }) {
  const found = useMemo(() => differenceOf(template, other, isPair), [template, other, isPair])
  const share = 100 * found.areaShare
  return (
    <Box role="status" aria-label="Difference">
      <TemplateShape
        regions={[template]}
        over={found.laid}
        mark={found.mostAt}
        says={`${other.name} laid on ${template.name}`}
        size={220}
      />
      <Typography>
        At most <span className="fig">{formatPlain(found.mostMm, 2)} mm</span> apart (ringed), usually{' '}
        <span className="fig">{formatPlain(found.usualMm, 2)} mm</span>; {other.name} is{' '}
        <span className="fig">{formatPlain(Math.abs(share), 2)} %</span> {share >= 0 ? 'larger' : 'smaller'} in area.
      </Typography>
    </Box>
  )
}

/** Makes another template of one: scaled, mirrored, a sector; or lays two on one another. */
export function ChangePanel({ template, others, onDone }: ChangePanelProps) {
  const [way, setWay] = useState<Way>('scale')
  const [typed, setTyped] = useState('100')
  const [otherId, setOtherId] = useState(String(others[0]?.id ?? ''))
  const [isPair, setIsPair] = useState(true)
  const { keep, problem } = useKeepTemplate()
  const result = changed(template, way, typed)
  const other = others.find(({ id }) => String(id) === otherId)
  const [first] = result?.regions ?? []
  async function keepIt() {
    if (first && result && (await keep({ ...first, name: result.name, from: `made of ${template.name}` }))) onDone()
  }
  return (
    <Box sx={{ bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', p: 1.5, mt: 1 }}>
      <ChoiceField
        label="Change"
        value={way}
        options={WAYS}
        onChange={(next) => {
          setWay(next as Way)
          setTyped(next === 'divide' ? '6' : '100')
        }}
        width={190}
      />
      {way === 'scale' ? <TextRow label="To, % of this" value={typed} onChange={setTyped} /> : null}
      {way === 'divide' ? <TextRow label="Sectors" value={typed} onChange={setTyped} /> : null}
      {way === 'compare' && others.length > 0 ? (
        <>
          <ChoiceField
            label="With"
            value={otherId}
            options={Object.fromEntries(others.map(({ id, name }) => [id, name]))}
            onChange={setOtherId}
            width={190}
          />
          <ChoiceField
            label="They are"
            value={isPair ? 'pair' : 'same'}
            options={{ pair: 'a left and a right', same: 'the same way round' }}
            onChange={(next) => setIsPair(next === 'pair')}
            width={190}
          />
          {other ? <Compared template={template} other={other} isPair={isPair} /> : null}
        </>
      ) : null}
      {way === 'compare' && others.length === 0 ? <Typography>Keep another template to compare it with.</Typography> : null}
      {way !== 'compare' && result === undefined ? (
        <Typography role="alert" sx={{ color: PALETTE.fire }}>
          {way === 'scale' ? 'A scale of 5 to 2000 %.' : 'A whole number of sectors, 2 to 60.'}
        </Typography>
      ) : null}
      {result && first ? (
        <Box sx={{ mt: 1 }}>
          <TemplateShape regions={result.regions} says={result.name} />
          {way === 'divide' ? (
            <Typography variant="body2">
              {result.regions.map((region) => formatPlain(netAreaMm2(region.outer, region.holes) / 100, 2)).join(', ')} cm²
            </Typography>
          ) : null}
          <Button sx={{ mt: 1 }} onClick={() => void keepIt()}>
            Keep {way === 'divide' ? 'one of them' : 'it'} as a template
          </Button>
        </Box>
      ) : null}
      <ProblemLine says={problem} />
    </Box>
  )
}
