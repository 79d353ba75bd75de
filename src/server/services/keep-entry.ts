import * as z from 'zod'
import type { DoorAnswer } from '@/core/commands'
import { CHECK_PIECE, checkFault, readCheck } from '@/core/instruments'
import { doMeet, FAILED, isWholeLoss, PASSED, READING_REACH, TEST_READINGS, TESTED } from '@/core/logbook'
import { parseSize } from '@/core/sizes'
import { formatPlain, issuesOf, plainWords, sayIssue } from '@/core/units'
import { ENTRY_KINDS, type Entry, type NewEntry, type Repositories, type Tray } from '../db/repositories'
import { simulatedIds } from '../instruments/simulated'
import { bookItems, standTray, stepsOf } from './ledger'

const when = z.iso.datetime({ error: 'a time such as 2027-03-01T10:20:00.000Z' })

/** An entry as a device sends it. */
export const entrySchema = z.strictObject({
  /** The workshop it was made in. */
  workshop: z.string().min(1),
  /** The sender's own mark: the same entry sent twice is kept once. */
  token: z.string().min(8, { error: 'token: at least 8 characters, different for each entry' }).max(80),
  device: z.string().min(1).max(80),
  sequence: z.int().min(1),
  tray: z.string().min(1),
  item: z.string().nullable().default(null),
  step: z.string().nullable().default(null),
  kind: z.enum(ENTRY_KINDS),
  /** The device's own time, and its time when it sends: the difference from ours corrects a clock that is wrong. */
  at: when,
  sentAt: when,
  startedAt: when.optional(),
  text: z.string().max(500).optional(),
  dimension: z.string().optional(),
  /** mm, or as a smith would write it. */
  value: z.union([z.number(), z.string().max(60)]).optional(),
  instrument: z.string().max(60).default('typed'),
  /** Of a failed test the part that gave way; of a loss the part that is made again, where the rest of the piece goes on. */
  part: z.string().max(60).optional(),
  reverses: z.string().nullable().default(null),
})
type Sent = z.output<typeof entrySchema>

function refuse(code: string, message: string, path: string): DoorAnswer {
  return { ok: false, body: { error: { code, message, issues: [{ path, message }] } } }
}

type Checked<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly answer: DoorAnswer }
const no = (code: string, message: string, path: string): Checked<never> => ({ ok: false, answer: refuse(code, message, path) })

/** Clocks this near to ours are not corrected: it is only the way there. */
const CLOCK_SLACK_MS = 5000

function ownTime(time: string, sentAt: string, receivedAt: string): string {
  const off = Date.parse(receivedAt) - Date.parse(sentAt)
  return Math.abs(off) <= CLOCK_SLACK_MS ? time : new Date(Date.parse(time) + off).toISOString()
}

interface Place {
  readonly item: NewEntry['item']
  readonly stepIndex: number | null
}

function placeOf(repositories: Repositories, tray: Tray, sent: Sent): Checked<Place> {
  const found = sent.item === null ? undefined : repositories.trays.item(sent.item, tray.id)
  if (sent.item !== null && !found) return no('bad-input', `this tray of ${tray.size} has no piece "${sent.item}"`, 'item')
  const steps = stepsOf(repositories, tray)
  const stepIndex = sent.step === null ? -1 : steps.findIndex((step) => step.id === sent.step)
  if (sent.step !== null && stepIndex < 0)
    return no('bad-input', `this tray’s route has no step "${sent.step}"; it has ${steps.map((step) => step.id).join(', ')}`, 'step')
  const item = found && sent.item !== null ? { uid: sent.item, ...found } : null
  return { ok: true, value: { item, stepIndex: stepIndex < 0 ? null : stepIndex } }
}

type Reading = NonNullable<NewEntry['reading']>

/** The first step before this one that the item is not through yet. */
function openBefore(repositories: Repositories, tray: Tray, instance: number, stepIndex: number): string | undefined {
  const moves = repositories.entries.moves(tray.id)
  const steps = stepsOf(repositories, tray)
  const here = steps[stepIndex]
  return steps
    .slice(0, stepIndex)
    .find(
      (step) =>
        (here === undefined || doMeet(step, here)) &&
        (step.only === undefined || step.only === instance) &&
        !moves.some((move) => move.kind === 'done' && move.stepId === step.id && move.workpiece === (step.together ? null : instance)),
    )?.id
}

function takenAs(sent: Sent, dimension: string, valueMm: number): Reading {
  const { instrument, value } = sent
  return { dimension, valueMm, typed: String(value), instrument, simulated: simulatedIds.has(instrument) }
}

function readingOf(repositories: Repositories, tray: Tray, sent: Sent, place: Place): Checked<Reading> {
  const step = place.stepIndex === null ? undefined : stepsOf(repositories, tray)[place.stepIndex]
  if (!step || !place.item || place.stepIndex === null) return no('bad-input', 'a reading is of one piece at one step', 'item')
  const { target } = step
  if (!target) return no('bad-input', `nothing is measured at the step "${step.id}"`, 'step')
  if (sent.dimension !== target.dimension)
    return no('bad-input', `at this step ${target.dimension} is measured; ${sent.dimension ?? 'nothing'} was given`, 'dimension')
  const open = openBefore(repositories, tray, place.item.instance, place.stepIndex)
  if (open) return no('not-done', `Piece ${place.item.instance} is not at this step yet: "${open}" is not done.`, 'step')
  if (sent.value === undefined) return no('bad-input', 'Reading: nothing was entered', 'value')
  const size = parseSize(String(sent.value), { gaugeSystem: 'B&S' })
  if (!('mm' in size)) return no('bad-input', `Reading: ${size.kind === 'unknown' ? size.message : size.question}`, 'value')
  const [least, most] = [target.valueMm / READING_REACH, target.valueMm * READING_REACH]
  if (size.mm < least || size.mm > most)
    return no(
      'bad-input',
      `Reading: ${formatPlain(size.mm, 2)} mm was given; the aim is ${formatPlain(target.valueMm, 2)} mm, allowed: ${formatPlain(least, 2)} to ${formatPlain(most, 2)} mm`,
      'value',
    )
  return { ok: true, value: takenAs(sent, target.dimension, size.mm) }
}

/** What was measured at a test: a gap or how far it sits off, which may be nothing; none where it was only looked at. */
function testReadingOf(sent: Sent): Checked<Reading> | undefined {
  if (sent.value === undefined) return undefined
  const { dimension = '' } = sent
  const most = Object.hasOwn(TEST_READINGS, dimension) ? TEST_READINGS[dimension as keyof typeof TEST_READINGS].mostMm : undefined
  if (most === undefined)
    return no(
      'bad-input',
      `at a test ${Object.keys(TEST_READINGS).join(' or ')} is measured; ${dimension || 'nothing'} was given`,
      'dimension',
    )
  const size = parseSize(String(sent.value), { gaugeSystem: 'B&S' })
  const valueMm = Number(sent.value) === 0 ? 0 : 'mm' in size ? size.mm : undefined
  if (valueMm === undefined || valueMm > most)
    return no('bad-input', `${dimension}: ${String(sent.value)} was given; allowed: 0 to ${most} mm`, 'value')
  return { ok: true, value: takenAs(sent, dimension, valueMm) }
}

/** The check piece between the jaws, as a note says it; a note that says nothing of it is no reading. */
function checkReadingOf(sent: Sent): Checked<Reading> | undefined {
  if (sent.dimension !== CHECK_PIECE) return undefined
  const said = readCheck(sent.text ?? '', sent.at)
  if (!said || said.readMm !== sent.value)
    return no('bad-input', 'a check is told as “check piece of 10 mm: 10.01”, with the 10.01 as its value', 'text')
  const fault = checkFault(said)
  return fault ? no('bad-input', fault, 'value') : { ok: true, value: takenAs(sent, CHECK_PIECE, said.readMm) }
}

function measuredBy(repositories: Repositories, tray: Tray, sent: Sent, place: Place): Checked<Reading> | undefined {
  if (sent.kind === 'reading') return readingOf(repositories, tray, sent, place)
  if (sent.kind === 'test') return testReadingOf(sent)
  return sent.kind === 'note' ? checkReadingOf(sent) : undefined
}

function measuredOf(repositories: Repositories, tray: Tray, sent: Sent, place: Place): Checked<Reading> | undefined {
  const reading = measuredBy(repositories, tray, sent, place)
  if (reading?.ok && reading.value.simulated && !isPracticeOn(repositories))
    return no('bad-input', 'The simulated calipers are off in this workshop. Settings can switch them on for practice.', 'instrument')
  return reading
}

/** Simulated instruments work in the demonstration, and elsewhere only where they were switched on for practice. */
export function isPracticeOn(repositories: Repositories): boolean {
  return repositories.workshopRow().demonstration || repositories.settings.read().practice
}

function reversedBy(repositories: Repositories, tray: Tray, sent: Sent): Checked<Entry | null> {
  if (sent.kind !== 'reversal') {
    if (sent.reverses !== null) return no('bad-input', 'only a reversal takes an entry back', 'reverses')
    return { ok: true, value: null }
  }
  const entry = sent.reverses === null ? undefined : repositories.entries.byToken(sent.reverses)
  if (!entry || entry.trayId !== tray.id) return no('bad-input', 'there is no such entry of this tray to take back', 'reverses')
  if (entry.kind === 'reversal') return no('bad-input', 'this entry takes one back itself; make the entry anew instead', 'reverses')
  if (repositories.entries.reversalOf(entry.token)) return no('conflict', 'This entry was taken back already.', 'reverses')
  return { ok: true, value: entry }
}

/** A test is of one piece, at a step that tests something, and says what came of it. */
function testFault(
  repositories: Repositories,
  tray: Tray,
  sent: Sent,
  item: Place['item'],
  stepIndex: number | null,
): DoorAnswer | undefined {
  const step = stepIndex === null ? undefined : stepsOf(repositories, tray)[stepIndex]
  if (!item || !step || !TESTED.has(step.op)) return refuse('bad-input', 'a test is of one piece, at a step that tests it', 'step')
  const parts = tray.plan.parts.map(({ part }) => part)
  if (sent.part !== undefined && !parts.includes(sent.part))
    return refuse('bad-input', `this piece has the parts ${parts.join(', ')}; ${sent.part} was given`, 'part')
  if (!sent.text?.startsWith(PASSED) && !sent.text?.startsWith(FAILED))
    return refuse('bad-input', `the result of a test is "${PASSED}" or "${FAILED}: what was seen"`, 'text')
  return undefined
}

/** A part is made again before the step in hand, of whose sub-tray it is. */
function againFault(repositories: Repositories, tray: Tray, part: string, { item, stepIndex }: Place): DoorAnswer | undefined {
  const steps = stepsOf(repositories, tray)
  const step = stepIndex === null ? undefined : steps[stepIndex]
  if (!step) return refuse('bad-input', 'a part is made again before a step; say which', 'step')
  if (item?.part !== part) return refuse('bad-input', `the item is of ${item?.part}; the part made again is ${part}`, 'part')
  const parts = tray.plan.parts.map((one) => one.part)
  const here = step.subTray ? parts.filter((one) => step.subTray?.includes(one)) : parts
  return here.includes(part)
    ? undefined
    : refuse('bad-input', `at this step ${here.join(', ')} can be made again; ${part} was given`, 'part')
}

function moveFault(repositories: Repositories, tray: Tray, sent: Sent, { item, stepIndex }: Place): DoorAnswer | undefined {
  if (sent.kind === 'loss' && !item) return refuse('bad-input', 'a loss is of one piece; say which', 'item')
  const moves = repositories.entries.moves(tray.id)
  const isLost = item && moves.some((move) => isWholeLoss(move) && move.workpiece === item.instance)
  if (isLost && sent.kind !== 'note' && sent.kind !== 'reversal')
    return refuse('conflict', `Piece ${item.instance} was lost before; it is out of the tray.`, 'item')
  if (sent.kind === 'loss' && sent.part !== undefined) return againFault(repositories, tray, sent.part, { item, stepIndex })
  if (sent.kind === 'started' && stepIndex === null) return refuse('bad-input', 'a step is begun; say which', 'step')
  if (sent.kind === 'test') return testFault(repositories, tray, sent, item, stepIndex)
  return sent.kind === 'done' ? doneFault(repositories, tray, item, stepIndex) : undefined
}

/** A step is done once by each piece, or once by the tray together; rework by its own piece alone. */
function doneFault(repositories: Repositories, tray: Tray, item: Place['item'], stepIndex: number | null): DoorAnswer | undefined {
  if (stepIndex === null) return refuse('bad-input', 'a step is done; say which', 'step')
  const { together, id, only } = stepsOf(repositories, tray)[stepIndex] ?? { together: false, id: '' }
  if (together !== (item === null))
    return refuse(
      'bad-input',
      together ? 'the tray goes through this step together; name no piece' : 'this step is done piece by piece; say which',
      'item',
    )
  if (only !== undefined && item?.instance !== only)
    return refuse('bad-input', `this step is the rework of piece ${only}; no other goes through it`, 'item')
  const workpiece = item?.instance ?? null
  const moves = repositories.entries.moves(tray.id)
  if (!moves.some((move) => move.kind === 'done' && move.stepId === id && move.workpiece === workpiece)) return undefined
  return refuse(
    'conflict',
    item ? `Piece ${item.instance} is through this step already.` : 'The tray is through this step already.',
    'step',
  )
}

function keptAnswer(repositories: Repositories, tray: Tray, entry: Pick<Entry, 'id' | 'token' | 'value'>): DoorAnswer {
  const finished = repositories.trays.one(tray.id)?.finishedAt !== null
  return { ok: true, body: { token: entry.token, upTo: entry.id, finished, ...(entry.value === null ? {} : { valueMm: entry.value }) } }
}

function write(repositories: Repositories, tray: Tray, sent: Sent, receivedAt: string): DoorAnswer {
  const twice = repositories.entries.byToken(sent.token)
  if (twice)
    return twice.trayId === tray.id && twice.kind === sent.kind
      ? keptAnswer(repositories, tray, twice)
      : refuse('conflict', 'another entry has this token already', 'token')
  const place = placeOf(repositories, tray, sent)
  if (!place.ok) return place.answer
  const reversed = reversedBy(repositories, tray, sent)
  if (!reversed.ok) return reversed.answer
  const reading = measuredOf(repositories, tray, sent, place.value)
  if (reading && !reading.ok) return reading.answer
  const fault = moveFault(repositories, tray, sent, place.value)
  if (fault) return fault
  const id = repositories.entries.add({
    token: sent.token,
    workshopUid: sent.workshop,
    device: sent.device,
    sequence: sent.sequence,
    trayId: tray.id,
    item: place.value.item,
    stepId: sent.step,
    kind: sent.kind,
    text: sent.text,
    part: sent.part,
    reading: reading?.value,
    at: ownTime(sent.at, sent.sentAt, receivedAt),
    startedAt: sent.startedAt && ownTime(sent.startedAt, sent.sentAt, receivedAt),
    receivedAt,
    reverses: sent.reverses,
  })
  standTray(repositories, tray, receivedAt)
  bookItems(repositories, tray, reversed.value ? reversed.value.workpiece : (place.value.item?.instance ?? null))
  return keptAnswer(repositories, tray, { id, token: sent.token, value: reading?.value.valueMm ?? null })
}

/** Keeps one entry of the bench. It is answered only when it is on disk; the same token again gives the same answer. */
export function keepEntry(repositories: Repositories, raw: unknown, receivedAt: string): DoorAnswer {
  const parsed = entrySchema.safeParse(raw, { error: plainWords })
  if (!parsed.success) {
    const issues = issuesOf(parsed.error)
    return {
      ok: false,
      body: { error: { code: 'bad-input', message: issues.map(sayIssue).join('; '), issues } },
    }
  }
  const sent = parsed.data
  if (sent.workshop !== repositories.workshopRow().uid)
    return refuse(
      'other-workshop',
      'This was made in a different workshop from the one that is open now. It waits on this device until that one is open.',
      'workshop',
    )
  return repositories.transaction(() => {
    const tray = repositories.trays.byUid(sent.tray)
    return tray ? write(repositories, tray, sent, receivedAt) : refuse('not-found', 'This tray is no longer there.', 'tray')
  })
}
