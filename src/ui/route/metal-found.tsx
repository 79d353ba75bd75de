'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { type ReactNode, useState } from 'react'
import { annealedOfHardness, hardeningOfHardness, limitOfCrack, softeningOfHardness } from '@/core/piece'
import { alloyWith } from '@/core/tables'
import { formatPlain, readPlainNumber } from '@/core/units'
import { OwnTrial } from '../forming/own-trial'
import { SizeField } from '../shared/size-field'
import type { MetalOfStep } from './metal-of-step'

/** What a hardness after a heat tells: that of annealed metal where it is soft, and where softening begins where it is half so. */
function readHeat(metal: MetalOfStep, hv: number) {
  const alloy = alloyWith(metal.alloy, metal.figures)
  const annealed = annealedOfHardness(alloy, metal, hv)
  if (annealed !== undefined)
    return {
      id: `annealed-hv-${metal.alloy}`,
      found: annealed,
      says: `All of it is soft: this metal is ${formatPlain(annealed, 0)} HV when it is annealed.`,
    }
  const softening = softeningOfHardness(alloy, metal, hv)
  const says =
    softening === undefined
      ? 'Softened so little, its hardness does not tell where softening begins. A longer or a hotter heat would.'
      : `Half softened in an hour at ${formatPlain(softening, 0)} °C, by this heat.`
  return { id: `half-softening-${metal.alloy}`, found: softening, says }
}

/** What a hardness of worked metal tells: how fast it hardens. */
function readWork(metal: MetalOfStep, hv: number) {
  const id = `hardening-${metal.alloy}`
  const alloy = alloyWith(metal.alloy, { ...metal.figures, [id]: 1 })
  const found = hardeningOfHardness({ alloy, now: alloyWith(metal.alloy, metal.figures) }, metal.state, hv)
  const says =
    found === undefined
      ? 'So little worked, its hardness does not tell how fast it hardens.'
      : `It hardens ${formatPlain(found, 2)} times as fast as the table says.`
  return { id, found, says }
}

/** A hardness that was measured at this step, and which figure of the metal it tells. */
function Measured({ metal }: { readonly metal: MetalOfStep }) {
  const [typed, setTyped] = useState('')
  const hv = readPlainNumber(typed)
  const isRead = Number.isFinite(hv) && hv > 0
  const read = (metal.state.heat ? readHeat : readWork)(metal, isRead ? hv : metal.state.hardnessHv)
  return (
    <>
      <SizeField
        label="Hardness after it"
        value={typed}
        unit="HV"
        onChange={setTyped}
        error={typed.trim() !== '' && !isRead ? `"${typed}" is no hardness: a number over 0` : undefined}
      />
      {isRead ? <Typography variant="body2">{read.says}</Typography> : null}
      <OwnTrial id={read.id} found={isRead ? read.found : undefined} />
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

/** A question that is opened on demand. */
function Asked({ question, children }: { readonly question: string; readonly children: ReactNode }) {
  const [isOpen, setOpen] = useState(false)
  return (
    <Box>
      <Button variant="text" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
        {question}
      </Button>
      {isOpen ? children : null}
    </Box>
  )
}

/** What the smith found of the metal at this step: it counts among the trials of the metal. */
export function MetalFound({ metal }: { readonly metal: MetalOfStep }) {
  const works = metal.state.workUsedFraction > metal.before.workUsedFraction + 1e-9
  if (!metal.state.heat && !works) return null
  return (
    <>
      <Asked question={metal.state.heat ? 'I measured it after this heat' : 'I measured it here'}>
        <Measured metal={metal} />
      </Asked>
      {metal.state.heat ? null : (
        <Asked question="It cracked here">
          <Cracked metal={metal} />
        </Asked>
      )}
    </>
  )
}
