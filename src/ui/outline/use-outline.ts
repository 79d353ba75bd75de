'use client'
import { useEffect, useRef, useState } from 'react'
import { readDrawnInput, readOutlineInput } from '@/core/commands'
import type { DrawnAnswer, DrawnRefused } from '@/core/drawn'
import type { Point } from '@/core/geometry'
import type { OutlineInPicture } from '@/workers/outline.worker'
import { drawingInWorker, outlineInWorker } from '@/workers/outline-client'

/** What is typed beside the file. */
export interface OutlineTyped {
  readonly height: string
  readonly lineX: string
  readonly lineY: string
  readonly longest: string
  /** Two points of a known distance, where the picture shows no card; undefined where the card tells the scale. */
  readonly points?: { readonly from: Point; readonly to: Point; readonly isLaid: boolean; readonly apart: string } | undefined
}

export interface PictureSeen extends OutlineInPicture {
  readonly url: string
}

export type OutlineSeen =
  | { readonly kind: 'none' }
  | { readonly kind: 'measuring' }
  | { readonly kind: 'problem'; readonly says: string }
  | ({ readonly kind: 'picture' } & PictureSeen)
  | { readonly kind: 'drawing'; readonly answer: DrawnAnswer }
  | { readonly kind: 'open'; readonly answer: DrawnRefused }

export const isDrawing = (file: File) => /\.(svg|dxf)$/i.test(file.name)
const numberOf = (typed: string) => (typed.trim() === '' ? undefined : Number(typed.replace(',', '.')))
const sayIssues = (issues: readonly { readonly message: string }[]): OutlineSeen => ({
  kind: 'problem',
  says: issues.map(({ message }) => message).join('; '),
})
const orNothing = (typed: string) => (typed.trim() === '' ? undefined : typed)

async function seeDrawing(file: File, { longest }: OutlineTyped, signal: AbortSignal): Promise<OutlineSeen> {
  const read = readDrawnInput({ longestMm: orNothing(longest) })
  if (!read.ok) return sayIssues(read.issues)
  const answer = await drawingInWorker(file, read.input, signal)
  if (answer.ok) return { kind: 'drawing', answer }
  return answer.lines.length > 0 ? { kind: 'open', answer } : { kind: 'problem', says: answer.message }
}

async function seePicture(file: File, typed: OutlineTyped, signal: AbortSignal): Promise<OutlineSeen> {
  const { points } = typed
  if (points && (!points.isLaid || points.apart.trim() === '')) return { kind: 'none' }
  const scale = points
    ? { points: [points.from, points.to], apartMm: points.apart }
    : { card: { lineXMm: numberOf(typed.lineX), lineYMm: numberOf(typed.lineY) } }
  const read = readOutlineInput({ heightMm: orNothing(typed.height), ...scale })
  if (!read.ok) return sayIssues(read.issues)
  try {
    const told = await outlineInWorker(file, read.input, signal)
    return 'ok' in told ? { kind: 'problem', says: told.message } : { kind: 'picture', ...told, url: URL.createObjectURL(file) }
  } catch (error) {
    if (signal.aborted) throw error
    return { kind: 'problem', says: 'The picture cannot be read: it is damaged, or no JPEG, PNG or WebP picture.' }
  }
}

/** Measures a file as soon as it is there, and again when what is typed beside it changes; the last one asked wins. */
export function useOutline(file: File | undefined, typed: OutlineTyped): OutlineSeen {
  const [seen, setSeen] = useState<OutlineSeen>({ kind: 'none' })
  const url = useRef('')
  const { height, lineX, lineY, longest, points } = typed
  useEffect(() => {
    if (!file) return
    const ending = new AbortController()
    setSeen({ kind: 'measuring' })
    const asked = { height, lineX, lineY, longest, points }
    const wait = setTimeout(() => {
      const work = isDrawing(file) ? seeDrawing(file, asked, ending.signal) : seePicture(file, asked, ending.signal)
      work
        .then((now) => {
          if (ending.signal.aborted) return
          URL.revokeObjectURL(url.current)
          url.current = now.kind === 'picture' ? now.url : ''
          setSeen(now)
        })
        .catch(() => undefined)
    }, 250)
    return () => {
      clearTimeout(wait)
      ending.abort()
    }
  }, [file, height, lineX, lineY, longest, points])
  return seen
}
