import type { Metadata } from 'next'
import { TRAINED } from '@/core/teaching'
import { BookNav } from '@/ui/book/book-nav'
import { PageHead } from '@/ui/shared/page-head'
import { TrainerView } from '@/ui/teaching/trainer-view'

export const metadata: Metadata = { title: 'Trainer' }

/** Exercises are told apart by a number below this. */
const SEEDS = 900_000

export default async function TrainerPage({ searchParams }: { searchParams: Promise<{ seed?: string; kind?: string }> }) {
  const { seed, kind } = await searchParams
  const chosen = TRAINED.find((one) => one === kind) ?? null
  return (
    <>
      <PageHead title="Trainer" sub="say what you think, then see">
        <BookNav />
      </PageHead>
      <TrainerView seed={Number(seed) || 1 + Math.floor(Math.random() * SEEDS)} kind={chosen} />
    </>
  )
}
