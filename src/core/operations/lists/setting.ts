import { burnish } from '../setting/burnish'
import { embedInPitch } from '../setting/embed-in-pitch'
import { fitStone } from '../setting/fit-stone'
import { fitTongue } from '../setting/fit-tongue'
import { glue } from '../setting/glue'
import { hang } from '../setting/hang'
import { hardenPitch } from '../setting/harden-pitch'
import { headInJig } from '../setting/head-in-jig'
import { insertRivet } from '../setting/insert-rivet'
import { placeStone } from '../setting/place-stone'
import { rivet } from '../setting/rivet'
import { setStone } from '../setting/set-stone'
import { stack } from '../setting/stack'
import { takeFromPitch } from '../setting/take-from-pitch'
import { unstack } from '../setting/unstack'
import { wrapWire } from '../setting/wrap-wire'

export const SETTING = [
  burnish,
  embedInPitch,
  fitStone,
  fitTongue,
  glue,
  hang,
  hardenPitch,
  headInJig,
  insertRivet,
  placeStone,
  rivet,
  setStone,
  stack,
  takeFromPitch,
  unstack,
  wrapWire,
] as const
