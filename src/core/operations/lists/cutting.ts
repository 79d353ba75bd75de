import { chiselOut } from '../cutting/chisel-out'
import { cutByDie } from '../cutting/cut-by-die'
import { cutDisc } from '../cutting/cut-disc'
import { cutRays } from '../cutting/cut-rays'
import { cutRivet } from '../cutting/cut-rivet'
import { dimple } from '../cutting/dimple'
import { divide } from '../cutting/divide'
import { drill } from '../cutting/drill'
import { drillStone } from '../cutting/drill-stone'
import { fitHole } from '../cutting/fit-hole'
import { partCoil } from '../cutting/part-coil'
import { punchHole } from '../cutting/punch-hole'
import { saw } from '../cutting/saw'
import { shear } from '../cutting/shear'
import { trimTab } from '../cutting/trim-tab'
import { trimTail } from '../cutting/trim-tail'

export const CUTTING = [
  chiselOut,
  cutByDie,
  cutDisc,
  cutRays,
  cutRivet,
  dimple,
  divide,
  drillStone,
  drill,
  fitHole,
  partCoil,
  punchHole,
  saw,
  shear,
  trimTab,
  trimTail,
] as const
