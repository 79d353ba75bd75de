import type { Metadata } from 'next'
import { notFound } from 'next/navigation'
import type { ReactNode } from 'react'
import { HOT_JOINTS } from '@/core/assembly'
import { findForm } from '@/core/forms'
import { findKit } from '@/core/kits'
import { countWords } from '@/core/logbook'
import { ALLOY_IDS } from '@/core/metals'
import { dappedParts, isBent, isCurled, isShelled } from '@/core/piece'
import { planDesign, planOptions } from '@/server/services/piece-plan'
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
  const repositories = workshop()
  const piece = repositories.jobs.piece(Number(id))
  if (!piece) notFound()
  const input = piece.design.parts[0]?.input ?? {}
  const form = findForm(piece.design.parts[0]?.form ?? '')
  const plan = planDesign(piece.design, planOptions(repositories))
  const kit = findKit(piece.design.kit)
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
        sub={`${piece.archivedAt === null ? '' : 'in the archive · '}${countWords(piece)} · ${(kit?.title ?? form?.title ?? '').toLowerCase()} · for ${piece.jobTitle}`}
      >
        <Stations
          pieceId={piece.id}
          hasJoints={plan.assembly.joints.some(({ kind }) => HOT_JOINTS.includes(kind))}
          isFormed={dappedParts(plan).length > 0 || isBent(plan) || isCurled(plan) || isShelled(plan)}
        />
      </PageHead>
      {children}
    </>
  )
}
