'use server'
import { revalidatePath } from 'next/cache'
import { currentWorkshop, switchWorkshop, WORKSHOPS, type WorkshopName } from '../db/connection'
import { settingsSchema } from '../db/repositories'
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

/** Puts a backup in place of the open database; the present one is backed up first. */
export async function restore(file: string): Promise<ActionResult<{ keptAs: string }>> {
  const result = restoreBackup(file)
  if (!result.ok) return refuse(result.message)
  revalidatePath('/', 'layout')
  return result
}
