import { ALLOYS } from '@/core/metals'
import { wordsOf } from '@/core/route'
import { walkFrozen } from '@/server/services/piece-plan'
import { trayState } from '@/server/services/tray-state'
import { workshop } from '@/server/workshop'
import { BenchHome, type TrayView } from '@/ui/bench/bench-home'
import { PageHead } from '@/ui/shared/page-head'

export default function BenchPage() {
  const repositories = workshop()
  const trays = repositories.bench.trays().flatMap((tray): TrayView[] => {
    const state = trayState(repositories, tray.id)
    if (!state) return []
    const { progress } = state
    const step = tray.plan.steps[progress.stepIndex]
    const alloy = Object.values(ALLOYS).find((item) => item.id === tray.plan.alloy) ?? ALLOYS['sterling-925']
    return [
      {
        id: tray.id,
        pieceName: tray.plan.pieceName,
        size: tray.size,
        lost: progress.lost.length,
        stepNumber: progress.stepIndex + 1,
        stepCount: tray.plan.steps.length,
        finished: progress.finished,
        next: step ? wordsOf(step, { alloy: alloy.id, thicknessMm: tray.plan.thicknessMm }).title : 'done',
        needsHeat: step?.op === 'anneal',
        waiting: state.waiting,
        walk: walkFrozen(tray.plan),
      },
    ]
  })
  return (
    <>
      <PageHead title="Bench" sub={`${trays.filter((tray) => !tray.finished).length} trays in work`} />
      <BenchHome trays={trays} />
    </>
  )
}
