import { findTerms } from '@/core/glossary'
import { ALLOY_TITLES, type AlloyId } from '@/core/metals'
import { TABLES } from '@/core/tables'
import { TOOL_KIND_INFO, type ToolKind } from '@/core/toolwall'
import type { Named, Repositories } from '../db/repositories'
import { KIND_WORDS } from './archive-words'

/** Something that can be gone to. */
export interface FoundThing {
  readonly kind: string
  readonly name: string
  readonly about: string
  readonly href: string
  /** Of a job: for a piece to be added to it. */
  readonly jobId?: number
}

const MOST = 7
/** Places and commands that can be asked for by name. */
const PLACES: readonly FoundThing[] = [
  { kind: 'place', name: 'Bench', about: 'trays in progress', href: '/bench' },
  { kind: 'place', name: 'Jobs', about: 'what was promised', href: '/jobs' },
  { kind: 'place', name: 'Drawer', about: 'the metal', href: '/drawer' },
  { kind: 'place', name: 'Tool wall', about: 'the tools', href: '/drawer/tools' },
  { kind: 'place', name: 'Book', about: 'the record', href: '/book' },
  { kind: 'place', name: 'Day', about: 'what comes next at the bench', href: '/bench/day' },
  { kind: 'place', name: 'Lessons', about: 'pieces to predict', href: '/book/lessons' },
  { kind: 'place', name: 'Trainer', about: 'say what you think, then see', href: '/book/trainer' },
  { kind: 'place', name: 'Archive', about: 'what was archived', href: '/archive' },
  { kind: 'place', name: 'Settings', about: 'units, paper, backups', href: '/settings' },
]

/** Where things are that have no page of their own. */
const OTHER_PLACES = { bath: '/drawer/baths', template: '/drawer/templates' } as const

function thingOf({ kind, id, name, about }: Named): FoundThing {
  if (kind === 'job') return { kind: KIND_WORDS.job, name, about: about || 'no customer named', href: `/jobs?job=${id}`, jobId: id }
  if (kind === 'piece') return { kind: KIND_WORDS.piece, name, about: `for ${about}`, href: `/pieces/${id}` }
  if (kind === 'stock') return { kind: KIND_WORDS.stock, name, about: ALLOY_TITLES[about as AlloyId] ?? about, href: '/drawer' }
  if (kind === 'tool')
    return { kind: KIND_WORDS.tool, name, about: TOOL_KIND_INFO[about as ToolKind]?.title ?? about, href: '/drawer/tools' }
  if (kind === 'note') return { kind: 'told', name, about: `tray ${id}`, href: `/bench/${id}` }
  return { kind, name, about, href: kind === 'lesson' ? `/book/lessons/${id}` : OTHER_PLACES[kind] }
}

/** What was worked on last, before anything is asked. */
export function recentThings({ finding }: Pick<Repositories, 'finding'>): FoundThing[] {
  return finding.recent({ pieces: 4, jobs: 3 }).map(thingOf)
}

/** Whatever the workshop has by these words, what was told at the bench, tables, places and terms; nothing for fewer than two letters. */
export function findThings({ finding }: Pick<Repositories, 'finding'>, words: string): FoundThing[] {
  const text = words.trim().toLowerCase()
  if (text.length < 2 || text.length > 80) return []
  const own = finding.named(text, MOST).map(thingOf)
  const places = PLACES.filter(({ name }) => name.toLowerCase().startsWith(text))
  const tables = TABLES.filter((table) => table.title.toLowerCase().includes(text)).map(
    (table): FoundThing => ({ kind: 'table', name: table.title, about: 'table', href: `/tables?q=${encodeURIComponent(table.title)}` }),
  )
  const terms = findTerms(text)
    .filter((term) => term.word.startsWith(text))
    .map(
      (term): FoundThing => ({
        kind: 'word',
        name: term.word,
        about: term.means,
        href: `/tables/words?q=${encodeURIComponent(term.word)}`,
      }),
    )
  return [...own, ...places, ...tables, ...terms].slice(0, MOST)
}
