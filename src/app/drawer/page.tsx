import type { Metadata } from 'next'
import { standInPrices } from '@/core/costing'
import { ALLOY_IDS, type AlloyId } from '@/core/metals'
import { localDay } from '@/server/local-day'
import { workshop } from '@/server/workshop'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { DrawerView } from '@/ui/drawer/drawer-view'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Drawer' }

export default function DrawerPage() {
  const { drawer, settings } = workshop()
  const { perGram, from } = standInPrices(settings.read().figures)
  const day = localDay()
  const prices = { perGram: Object.fromEntries(ALLOY_IDS.map((id) => [id, perGram(id)])) as Record<AlloyId, number>, from, day }
  const stock = drawer.all().map((item) => ({ ...item, isUsed: drawer.isUsed(item.id), notes: drawer.notesOf(item.id) }))
  const count = (kind: string, one: string, many: string) => {
    const of = stock.filter((item) => item.kind === kind).length
    return `${of} ${of === 1 ? one : many}`
  }
  const held = [count('sheet', 'sheet or offcut', 'sheets and offcuts'), count('wire', 'wire', 'wires'), count('tube', 'tube', 'tubes')]
  return (
    <>
      <PageHead title="Drawer" sub={held.join(', ')}>
        <DrawerNav />
      </PageHead>
      <DrawerView stock={stock} prices={prices} />
    </>
  )
}
