import type { Metadata } from 'next'
import { ARCHIVE_KINDS } from '@/server/db/repositories'
import { KIND_WORDS } from '@/server/services/archive-words'
import { workshop } from '@/server/workshop'
import { ArchiveView } from '@/ui/archive/archive-view'
import { PageHead } from '@/ui/shared/page-head'

export const metadata: Metadata = { title: 'Archive' }

export default function ArchivePage() {
  const { archive } = workshop()
  const things = ARCHIVE_KINDS.flatMap((kind) =>
    archive.all(kind).map(({ id, name, revision, archivedAt }) => ({
      kind,
      id,
      name,
      revision,
      what: KIND_WORDS[kind],
      since: (archivedAt ?? '').slice(0, 10),
    })),
  )
  return (
    <>
      <PageHead title="Archive" sub={`${things.length} archived`} />
      <ArchiveView things={things} />
    </>
  )
}
