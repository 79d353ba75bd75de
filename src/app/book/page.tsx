import { allowanceOfGroup, recordGroups } from '@/server/services/own-record'
import { workshop } from '@/server/workshop'
import { BookView } from '@/ui/book/book-view'
import { PageHead } from '@/ui/shared/page-head'

export default function BookPage() {
  const repositories = workshop()
  const groups = recordGroups(repositories).map((group) => ({ ...group, own: allowanceOfGroup(group) }))
  const pieces = groups.reduce((sum, group) => sum + group.rows.length, 0)
  const trays = repositories.bench.trays()
  const losses = trays.flatMap((tray) =>
    repositories.bench
      .events(tray.id)
      .filter((event) => event.kind === 'wrong')
      .map((event) => ({ id: event.id, pieceName: tray.plan.pieceName, workpiece: event.workpiece, text: event.text, trayId: tray.id })),
  )
  return (
    <>
      <PageHead title="Book" sub={`${pieces} pieces measured, ${losses.length} lost`} />
      <BookView groups={groups} losses={losses} />
    </>
  )
}
