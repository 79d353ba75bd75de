import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { findForm } from '@/core/forms'
import { countWords } from '@/core/logbook'
import { workshop } from '@/server/workshop'
import { Stations } from '@/ui/forms/piece-head'
import { PageHead } from '@/ui/shared/page-head'

export async function generateMetadata({ params }: { params: Promise<{ id: string }> }): Promise<Metadata> {
  const piece = workshop().jobs.piece(Number((await params).id))
  return piece ? { title: piece.name } : {}
}

export default async function PieceLayout({ children, params }: { children: ReactNode; params: Promise<{ id: string }> }) {
  const { id } = await params
  const piece = workshop().jobs.piece(Number(id))
  if (!piece) notFound()
  const form = findForm(piece.design.parts[0]?.form ?? '')
  return (
    <>
      <PageHead
        title={piece.name}
        sub={`${piece.archivedAt === null ? '' : 'in the archive · '}${countWords(piece)} · ${form?.title.toLowerCase() ?? ''} · for ${piece.jobTitle}`}
      >
        <Stations pieceId={piece.id} />
      </PageHead>
      {children}
    </>
  )
}
