import { buildLongWork } from '../../scripts/bundles.mjs'

/** The thread for long work as it is in use, so that tests start the real one. */
export async function setup(): Promise<void> {
  await buildLongWork()
}
