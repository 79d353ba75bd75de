import { expose } from 'comlink'
import { type DrawnAnswer, type DrawnQuestion, type DrawnRefused, readDrawn } from '@/core/drawn'
import { answerOutline, type OutlineAnswer, type OutlineInput, type Refused } from '@/core/picture'
import { focal35Of } from '@/files/focal-length'
import { unpack } from './unpack'

/** What a photograph shows, and how large it is, pixels. */
export interface OutlineInPicture {
  readonly answer: OutlineAnswer
  readonly size: readonly [number, number]
}

const api = {
  /** Measures what lies on the card of a photograph. The picture stays on this machine. */
  async measure(file: Blob, input: OutlineInput): Promise<OutlineInPicture | Refused> {
    const { size, ...picture } = await unpack(file)
    const answer = answerOutline({ ...picture, focal35Mm: await focal35Of(file) }, input)
    return 'ok' in answer ? answer : { answer, size }
  },
  /** Reads the outlines that a drawing draws. */
  async read(file: Blob, question: DrawnQuestion): Promise<DrawnAnswer | DrawnRefused> {
    return readDrawn(await file.text(), question)
  },
}

export type OutlineApi = typeof api

expose(api)
