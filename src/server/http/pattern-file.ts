import { type Pattern, patternDxf, patternSvg } from '@/core/drawing'
import type { Repositories } from '../db/repositories'
import { runTask } from '../long/run-task'
import { pdfFile } from './pdf-file'

const TYPES = { svg: 'image/svg+xml', dxf: 'image/vnd.dxf', pdf: 'application/pdf' } as const
type PatternKind = keyof typeof TYPES

export const isPatternKind = (word: string): word is PatternKind => Object.hasOwn(TYPES, word)

/** What a pattern and its file are called, and what is said of its use where that is not said by its method. */
interface PatternNames {
  readonly title: string
  readonly file: string
  readonly say?: string
}

/** A pattern on pages to print. */
async function paged({ title, say }: PatternNames, pattern: Pattern, { settings }: Repositories, signal: AbortSignal): Promise<Uint8Array> {
  const { paper, checkBarMm } = settings.read()
  const print = {
    title,
    patterns: [pattern],
    isTemplate: true,
    isMirrored: false,
    method: 'scribe' as const,
    ...(say ? { say } : {}),
    paper,
    checkBarMm,
  }
  return runTask('layoutPdf', print, { seconds: 60, signal })
}

/** A pattern at full size: as SVG or DXF to keep, or as PDF to print. */
export async function patternFile(
  pattern: Pattern,
  names: PatternNames,
  kind: PatternKind,
  repositories: Repositories,
  signal: AbortSignal,
): Promise<Response> {
  if (kind === 'pdf') return pdfFile(await paged(names, pattern, repositories, signal), names.file)
  return new Response(kind === 'svg' ? patternSvg(names.title, pattern) : patternDxf(pattern), {
    headers: { 'content-type': TYPES[kind], 'content-disposition': `attachment; filename="${names.file}.${kind}"` },
  })
}
