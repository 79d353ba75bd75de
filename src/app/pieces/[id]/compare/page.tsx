import { notFound } from 'next/navigation'
import type { FormResult } from '@/core/forms'
import { type ComparedPieces, compareTwo } from '@/server/services/compare'
import { workshop } from '@/server/workshop'
import { CompareStation } from '@/ui/compare/compare-station'

const OTHERS_OFFERED = 60

/** The first part of each that has its size. */
function shownResults({ first, second }: ComparedPieces): [FormResult, FormResult] | null {
  const [one, two] = [first, second].map(({ plan }) => plan.parts.find(({ result }) => result !== undefined)?.result)
  return one && two ? [one, two] : null
}

interface ComparePageProps {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<{ with?: string }>
}

export default async function ComparePage({ params, searchParams }: ComparePageProps) {
  const { id } = await params
  const { with: wanted } = await searchParams
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const others = repositories.jobs.alike(piece, OTHERS_OFFERED)
  const other = others.find((item) => item.id === Number(wanted)) ?? others[0]
  const compared = other ? compareTwo(repositories, piece, other) : undefined
  return (
    <CompareStation
      piece={{ id: piece.id, name: piece.name }}
      others={others.map((item) => ({ id: item.id, name: item.name, jobTitle: item.jobTitle }))}
      otherId={other?.id ?? null}
      results={compared ? shownResults(compared) : null}
      comparison={compared?.comparison ?? null}
    />
  )
}
