import { expose } from 'comlink'
import { answerDap, type DapAnswer, type DapQuestion } from '@/core/forming'

const api = {
  /** A way to dap a disc, stage by stage. */
  dap: (question: DapQuestion): DapAnswer => answerDap(question),
}

export type DapApi = typeof api

expose(api)
