import { arrange } from '../joining/arrange'
import { bind } from '../joining/bind'
import { dryFlux } from '../joining/dry-flux'
import { fitJoint } from '../joining/fit-joint'
import { flux } from '../joining/flux'
import { lookTest } from '../joining/look-test'
import { paintBarrier } from '../joining/paint-barrier'
import { placeSolder } from '../joining/place-solder'
import { sprayFlux } from '../joining/spray-flux'
import { testJoint } from '../joining/test-joint'
import { unbind } from '../joining/unbind'

export const JOINING = [arrange, bind, dryFlux, fitJoint, flux, lookTest, paintBarrier, placeSolder, sprayFlux, testJoint, unbind] as const
