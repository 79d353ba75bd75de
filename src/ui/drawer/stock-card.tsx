'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Archive, Copy, Pencil, Shapes } from 'lucide-react'
import { useRouter } from 'next/navigation'
import { useState } from 'react'
import { useFormState } from 'react-hook-form'
import * as z from 'zod'
import { ALLOYS, BOUGHT_TEMPERS } from '@/core/metals'
import { formatPlain } from '@/core/units'
import type { ActionResult } from '@/server/actions/action'
import { useTold } from '../acting/use-told'
import { EntryCheck, EntrySize } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { MoreMenu } from '../shared/more-menu'
import { SheetShape } from './sheet-shape'
import { massOfStock, sizeOf, thickWords } from './stock-facts'
import type { StockActs, StockView } from './stock-view'

const MEASURED = z.object({ typed: z.string().max(60), sure: z.boolean() })

/** The action's complaints are of what was measured: here that is what was typed. */
function withTyped<T extends ActionResult>(sent: T): T {
  return sent.ok ? sent : { ...sent, issues: sent.issues.map((issue) => (issue.path === 'measured' ? { ...issue, path: 'typed' } : issue)) }
}

function MeasuredFields() {
  const { errors } = useFormState()
  return (
    <>
      <EntrySize name="typed" label="As measured" unit="mm" />
      {errors.typed ? <EntryCheck name="sure" label="It is right as entered" /> : null}
    </>
  )
}

/** A piece of metal as it lies: its shape, its size, what is known of it, and what can be done with it. */
export function StockCard({ stock, acts }: { readonly stock: StockView; readonly acts: StockActs }) {
  const [measuring, setMeasuring] = useState(false)
  const told = useTold()
  const router = useRouter()
  const send = async ({ typed, sure }: { readonly typed: string; readonly sure: boolean }) =>
    told(
      'measureStock',
      { id: stock.id, typed, sure },
      {
        revision: stock.revision,
        text: typed === '' ? `${stock.label} counts as not measured.` : `${stock.label} measures ${typed}.`,
        back: { id: stock.id, typed: stock.measuredMm === null ? '' : String(stock.measuredMm), sure: true },
      },
    )
  return (
    <Box component="article" aria-label={`${stock.label}, ${ALLOYS[stock.alloy].title}`} sx={{ maxWidth: 340, minWidth: 170 }}>
      <SheetShape stock={stock} />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', mt: 0.5 }}>
        <Typography className="fig" sx={{ fontWeight: 700 }}>
          {stock.label}
        </Typography>
        <Typography className="fig" sx={{ fontSize: 13 }}>
          {sizeOf(stock)} {thickWords(stock)}
        </Typography>
      </Box>
      <Typography variant="body2">
        {stock.thicknessTyped}
        {stock.measuredMm === null ? ', not measured' : `, measured ${formatPlain(stock.measuredMm, 3)}`}, {BOUGHT_TEMPERS[stock.temper]},{' '}
        <span className="fig">{formatPlain(massOfStock(stock), 1)} g</span>
      </Typography>
      {measuring ? (
        <EntryForm<{ typed: string; sure: boolean }>
          label={`Measure ${stock.label}`}
          schema={MEASURED}
          values={{ typed: stock.measuredMm === null ? '' : String(stock.measuredMm), sure: false }}
          send={async (typed) => withTyped(await send(typed))}
          onDone={() => setMeasuring(false)}
          onCancel={() => setMeasuring(false)}
          submit="Save"
        >
          <MeasuredFields />
        </EntryForm>
      ) : (
        <Box sx={{ display: 'flex', alignItems: 'center' }}>
          <Button variant="text" sx={{ ml: -0.75, py: 0, minHeight: 28 }} onClick={() => setMeasuring(true)}>
            Enter the measured thickness
          </Button>
          <MoreMenu
            label={`More of ${stock.label}`}
            entries={[
              ...(stock.kind === 'sheet'
                ? [{ label: 'What can be made of it?', icon: Shapes, onChoose: () => router.push(`/drawer/fits/${stock.id}`) }]
                : []),
              { label: 'Correct or rename', icon: Pencil, onChoose: () => acts.correct(stock) },
              { label: 'Another like it', icon: Copy, onChoose: () => acts.duplicate(stock) },
              { label: 'Archive', icon: Archive, onChoose: () => acts.archive({ kind: 'stock', id: stock.id, name: stock.label }) },
            ]}
          />
        </Box>
      )}
    </Box>
  )
}
