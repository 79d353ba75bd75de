import 'server-only'
import { currentDb } from './db/connection'
import { makeRepositories } from './db/repositories'

/** The repositories of the workshop that is open now. */
export function workshop() {
  return makeRepositories(currentDb())
}
