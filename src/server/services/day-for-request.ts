import { type DoorAnswer, readSchedule } from '@/core/commands'
import { runTask } from '../long/run-task'

/** Seconds that one request may ask for; the command line has no such ceiling. */
const MOST_SECONDS = 15
const GRACE_S = 10

/** Plans a day for a request: in a thread, ended when the one who asked has left. */
export async function dayForRequest(raw: unknown, signal: AbortSignal): Promise<DoorAnswer> {
  const read = readSchedule(raw)
  if (!read.ok) return read.answer
  const { input } = read
  const message = `${input.seconds} s was asked for; the limit here is ${MOST_SECONDS} s`
  if (input.seconds > MOST_SECONDS)
    return {
      ok: false,
      body: { error: { code: 'bad-input', message: `Schedule: seconds: ${message}`, issues: [{ path: 'seconds', message }] } },
    }
  return { ok: true, body: await runTask('day', input, { seconds: input.seconds + GRACE_S, signal }) }
}
