import { bend } from '../bending/bend'
import { bendBar } from '../bending/bend-bar'
import { bendOnBender } from '../bending/bend-on-bender'
import { closeLink } from '../bending/close-link'
import { collapse } from '../bending/collapse'
import { curlLink } from '../bending/curl-link'
import { curlLip } from '../bending/curl-lip'
import { fold } from '../bending/fold'
import { formHook } from '../bending/form-hook'
import { openLayers } from '../bending/open-layers'
import { ruffle } from '../bending/ruffle'
import { squeezeOval } from '../bending/squeeze-oval'
import { straighten } from '../bending/straighten'
import { tabsUp } from '../bending/tabs-up'
import { twist } from '../bending/twist'
import { windCoil } from '../bending/wind-coil'

export const BENDING = [
  bendBar,
  bendOnBender,
  bend,
  closeLink,
  collapse,
  curlLink,
  curlLip,
  fold,
  formHook,
  openLayers,
  ruffle,
  squeezeOval,
  straighten,
  tabsUp,
  twist,
  windCoil,
] as const
