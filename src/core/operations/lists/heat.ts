import { ageHarden } from '../heat/age-harden'
import { anneal } from '../heat/anneal'
import { cool } from '../heat/cool'
import { coolSlowly } from '../heat/cool-slowly'
import { fuse } from '../heat/fuse'
import { fuseDust } from '../heat/fuse-dust'
import { heatColour } from '../heat/heat-colour'
import { melt } from '../heat/melt'
import { meltSolderOn } from '../heat/melt-solder-on'
import { quench } from '../heat/quench'
import { solder } from '../heat/solder'
import { sprinkleDust } from '../heat/sprinkle-dust'
import { stressRelief } from '../heat/stress-relief'
import { warm } from '../heat/warm'

export const HEAT = [
  ageHarden,
  anneal,
  coolSlowly,
  cool,
  fuseDust,
  fuse,
  heatColour,
  meltSolderOn,
  melt,
  quench,
  solder,
  sprinkleDust,
  stressRelief,
  warm,
] as const
