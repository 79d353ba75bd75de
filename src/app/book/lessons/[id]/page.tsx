import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import { questionsOfPlan } from '@/core/teaching'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { thumbOf } from '@/server/services/piece-thumb'
import { workshop } from '@/server/workshop'
import { BookNav } from '@/ui/book/book-nav'
import { PageHead } from '@/ui/shared/page-head'
import { ClassView } from '@/ui/teaching/class-view'
import { LessonView } from '@/ui/teaching/lesson-view'

interface LessonPageProps {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<{ view?: string }>
}

const PREDICTIONS_SHOWN = 5000

export async function generateMetadata({ params }: LessonPageProps): Promise<Metadata> {
  const lesson = workshop().teaching.lesson(Number((await params).id))
  return lesson ? { title: lesson.title } : {}
}

export default async function LessonPage({ params, searchParams }: LessonPageProps) {
  const repositories = workshop()
  const lesson = repositories.teaching.lesson(Number((await params).id))
  const piece = lesson && repositories.jobs.piece(lesson.pieceId)
  if (!lesson || !piece) notFound()
  const plan = planDesign(piece.design, planOptions(repositories))
  const questions = questionsOfPlan(plan)
  const isClass = (await searchParams).view === 'class'
  return (
    <>
      <PageHead title={lesson.title} sub={isClass ? 'how the class did' : piece.name}>
        <BookNav />
      </PageHead>
      {isClass ? (
        <ClassView questions={questions} predictions={repositories.teaching.ofLesson(lesson.id, PREDICTIONS_SHOWN)} />
      ) : (
        <LessonView lessonId={lesson.id} questions={questions} thumb={thumbOf(plan)} />
      )}
    </>
  )
}
