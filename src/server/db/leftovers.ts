import { readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { dataFolder } from '../data-folder'

/** Takes away copies that a kill left half way, when a process takes the folder. */
export function clearLeftovers(): void {
  for (const file of readdirSync(dataFolder())) if (file.includes('.incoming')) rmSync(join(dataFolder(), file), { force: true })
}
