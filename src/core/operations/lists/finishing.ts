import { brush } from '../finishing/brush'
import { brushRinse } from '../finishing/brush-rinse'
import { buff } from '../finishing/buff'
import { finish } from '../finishing/finish'
import { interleave } from '../finishing/interleave'
import { lacquer } from '../finishing/lacquer'
import { ownStep } from '../finishing/own-step'
import { patinaDip } from '../finishing/patina-dip'
import { patinaSpray } from '../finishing/patina-spray'
import { polish } from '../finishing/polish'
import { relieve } from '../finishing/relieve'
import { setAside } from '../finishing/set-aside'
import { tumble } from '../finishing/tumble'
import { verdigris } from '../finishing/verdigris'
import { wax } from '../finishing/wax'
import { wrapUp } from '../finishing/wrap-up'

export const FINISHING = [
  brushRinse,
  brush,
  buff,
  finish,
  interleave,
  lacquer,
  ownStep,
  patinaDip,
  patinaSpray,
  polish,
  relieve,
  setAside,
  tumble,
  verdigris,
  wax,
  wrapUp,
] as const
