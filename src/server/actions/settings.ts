'use server'
import { revalidatePath } from 'next/cache'
import { FIGURES } from '@/core/tables'
import { formatPlain } from '@/core/units'
import { currentWorkshop, switchWorkshop, WORKSHOPS, type WorkshopName } from '../db/connection'
import { settingsSchema } from '../db/repositories'
import { forgetDevices } from '../lan/pairing'
import { makeBackup, restoreBackup } from '../services/backups'
import { workshop } from '../workshop'
import { type ActionResult, readAction, refuse } from './result'

export async function saveSettings(raw: unknown): Promise<ActionResult> {
  const { settings } = workshop()
  const read = readAction(settingsSchema, { ...settings.read(), ...(raw && typeof raw === 'object' ? raw : {}) })
  if (!read.ok) return read
  settings.write(read.data)
  revalidatePath('/', 'layout')
  return { ok: true }
}

/** Keeps a figure of one's own beside a preset of the bench; empty goes back to the preset. */
export async function keepFigure(id: string, typed: string): Promise<ActionResult> {
  const known = FIGURES[id]
  if (!known) return refuse('This figure is not among those that can be changed.')
  const { settings } = workshop()
  const { [id]: _, ...others } = settings.read().figures
  if (typed.trim() === '') settings.write({ figures: others })
  else {
    const value = Number(typed.trim().replace(',', '.').replace('−', '-'))
    if (!Number.isFinite(value) || value < known.minimum || value > known.maximum)
      return refuse(
        `${known.title}: "${typed}" was given; possible is ${formatPlain(known.minimum, 3)} to ${formatPlain(known.maximum, 3)} ${known.unit}`,
      )
    settings.write({ figures: { ...others, [id]: value } })
  }
  revalidatePath('/', 'layout')
  return { ok: true }
}

/** Opens the demonstration or the own workshop; the own one is made if it is not there yet. */
export async function openWorkshop(name: string): Promise<ActionResult<{ name: WorkshopName }>> {
  const known = WORKSHOPS.find((workshopName) => workshopName === name)
  if (!known) return refuse(`There is no workshop "${name}".`)
  if (known !== currentWorkshop()) switchWorkshop(known)
  revalidatePath('/', 'layout')
  return { ok: true, name: known }
}

export async function backUpNow(): Promise<ActionResult<{ file: string }>> {
  const file = makeBackup()
  revalidatePath('/settings')
  return { ok: true, file }
}

/** Shuts out every paired device; each must be paired anew, this one too. */
export async function unpairAll(): Promise<ActionResult> {
  forgetDevices()
  return { ok: true }
}

/** Puts a backup in place of the open database; the present one is backed up first. */
export async function restore(file: string): Promise<ActionResult<{ keptAs: string }>> {
  const result = restoreBackup(file)
  if (!result.ok) return refuse(result.message)
  revalidatePath('/', 'layout')
  return result
}
