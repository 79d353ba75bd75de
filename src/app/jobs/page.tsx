import { inLittle } from '@/core/drawing'
import { ALLOYS } from '@/core/metals'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { JobsBoard, type JobView } from '@/ui/jobs/jobs-board'
import { PageHead } from '@/ui/shared/page-head'

export default function JobsPage() {
  const repositories = workshop()
  const { jobs, bench } = repositories
  const options = planOptions(repositories)
  const trays = bench.trays()
  const pieces = jobs.pieces()
  const views = jobs.jobs().map(
    (job): JobView => ({
      ...job,
      pieces: pieces
        .filter((piece) => piece.jobId === job.id)
        .map((piece) => {
          const plan = planDesign(piece.design, options)
          const own = trays.filter((tray) => tray.pieceId === piece.id)
          return {
            id: piece.id,
            name: piece.name,
            quantity: piece.quantity,
            spares: piece.spares,
            form: piece.design.parts[0]?.form ?? '',
            drawing: plan.ok && plan.result.drawing.views[0] ? inLittle(plan.result.drawing.views[0]) : null,
            colour: plan.ok ? ALLOYS[plan.temper.alloy].colour : null,
            alloy: plan.ok ? ALLOYS[plan.temper.alloy].title.toLowerCase() : '',
            thicknessMm: plan.ok ? plan.temper.thicknessMm : 0,
            cutMm: plan.ok ? plan.result.answer.markAt : null,
            openTrayId: own.find((tray) => tray.finishedAt === null)?.id ?? null,
            trayCount: own.length,
          }
        }),
    }),
  )
  return (
    <>
      <PageHead
        title="Jobs"
        sub={`${views.length === 0 ? 'nothing promised yet' : `${views.filter((job) => job.status !== 'done' && job.status !== 'handed-over').length} open, ${views.length} in all`}`}
      />
      <JobsBoard jobs={views} today={new Date().toISOString().slice(0, 10)} />
    </>
  )
}
