'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { limitOfCrack, softeningOfHardness } from '@/core/piece'
import { alloyWith } from '@/core/tables'
import { formatPlain, readPlainNumber } from '@/core/units'
import { OwnTrial } from '../forming/own-trial'
import { SizeField } from '../shared/size-field'
import type { MetalOfStep } from './metal-of-step'

/** After an anneal: the hardness that was measured tells where this metal begins to soften. */
function AfterHeat({ metal }: { readonly metal: MetalOfStep }) {
  const [typed, setTyped] = useState('')
  const hv = readPlainNumber(typed)
  const alloy = alloyWith(metal.alloy, metal.figures)
  const found = typed.trim() !== '' && Number.isFinite(hv) ? softeningOfHardness(alloy, metal, hv) : undefined
  return (
    <>
      <SizeField
        label="Hardness after it"
        value={typed}
        unit="HV"
        onChange={setTyped}
        error={typed.trim() !== '' && !Number.isFinite(hv) ? `"${typed}" is no hardness` : undefined}
      />
      {typed.trim() === '' ? null : (
        <Typography variant="body2">
          {found === undefined
            ? 'Softened so little or so far, its hardness does not tell where softening begins. A shorter or a cooler heat would.'
            : `Half softened in an hour at ${formatPlain(found, 0)} °C, by this heat.`}
        </Typography>
      )}
      <OwnTrial id={`half-softening-${metal.alloy}`} found={found} />
    </>
  )
}

/** After a step that works it: a crack that came here tells where this metal's limit is. */
function Cracked({ metal }: { readonly metal: MetalOfStep }) {
  const found = limitOfCrack(alloyWith(metal.alloy, metal.figures), metal.state)
  return (
    <>
      <Typography variant="body2">
        {found === undefined
          ? 'So little of it is used here that something else must have broken it: a notch, a burr, a hidden crack.'
          : `An edge that cracked at this step speaks for ${formatPlain(found, 0)} % of reduction between two anneals.`}
      </Typography>
      <OwnTrial id={`reduction-limit-${metal.alloy}`} found={found} />
    </>
  )
}

/** What the smith found of the metal at this step, opened on demand: it counts among the trials of the metal. */
export function MetalFound({ metal }: { readonly metal: MetalOfStep }) {
  const [isOpen, setOpen] = useState(false)
  const works = metal.state.workUsedFraction > metal.before.workUsedFraction + 1e-9
  if (!metal.state.heat && !works) return null
  const question = metal.state.heat ? 'I measured it after this heat' : 'It cracked here'
  return (
    <Box>
      <Button variant="text" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {question}
      </Button>
      {isOpen ? metal.state.heat ? <AfterHeat metal={metal} /> : <Cracked metal={metal} /> : null}
    </Box>
  )
}
