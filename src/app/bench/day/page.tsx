import type { Metadata } from 'next'
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
  const open = jobs.jobs({ page: 1, size: JOBS_LOOKED_AT }).filter(({ status }) => status !== 'done' && status !== 'handed-over')
  const pieces = open.flatMap(({ id, dueOn }) => jobs.pieces(id).map((piece) => ({ id: piece.id, name: piece.name, dueOn })))
  const begun = new Set(trays.ofPieces(pieces.map(({ id }) => id)).map(({ pieceId }) => pieceId))
  return pieces.filter(({ id }) => !begun.has(id))
}

export default function DayPage() {
  const repositories = workshop()
  const question = dayQuestion(repositories, new Date())
  return (
    <>
      <PageHead title="The day" sub={`${question.trays.length} trays through one bench`}>
        <BenchNav />
      </PageHead>
      <DayView question={question} pieces={notBegun(repositories)} />
    </>
  )
}
