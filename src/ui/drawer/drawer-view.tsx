'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Plus } from 'lucide-react'
import { useMemo, useState } from 'react'
import { ALLOYS, type AlloyId } from '@/core/metals'
import { formatMoney, formatPlain } from '@/core/units'
import { useAct } from '../acting/act-provider'
import { ArchiveDialog } from '../archive/archive-dialog'
import { useArchive } from '../archive/use-archive'
import { DataTable } from '../grid/data-table'
import { LookChoice, useLook } from '../shared/look-choice'
import { useNotice } from '../shared/notices'
import { PageLink } from '../shared/page-link'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { CorrectStock } from './correct-stock'
import { NewStock } from './new-stock'
import { StockCard } from './stock-card'
import { massOfStock } from './stock-facts'
import { ALL_STOCK, StockFilter, shownOf } from './stock-filter'
import { STOCK_COLUMNS, stockRow } from './stock-table'
import type { StockActs, StockView } from './stock-view'

/** What metal costs today, and where that is from. */
export interface PricesShown {
  readonly perGram: Readonly<Record<AlloyId, number>>
  readonly from: string
  readonly day: string
}

interface ByMetalProps {
  readonly stock: readonly StockView[]
  readonly acts: StockActs
  readonly prices: PricesShown
}

function ByMetal({ stock, acts, prices }: ByMetalProps) {
  const { currency } = useWorkshop()
  const sections = [...new Set(stock.map((item) => item.alloy))].map((alloy) => {
    const own = stock.filter((item) => item.alloy === alloy)
    const massG = own.reduce((sum, item) => sum + massOfStock(item), 0)
    return (
      <Box component="section" key={alloy} aria-label={ALLOYS[alloy].title} sx={{ pb: 2.5, breakInside: 'avoid' }}>
        <Box
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            columnGap: 2,
            alignItems: 'baseline',
            borderBottom: `1px solid ${PALETTE.hairline}`,
            pb: 0.5,
            mb: 1.5,
          }}
        >
          <Typography variant="h3" component="h2">
            {ALLOYS[alloy].title}
          </Typography>
          <Typography variant="body2">
            {ALLOYS[alloy].composition}, <span className="fig">{formatPlain(massG, 1)} g</span> in the drawer, worth{' '}
            <span className="fig">{formatMoney(massG * prices.perGram[alloy], currency)}</span> at{' '}
            <span className="fig">{formatMoney(prices.perGram[alloy], currency)}</span> a gram, anneal at{' '}
            <span className="fig">{ALLOYS[alloy].torchTargetC} °C</span> ({ALLOYS[alloy].annealCue})
          </Typography>
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3.5, alignItems: 'flex-end' }}>
          {own.map((item) => (
            <StockCard key={item.id} stock={item} acts={acts} />
          ))}
        </Box>
      </Box>
    )
  })
  return <Box sx={{ columnWidth: 480, columnGap: 4, mt: 2.5 }}>{sections}</Box>
}

/** The metal one owns, every sheet and offcut true to shape and all to one scale, sorted by metal; or the same in a table. */
export function DrawerView({ stock, prices }: { readonly stock: readonly StockView[]; readonly prices: PricesShown }) {
  const [shown, setShown] = useState(ALL_STOCK)
  const visible = useMemo(() => shownOf(stock, shown), [stock, shown])
  const [adding, setAdding] = useState(stock.length === 0)
  const [correcting, setCorrecting] = useState<StockView | null>(null)
  const { asking, archive, answer } = useArchive()
  const act = useAct()
  const say = useNotice()
  const look = useLook()
  const rows = useMemo(() => visible.map(stockRow), [visible])
  const acts: StockActs = {
    correct: setCorrecting,
    duplicate: async (like) => {
      const done = await act('duplicateStock', { id: like.id })
      say({ text: done.ok ? `Another like ${like.label} is in the drawer as ${done.label}.` : done.message })
    },
    archive: (thing) => void archive(thing),
  }
  return (
    <Box sx={{ p: 2.5, flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" startIcon={<Plus size={17} aria-hidden />} onClick={() => setAdding(!adding)}>
          Put metal in
        </Button>
        <Button variant="text" component={PageLink} href="/archive">
          Archive
        </Button>
        <Box sx={{ flex: 1 }} />
        {stock.length > 1 ? <StockFilter stock={stock} shown={shown} onChange={setShown} /> : null}
        <LookChoice drawn="To scale" />
      </Box>
      {stock.length === 0 ? (
        <Typography sx={{ mt: 2 }}>
          The drawer is empty. Put in the first sheet: its metal, its thickness as it was sold, and its size.
        </Typography>
      ) : null}
      {adding ? <NewStock onDone={() => setAdding(false)} /> : null}
      {look === 'table' ? (
        <Box sx={{ flex: 1, minHeight: 320, mt: 2 }}>
          <DataTable
            label="Metal in the drawer"
            columns={STOCK_COLUMNS}
            rows={rows}
            onPick={(id) => setCorrecting(stock.find((item) => item.id === id) ?? null)}
            empty="The drawer is empty."
          />
        </Box>
      ) : (
        <>
          <ByMetal stock={visible} acts={acts} prices={prices} />
          {visible.length > 0 ? (
            <Typography variant="body2" sx={{ mt: 1 }}>
              Prices of {prices.day}: {prices.from}.
            </Typography>
          ) : null}
        </>
      )}
      <CorrectStock stock={correcting} onClose={() => setCorrecting(null)} />
      <ArchiveDialog asking={asking} onAnswer={(yes) => void answer(yes)} />
    </Box>
  )
}
