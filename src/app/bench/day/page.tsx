import type { Metadata } from 'next'
import { isOpenJob } from '@/core/entries'
import type { Repositories } from '@/server/db/repositories'
import { dayQuestion } from '@/server/services/day-question'
import { workshop } from '@/server/workshop'
import { BenchNav } from '@/ui/bench/bench-nav'
import { DayView } from '@/ui/day/day-view'
import type { PromisePiece } from '@/ui/day/promise-panel'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'The day' }

const JOBS_LOOKED_AT = 30

/** Pieces of open jobs that no tray was started for, those due first before the others. */
function notBegun({ jobs, trays }: Repositories): PromisePiece[] {
  const open = jobs.jobs({ page: 1, size: JOBS_LOOKED_AT }).filter(isOpenJob)
  const pieces = open.flatMap(({ id, dueOn }) => jobs.pieces(id).map((piece) => ({ id: piece.id, name: piece.name, dueOn })))
  const begun = new Set(trays.ofPieces(pieces.map(({ id }) => id)).map(({ pieceId }) => pieceId))
  return pieces.filter(({ id }) => !begun.has(id))
}

export default function DayPage() {
  const repositories = workshop()
  const question = dayQuestion(repositories, new Date())
  const left = repositories.trays.counts().open - question.trays.length
  return (
    <>
      <PageHead
        title="The day"
        sub={`${question.trays.length} trays through one bench${left > 0 ? `; ${left} older ones are not planned` : ''}`}
      >
        <BenchNav />
      </PageHead>
      <DayView question={question} pieces={notBegun(repositories)} />
    </>
  )
}
