import type { Metadata } from 'next'
import { standInPrices } from '@/core/costing'
import { wantedMetals } from '@/server/services/open-items'
import { planOptions } from '@/server/services/piece-plan'
import { toolsWanted } from '@/server/services/tools-wanted'
import { workshop } from '@/server/workshop'
import { ToBuyView } from '@/ui/buy/to-buy-view'
import { ToolsWanted } from '@/ui/buy/tools-wanted'
import { DrawerNav } from '@/ui/drawer/drawer-nav'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Metal to buy' }

export default function BuyPage() {
  const repositories = workshop()
  const options = planOptions(repositories)
  const { kerfMm, marginMm } = repositories.settings.read()
  const prices = standInPrices(options.figures)
  const metals = wantedMetals(repositories, options).map((metal) => ({ ...metal, perGram: prices.perGram(metal.alloy) }))
  return (
    <>
      <PageHead title="Metal to buy" sub="for every open job, after what the drawer holds">
        <DrawerNav />
      </PageHead>
      <ToBuyView metals={metals} kerfMm={kerfMm} marginMm={marginMm} from={prices.from} />
      <ToolsWanted tools={toolsWanted(repositories, options)} />
    </>
  )
}
