import { degrease } from '../bath/degrease'
import { dry } from '../bath/dry'
import { neutralise } from '../bath/neutralise'
import { pickle } from '../bath/pickle'
import { prepareBath } from '../bath/prepare-bath'
import { rinse } from '../bath/rinse'
import { scrub } from '../bath/scrub'
import { soak } from '../bath/soak'
import { wait } from '../bath/wait'

export const BATH = [degrease, dry, neutralise, pickle, prepareBath, rinse, scrub, soak, wait] as const
