'use client'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useFormState, useWatch } from 'react-hook-form'
import { readStock, stockEntry } from '@/core/entries'
import { ALLOY_TITLES, BOUGHT_TEMPERS } from '@/core/metals'
import { describeMeaning, parseSize } from '@/core/sizes'
import type { GaugeSystem } from '@/core/tables'
import { formatPlain } from '@/core/units'
import type { ActionInput } from '@/server/actions/perform'
import { EntryCheck, EntryChoice, EntrySize, EntryText } from '../entry/entry-fields'
import { useWorkshop } from '../shared/workshop-context'
import { SheetShape } from './sheet-shape'
import { massOfStock } from './stock-facts'

export type StockTyped = Required<ActionInput<'addStock'>>

const KINDS = { sheet: 'Sheet or offcut', wire: 'Round wire', tube: 'Round tube' } as const
const SHAPES = { rectangle: 'Rectangle', 'l-shape': 'L, a corner is missing', disc: 'Disc', outline: 'Corner by corner' } as const

function recognised(typed: string, gaugeSystem: GaugeSystem): string | undefined {
  if (typed.trim() === '') return undefined
  const reading = parseSize(typed, { gaugeSystem })
  return 'mm' in reading ? describeMeaning(reading) : undefined
}

function Size({ name, label, help }: { readonly name: keyof StockTyped; readonly label: string; readonly help?: string }) {
  const { gaugeSystem } = useWorkshop()
  return (
    <EntrySize name={name} label={label} wide unit="mm" readAs={(typed) => recognised(typed, gaugeSystem)} {...(help ? { help } : {})} />
  )
}

function ShapeFields({ shape }: { readonly shape: StockTyped['shape'] }) {
  if (shape === 'disc') return <Size name="across" label="Diameter" />
  if (shape === 'outline')
    return (
      <EntryText
        name="corners"
        label="Corners, mm"
        help="One after another round the edge, each as x y: 0 0, 80 0, 80 30, 40 30, 40 60, 0 60"
      />
    )
  return (
    <>
      <Size name="length" label="Length" />
      <Size name="width" label="Width" />
      {shape === 'l-shape' ? (
        <>
          <Size name="cutLength" label="Missing corner, along the length" />
          <Size name="cutWidth" label="Missing corner, along the width" />
        </>
      ) : null}
    </>
  )
}

/** Length, width and what else a shape is described by; of a wire and a tube their length. */
export function StockShape() {
  const { kind, shape } = useWatch() as StockTyped
  if (kind === 'sheet')
    return (
      <>
        <EntryChoice name="shape" label="Shape" options={SHAPES} width={190} />
        <ShapeFields shape={shape} />
      </>
    )
  return (
    <>
      {kind === 'tube' ? <Size name="across" label="Outside diameter" /> : null}
      <Size name="length" label="Length" />
    </>
  )
}

const THICKNESS = { sheet: 'Thickness as sold', wire: 'Diameter as sold', tube: 'Wall as sold' } as const

/** Which metal, how thick as sold and as measured, how hard; what is doubtful can be confirmed. */
export function StockMetal() {
  const { kind, sure } = useWatch() as StockTyped
  const { errors } = useFormState()
  return (
    <>
      <EntryChoice name="alloy" label="Metal" options={ALLOY_TITLES} width={190} />
      <Size name="thickness" label={THICKNESS[kind]} />
      <Size name="measured" label="As measured" help="Wins over what it was sold as. Leave it empty if it was not measured." />
      {errors.measured || sure ? <EntryCheck name="sure" label="It is right as entered" /> : null}
      <EntryChoice name="temper" label="Temper" options={BOUGHT_TEMPERS} width={190} />
    </>
  )
}

/** Which of the three it is. */
export function StockKindChoice() {
  return <EntryChoice name="kind" label="What" options={KINDS} width={190} />
}

/** The metal as it would lie in the drawer, with its mass, as soon as it can be read. */
export function StockPreview() {
  const { gaugeSystem } = useWorkshop()
  const read = stockEntry.safeParse(useWatch())
  const facts = read.success ? readStock({ ...read.data, sure: true }, gaugeSystem).facts : null
  if (!read.success || !facts) return null
  const stock = {
    kind: read.data.kind,
    alloy: read.data.alloy,
    holes: [],
    ...facts,
    outer: facts.outer?.map(([x, y]): [number, number] => [x, y]) ?? null,
  }
  return (
    <Box sx={{ py: 1, overflow: 'hidden' }}>
      <SheetShape stock={stock} />
      <Typography variant="body2" className="fig">
        {formatPlain(massOfStock(stock), 1)} g
      </Typography>
    </Box>
  )
}
