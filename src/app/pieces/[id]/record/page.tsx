import { notFound } from 'next/navigation'
import { toldWords } from '@/core/logbook'
import { findOperation } from '@/core/operations'
import { namedThings, thingNames } from '@/core/piece'
import type { Tray } from '@/server/db/repositories'
import { besideOriginals, measuredTrays } from '@/server/services/measured-trays'
import { ownAllowanceOfPiece } from '@/server/services/own-record'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { workshop } from '@/server/workshop'
import { RecordStation } from '@/ui/record/record-station'
import { Pager } from '@/ui/shared/pager'
import { pageNumber, pagesOf } from '../../../page-number'

const ROWS_A_PAGE = 40
const TRAYS_SHOWN = 20
const WORDS_SHOWN = 30
const PICTURES_SHOWN = 24

interface RecordPageProps {
  readonly params: Promise<{ id: string }>
  readonly searchParams: Promise<{ page?: string | string[] }>
}

/** The reasons by which steps of trays stood against a rule, each once. */
function reasonsOf(trays: readonly Tray[]) {
  const all = trays.flatMap(({ plan }) =>
    plan.steps.flatMap(({ id, op, overrides = [] }) =>
      overrides.map(({ rule, reason }) => ({ key: `${id} ${rule} ${reason}`, step: findOperation(op)?.title ?? op, rule, reason })),
    ),
  )
  return [...new Map(all.map((one) => [one.key, one])).values()]
}

export default async function RecordPage({ params, searchParams }: RecordPageProps) {
  const { id } = await params
  const page = pageNumber((await searchParams).page)
  const repositories = workshop()
  const { jobs, record, trays, entries } = repositories
  const piece = jobs.piece(Number(id))
  if (!piece) notFound()
  const allowance = ownAllowanceOfPiece(repositories, piece.id, planOptions(repositories))
  const own = allowance?.own
  const names = thingNames(namedThings(planDesign(piece.design, planOptions(repositories))))
  const nameOf = (part: string) => names.get(part) ?? part
  const ofPiece = trays.ofPiece(piece.id, TRAYS_SHOWN)
  return (
    <>
      <RecordStation
        pieceId={piece.id}
        rows={record.rowsOfPiece(piece.id, { page, size: ROWS_A_PAGE })}
        own={own && own.count > 0 ? own : null}
        picture={allowance?.picture ?? null}
        events={entries.wordsOf(piece.id, WORDS_SHOWN).map((entry) => ({ id: entry.id, words: toldWords(entry, nameOf) }))}
        trayIds={ofPiece.map((tray) => tray.id)}
        reasons={reasonsOf(ofPiece)}
        measured={measuredTrays(repositories, ofPiece)}
        besideOriginal={besideOriginals(repositories, ofPiece)}
        pictures={repositories.pictures.ofPiece(piece.id, PICTURES_SHOWN)}
      />
      <Pager label="Pages of readings" page={page} pages={pagesOf(record.countOfPiece(piece.id), ROWS_A_PAGE)} />
    </>
  )
}
