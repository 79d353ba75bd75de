import { growingOrders, layoutFamilies } from './layout-families.mjs'

/** Moments at which the share laid is told, s. */
const MOMENTS_S = [1, 2, 5, 10, 20, 60]

const areaOf = ({ circle, outer = [], holes = [] }, netAreaMm2) => (circle ? Math.PI * circle.radiusMm ** 2 : netAreaMm2(outer, holes))

/** Lays an order out, and notes what was told when. */
function laidOut({ packLayout, layoutInput, netAreaMm2 }, family) {
  const input = layoutInput.parse(family)
  const areas = new Map(input.items.map((item) => [item.id, areaOf(item, netAreaMm2)]))
  const began = performance.now()
  const elapsedS = () => (performance.now() - began) / 1000
  const told = []
  const tell = (placements) => told.push({ atS: elapsedS(), laidMm2: placements.reduce((sum, { id }) => sum + (areas.get(id) ?? 0), 0) })
  const solution = packLayout(input, { elapsedS, shouldStop: () => elapsedS() >= input.seconds, tell })
  const asked = input.items.reduce((sum, item) => sum + item.qty, 0)
  return { input, solution, asked, told, tookS: elapsedS() }
}

/** The most that had been told by each moment, as a share of the sheet: more seconds never give less. */
function shareByMoments({ input, told }, netAreaMm2) {
  const sheetMm2 = netAreaMm2(input.container.outer, input.container.holes)
  const most = (byS) => Math.max(0, ...told.filter(({ atS }) => atS <= byS).map(({ laidMm2 }) => laidMm2))
  return MOMENTS_S.filter((moment) => moment <= input.seconds)
    .map((moment) => `${moment} s ${(most(moment) / sheetMm2).toFixed(3)}`)
    .join(', ')
}

/**
 * Orders laid out, each in the seconds it has: how many blanks found a place, what share of the sheet they are, and that none is in another's
 * way; the share against time where an order has more than fits; and what grows with the order from 10 to 300 blanks.
 */
export async function timeLayouts(bundled) {
  const core = await bundled(`export { packLayout } from './src/core/layout/pack'
    export { findIllegal } from './src/core/layout/legal'
    export { layoutInput } from './src/core/layout/schema'
    export { netAreaMm2 } from './src/core/geometry/outline'`)
  const print = (family) => {
    const run = laidOut(core, family)
    const { input, solution, asked, told, tookS } = run
    const wrong = core.findIllegal(input, solution.placements).length
    const used = new Set(solution.placements.map(({ sheet }) => sheet)).size
    const share =
      input.objective === 'length'
        ? ((solution.utilisation * input.container.outer[1][0]) / solution.lengthUsedMm).toFixed(3)
        : `${solution.utilisation.toFixed(3)}${input.sheets ? ` of ${used} sheets` : ''}`
    const count = `${solution.placements.length} of ${asked}`.padStart(10)
    const times = `${tookS.toFixed(1)} s of ${input.seconds}, the first after ${told[0].atS.toFixed(2)}`
    process.stdout.write(`${family.name.padEnd(52)} ${count}  ${share} laid  ${times}${wrong > 0 ? `, ${wrong} ILLEGAL` : ''}\n`)
    if (input.objective !== 'length' && !input.sheets && input.seconds >= 20)
      process.stdout.write(`  share laid by then: ${shareByMoments(run, core.netAreaMm2)}\n`)
  }
  for (const family of layoutFamilies()) print(family)
  for (const family of growingOrders()) print(family)
}
