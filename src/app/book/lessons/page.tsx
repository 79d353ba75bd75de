import type { Metadata } from 'next'
import { workshop } from '@/server/workshop'
import { BookNav } from '@/ui/book/book-nav'
import { PageHead } from '@/ui/shared/page-head'
import { LessonsView } from '@/ui/teaching/lessons-view'

export const metadata: Metadata = { title: 'Lessons' }

const LESSONS_SHOWN = 60
const JOBS_LOOKED_AT = 40

export default function LessonsPage() {
  const { teaching, jobs } = workshop()
  const pieces = jobs
    .jobs({ page: 1, size: JOBS_LOOKED_AT })
    .flatMap(({ id }) => jobs.pieces(id).map((piece) => ({ id: piece.id, name: piece.name })))
  return (
    <>
      <PageHead title="Lessons" sub="predicted before it is shown">
        <BookNav />
      </PageHead>
      <LessonsView lessons={teaching.lessons(LESSONS_SHOWN)} pieces={pieces} />
    </>
  )
}
