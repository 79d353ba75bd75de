'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { type BentPart, stiffnessOf } from '@/core/piece'
import { parseSize } from '@/core/sizes'
import { formatPlain } from '@/core/units'
import { useTold } from '../acting/use-told'
import { SizeField } from '../shared/size-field'
import { useWorkshop } from '../shared/workshop-context'

/** What was measured of a trial strip, and the stiffness of the metal that follows from it: kept, it is worked with everywhere. */
export function TrialStrip({
  part,
  strain,
  formerMm,
}: {
  readonly part: BentPart
  readonly strain: number
  /** Inside diameter of the former. */
  readonly formerMm: number
}) {
  const [typed, setTyped] = useState('')
  const [problem, setProblem] = useState<string>()
  const told = useTold()
  const { settingsRevision } = useWorkshop()
  const size = typed.trim() === '' ? undefined : parseSize(typed)
  const measuredMm = size && 'mm' in size ? size.mm : undefined
  const found = measuredMm === undefined ? undefined : stiffnessOf(part, { formerMm, measuredMm, strain })
  const id = `modulus-${part.alloy}`
  async function keep(gigapascal: string) {
    const kept = await told(
      'keepFigure',
      { id, typed: gigapascal },
      {
        revision: settingsRevision,
        text: `This metal is worked with at ${gigapascal} GPa.`,
        back: { id, typed: part.figures[id] === undefined ? '' : String(part.figures[id]) },
      },
    )
    setProblem(kept.ok ? undefined : kept.message)
  }
  return (
    <Box component="section" aria-label="Trial strip" sx={{ mt: 2 }}>
      <Typography variant="h2">A trial strip</Typography>
      <Typography variant="body2">The same sheet, bent on this former in this temper, let go and measured.</Typography>
      <SizeField
        label="It opened to, inside"
        value={typed}
        unit="mm"
        onChange={setTyped}
        error={typed.trim() !== '' && measuredMm === undefined ? `"${typed}" is no size` : problem}
      />
      {measuredMm === undefined ? null : found === undefined ? (
        <Typography variant="body2">
          No stiffness near the tables’ opens it so far or so little. Check the temper, the former and the reading.
        </Typography>
      ) : (
        <>
          <Typography variant="body2">
            That is metal of <span className="fig">{formatPlain(found, 0)} GPa</span>; it is worked with at{' '}
            <span className="fig">{formatPlain(stiffnessOf(part), 0)} GPa</span> now.
          </Typography>
          <Button sx={{ mt: 0.75 }} onClick={() => void keep(formatPlain(found, 1))}>
            Work with mine
          </Button>
        </>
      )}
    </Box>
  )
}
