import { resolve } from 'node:path'

/** Where the databases and the list of paired devices live: one setting, shown on the Settings page. */
export function dataFolder(): string {
  return resolve(/*turbopackIgnore: true*/ process.env.FOLD_ANVIL_DATA ?? 'data')
}
