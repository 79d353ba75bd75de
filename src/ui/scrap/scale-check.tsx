'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useState } from 'react'
import { jarMass } from '@/core/entries'
import { tellsWithinG, type WeightCheck, weightFault, weightSays } from '@/core/instruments'
import { figureOf } from '@/core/tables'
import { formatPlain } from '@/core/units'
import { useTold } from '../acting/use-told'
import { EntrySize } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { useChecked } from '../shared/use-checked'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { useScale } from './use-scale'

interface ScaleCheckProps {
  readonly last: WeightCheck | null
  readonly hasScale: boolean
}

/** The scale tried on a weight that is known: when it was, what came of it, what it tells since, and the way to try it now. */
export function ScaleCheck({ last, hasScale }: ScaleCheckProps) {
  const { bench, settingsRevision } = useWorkshop()
  const [shown, setShown] = useState<string | null>(null)
  const checked = useChecked(last?.at)
  const told = useTold()
  const scale = useScale()
  const knownG = figureOf('check-weight', bench.figures)
  const errorG = figureOf('scale-error', bench.figures)
  const found = last && weightSays(last, errorG)

  async function take({ mass }: { readonly mass: string }) {
    const { mass: readG } = jarMass.parse({ mass })
    const fault = weightFault({ knownG, readG })
    if (fault) return { ok: false as const, code: 'refused' as const, message: `${fault}.`, issues: [] }
    const scaleCheck = { knownG, readG, at: new Date().toISOString() }
    return told(
      'saveSettings',
      { scaleCheck },
      { revision: settingsRevision, text: weightSays(scaleCheck, errorG).says, back: { scaleCheck: last } },
    )
  }
  return (
    <Box
      role="group"
      aria-label="Scale"
      sx={{ mt: 2, display: 'flex', gap: 1.5, alignItems: shown === null ? 'center' : 'flex-start', flexWrap: 'wrap' }}
    >
      {checked ? (
        <Box sx={{ color: found?.isOff ? PALETTE.fire : PALETTE.muted }}>
          {checked.isToday ? null : 'The scale was not checked today. '}
          {found ? `Checked ${checked.on}. ${found.says} ` : null}
          It tells within {formatPlain(tellsWithinG(errorG, last ?? undefined), 2)} g.
        </Box>
      ) : null}
      {shown === null ? (
        <Button variant="text" onClick={() => setShown('')}>
          Check the scale
        </Button>
      ) : (
        <EntryForm<{ mass: string }>
          key={shown}
          label="Check the scale"
          schema={jarMass}
          values={{ mass: shown }}
          send={take}
          onDone={() => setShown(null)}
          onCancel={() => setShown(null)}
          submit="Save"
        >
          <EntrySize name="mass" label={`On the check weight of ${formatPlain(knownG, 2)} g it shows`} unit="g" readAs={() => ''} />
          {hasScale ? (
            <>
              <Button variant="text" onClick={() => void scale.read(knownG, true).then(setShown)}>
                Read the scale
              </Button>
              <Button variant="text" onClick={scale.setZero}>
                Set it to zero
              </Button>
            </>
          ) : null}
        </EntryForm>
      )}
    </Box>
  )
}
