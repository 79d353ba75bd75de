import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { findForm } from '@/core/forms'
import { countWords } from '@/core/logbook'
import { ALLOY_IDS } from '@/core/metals'
import { workshop } from '@/server/workshop'
import { Stations } from '@/ui/forms/piece-head'
import { PageHead } from '@/ui/shared/page-head'

/** A size as it was typed; none where there is none. */
function typedText(stored: unknown): string | null {
  if (typeof stored === 'object' && stored !== null && 'typed' in stored) return String(stored.typed)
  return typeof stored === 'string' || typeof stored === 'number' ? String(stored) : null
}

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const piece = workshop().jobs.piece(Number((await params).id))
  return piece ? { title: piece.name } : {}
}

export default async function PieceLayout({ children, params }: { children: ReactNode; params: Promise<{ id: string }> }) {
  const { id } = await params
  const piece = workshop().jobs.piece(Number(id))
  if (!piece) notFound()
  const input = piece.design.parts[0]?.input ?? {}
  const form = findForm(piece.design.parts[0]?.form ?? '')
  return (
    <>
      <PageHead
        beside={{
          jobId: piece.jobId,
          jobTitle: piece.jobTitle,
          alloy: ALLOY_IDS.find((id) => id === input.alloy) ?? null,
          thickness: typedText(input.thicknessMm),
        }}
        title={piece.name}
        sub={`${piece.archivedAt === null ? '' : 'in the archive · '}${countWords(piece)} · ${form?.title.toLowerCase() ?? ''} · for ${piece.jobTitle}`}
      >
        <Stations pieceId={piece.id} />
      </PageHead>
      {children}
    </>
  )
}
