'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Archive, Plus } from 'lucide-react'
import Link from 'next/link'
import { useState } from 'react'
import { boundsOf } from '@/core/geometry'
import { ALLOYS, BOUGHT_TEMPERS } from '@/core/metals'
import { formatPlain } from '@/core/units'
import type { Stock } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { ArchiveDialog } from '../archive/archive-dialog'
import { type Thing, useArchive } from '../archive/use-archive'
import { MoreMenu } from '../shared/more-menu'
import { SizeField } from '../shared/size-field'
import { PALETTE } from '../theme/palette'
import { NewStock } from './new-stock'
import { massOfStock, thicknessOf } from './stock-facts'

/** Pixels to a millimetre: every sheet in the drawer at the same scale, so that sizes compare by eye. */
const SCALE = 1.7

function SheetShape({ stock }: { readonly stock: Stock }) {
  const colour = ALLOYS[stock.alloy].colour
  const path = (outline: readonly (readonly [number, number])[]) => `M${outline.map(([x, y]) => `${x} ${-y}`).join('L')}Z`
  if (stock.kind === 'wire') {
    const width = Math.min(280, (stock.lengthMm ?? 0) * 0.25)
    return (
      <svg width={width} height={Math.max(6, thicknessOf(stock) * 4)} aria-hidden="true">
        <rect width={width} height={Math.max(3, thicknessOf(stock) * 3)} y={1} rx={2} fill={colour.face} stroke={colour.edge} />
      </svg>
    )
  }
  const box = boundsOf(stock.outer ?? [])
  const [w, h] = [box.maxX - box.minX, box.maxY - box.minY]
  return (
    <svg
      width={w * SCALE}
      height={h * SCALE}
      viewBox={`${box.minX - 0.5} ${-box.maxY - 0.5} ${w + 1} ${h + 1}`}
      aria-hidden="true"
      style={{ maxWidth: '100%' }}
    >
      <path
        d={[stock.outer ?? [], ...stock.holes].map(path).join('')}
        fillRule="evenodd"
        fill={colour.face}
        stroke={colour.edge}
        strokeWidth={0.6}
      />
    </svg>
  )
}

function StockCard({ stock, onArchive }: { readonly stock: Stock; readonly onArchive: (thing: Thing) => void }) {
  const [measuring, setMeasuring] = useState(false)
  const [typed, setTyped] = useState(stock.measuredMm === null ? '' : String(stock.measuredMm))
  const [problem, setProblem] = useState<string>()
  const act = useAct()
  const box = boundsOf(stock.outer ?? [])
  const size =
    stock.kind === 'sheet'
      ? `${formatPlain(box.maxX - box.minX, 1)} × ${formatPlain(box.maxY - box.minY, 1)}`
      : `${formatPlain(stock.lengthMm ?? 0, 0)} long`
  async function keep() {
    const kept = await act('measureStock', { id: stock.id, typed }, { revision: stock.revision })
    setProblem(kept.ok ? undefined : kept.message)
    if (kept.ok || kept.code === 'yielded') setMeasuring(false)
  }
  return (
    <Box component="article" aria-label={`${stock.label}, ${ALLOYS[stock.alloy].title}`} sx={{ maxWidth: 340, minWidth: 170 }}>
      <SheetShape stock={stock} />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', mt: 0.5 }}>
        <Typography className="fig" sx={{ fontWeight: 700 }}>
          {stock.label}
        </Typography>
        <Typography className="fig" sx={{ fontSize: 13 }}>
          {size} × {formatPlain(thicknessOf(stock), 3)} mm
        </Typography>
      </Box>
      <Typography variant="body2">
        {stock.thicknessTyped}
        {stock.measuredMm === null ? ', not measured' : `, measured ${formatPlain(stock.measuredMm, 3)}`}, {BOUGHT_TEMPERS[stock.temper]},{' '}
        <span className="fig">{formatPlain(massOfStock(stock), 1)} g</span>
      </Typography>
      {measuring ? (
        <Box
          component="form"
          onSubmit={(event: React.FormEvent) => {
            event.preventDefault()
            void keep()
          }}
        >
          <SizeField label="As measured" value={typed} unit="mm" onChange={setTyped} error={problem} />
          <Button type="submit" sx={{ mt: 0.5 }}>
            Save
          </Button>
        </Box>
      ) : (
        <Box sx={{ display: 'flex', alignItems: 'center' }}>
          <Button variant="text" sx={{ ml: -0.75, py: 0, minHeight: 28 }} onClick={() => setMeasuring(true)}>
            Enter the measured thickness
          </Button>
          <MoreMenu
            label={`More of ${stock.label}`}
            entries={[{ label: 'Archive', icon: Archive, onChoose: () => onArchive({ kind: 'stock', id: stock.id, name: stock.label }) }]}
          />
        </Box>
      )}
    </Box>
  )
}

/** The metal one owns, every sheet and offcut true to shape and all to one scale, sorted by metal. */
export function DrawerView({ stock }: { readonly stock: readonly Stock[] }) {
  const [adding, setAdding] = useState(stock.length === 0)
  const { asking, archive, answer } = useArchive()
  const alloys = [...new Set(stock.map((item) => item.alloy))]
  return (
    <Box sx={{ p: 2.5 }}>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="contained" startIcon={<Plus size={17} aria-hidden />} onClick={() => setAdding(!adding)}>
          Put metal in
        </Button>
        <Button variant="text" component={Link} href="/archive">
          Archive
        </Button>
      </Box>
      {stock.length === 0 ? (
        <Typography sx={{ mt: 2 }}>
          The drawer is empty. Put in the first sheet: its metal, its thickness as it was sold, and its size.
        </Typography>
      ) : null}
      {adding ? <NewStock onDone={() => setAdding(false)} /> : null}
      {alloys.map((alloy) => {
        const own = stock.filter((item) => item.alloy === alloy)
        return (
          <Box component="section" key={alloy} aria-label={ALLOYS[alloy].title} sx={{ mt: 2.5 }}>
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', borderBottom: `1px solid ${PALETTE.hairline}`, pb: 0.5, mb: 1.5 }}>
              <Typography variant="h3" component="h2">
                {ALLOYS[alloy].title}
              </Typography>
              <Typography variant="body2">
                {ALLOYS[alloy].composition},{' '}
                <span className="fig">
                  {formatPlain(
                    own.reduce((sum, item) => sum + massOfStock(item), 0),
                    1,
                  )}{' '}
                  g
                </span>{' '}
                in the drawer, anneal at <span className="fig">{ALLOYS[alloy].torchTargetC} °C</span> ({ALLOYS[alloy].annealCue})
              </Typography>
            </Box>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3.5, alignItems: 'flex-end' }}>
              {own.map((item) => (
                <StockCard key={item.id} stock={item} onArchive={(thing) => void archive(thing)} />
              ))}
            </Box>
          </Box>
        )
      })}
      <ArchiveDialog asking={asking} onAnswer={(yes) => void answer(yes)} />
    </Box>
  )
}
