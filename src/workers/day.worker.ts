import { expose } from 'comlink'
import { planDay, type ScheduleAnswer, type ScheduleInput } from '@/core/schedule'

const api = {
  /** The order of a day, with its times. */
  plan: (input: ScheduleInput): ScheduleAnswer => {
    const began = performance.now()
    return planDay(input, () => (performance.now() - began) / 1000)
  },
}

export type DayApi = typeof api

expose(api)
