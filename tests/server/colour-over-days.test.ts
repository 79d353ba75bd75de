import { describe, expect, it } from 'vitest'
import { putOnRoute } from '@/core/piece'
import { runNote, surfaceChoices } from '@/core/surface'
import { colourSteps } from '@/core/surface/route-steps'
import { designSchema } from '@/server/db/repositories'
import { dayQuestion } from '@/server/services/day-question'
import { keepEntry } from '@/server/services/keep-entry'
import { planDesign, planOptions } from '@/server/services/piece-plan'
import { waitingOf } from '@/server/services/tray-state'
import { addPiece, designOf, entryFor, trayOf, workThrough } from '../support/bench'
import { tempWorkshop } from '../support/temp-db'

const at = (hour: number) => new Date(Date.UTC(2027, 2, 1, hour)).toISOString()
const HOUR_S = 3600

/** A disc that is sprayed green so often, its tray worked up to the first spray. */
function sprayedTray(runs: number) {
  const { repositories: to } = tempWorkshop()
  const flat = designOf('disc', { diameterMm: 24, thicknessMm: 0.9, alloy: 'copper-c110' })
  const { patina } = surfaceChoices.parse({ patina: { agent: 'verdigris', runs } })
  if (!patina) throw new Error('no colour')
  const plan = planDesign(flat, planOptions(to))
  const design = designSchema.parse(
    putOnRoute(flat, plan, plan.parts[0]?.id ?? '', colourSteps(patina), { before: 'setting', idFor: (op) => `${op}+own` }),
  )
  const tray = trayOf(to, addPiece(to, 'Green disc', design, 3), 3)
  const step = tray.plan.steps.findIndex(({ op }) => op === 'verdigris')
  workThrough(to, tray, [1, 2, 3], step)
  const id = tray.plan.steps[step]?.id ?? ''
  const now = () => to.trays.one(tray.id) ?? tray
  const send = (hour: number, more: Readonly<Record<string, unknown>>) => {
    const entry = entryFor(to, tray, null, { step: id, at: at(hour), sentAt: at(hour), ...more })
    const answer = keepEntry(to, entry, at(hour))
    if (!answer.ok) throw new Error(answer.body.error.message)
    return entry.token
  }
  const spray = (number: number, hour: number) => send(hour, { kind: 'note', text: runNote('verdigris', number, 'patchy') })
  return { to, now, send, spray }
}

describe('what grows over days', () => {
  it('dries by the clock after each spray, on every page that tells of waits', () => {
    const { to, now, spray } = sprayedTray(4)
    expect(waitingOf(to, now())?.title).not.toBe('Verdigris')
    spray(1, 11)
    expect(waitingOf(to, now())).toEqual({ title: 'Verdigris', sinceAt: at(11), waitS: 8 * HOUR_S })
    spray(2, 20)
    expect(waitingOf(to, now())?.sinceAt).toBe(at(20))
  })
  it('is planned spray by spray from where it stands: those that are made are left out, and the next waits for the last to dry', () => {
    const { to, spray } = sprayedTray(4)
    const sprays = () => {
      const [tray] = dayQuestion(to, new Date(at(21))).input?.trays ?? []
      return { steps: tray?.steps.filter(({ op }) => op === 'verdigris') ?? [], notBefore: tray?.notBefore }
    }
    expect(sprays().steps).toHaveLength(4)
    expect(sprays().steps.every(({ waitMin }) => waitMin === 480)).toBe(true)
    spray(1, 11)
    spray(2, 20)
    expect(sprays().steps).toHaveLength(2)
    expect(sprays().notBefore).toBe(at(28))
  })
  it('waits no more once it was looked at and is done; taken back it does again', () => {
    const { to, now, send, spray } = sprayedTray(2)
    spray(1, 11)
    spray(2, 20)
    const done = send(29, { kind: 'done' })
    expect(waitingOf(to, now())).toBeNull()
    send(30, { kind: 'reversal', reverses: done })
    expect(waitingOf(to, now())?.sinceAt).toBe(at(20))
  })
})
