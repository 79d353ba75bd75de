import { glueTemplate } from '../marking/glue-template'
import { inspect } from '../marking/inspect'
import { mark } from '../marking/mark'
import { markOrientation } from '../marking/mark-orientation'
import { match } from '../marking/match'
import { measure } from '../marking/measure'
import { removeTemplate } from '../marking/remove-template'
import { tapeInk } from '../marking/tape-ink'
import { transferHoles } from '../marking/transfer-holes'
import { trialFit } from '../marking/trial-fit'
import { tryMetal } from '../marking/try-metal'
import { tryOn } from '../marking/try-on'

export const MARKING = [
  glueTemplate,
  inspect,
  markOrientation,
  mark,
  match,
  measure,
  removeTemplate,
  tapeInk,
  transferHoles,
  trialFit,
  tryMetal,
  tryOn,
] as const
