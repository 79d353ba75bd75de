import { closeTube } from '../hammering/close-tube'
import { curlEdge } from '../hammering/curl-edge'
import { dap } from '../hammering/dap'
import { flatten } from '../hammering/flatten'
import { forge } from '../hammering/forge'
import { formLandmark } from '../hammering/form-landmark'
import { letter } from '../hammering/letter'
import { planish } from '../hammering/planish'
import { raise } from '../hammering/raise'
import { roundUp } from '../hammering/round-up'
import { sink } from '../hammering/sink'
import { stamp } from '../hammering/stamp'
import { textureHammer } from '../hammering/texture-hammer'
import { trueUp } from '../hammering/true-up'

export const HAMMERING = [
  closeTube,
  curlEdge,
  dap,
  flatten,
  forge,
  formLandmark,
  letter,
  planish,
  raise,
  roundUp,
  sink,
  stamp,
  textureHammer,
  trueUp,
] as const
