/** Steps of the routes that forms had of their own, and what they are called on the usual routes of today; others keep their names. */
type Names = Readonly<Record<string, string>>

const BENT: Names = { file: 'square-ends', 'file.2': 'clean-seam' }
const WINDOWED: Names = { drill: 'saw', file: 'file.2', saw: 'saw', 'saw.2': 'saw.2' }
const SHELLS: Names = { file: 'match' }
const RIVET: Names = { saw: 'cut-rivet' }
const COIL: Names = { bend: 'wind-coil', saw: 'part-coil', finish: 'tumble' }
const WIRE: Names = { file: 'square-ends', bend: 'form-hook', 'true-up': 'trim-tail', finish: 'tumble' }

const NAMES: Readonly<Record<string, Names>> = {
  dome: { 'file.2': 'sand-flat' },
  bead: SHELLS,
  lentil: SHELLS,
  washer: WINDOWED,
  'back-plate': WINDOWED,
  buckle: WINDOWED,
  disc: {},
  'dome-cup': {},
  'dome-notched': { drill: 'saw.2', 'saw.2': 'saw.2' },
  'bead-row': {},
  plate: {},
  'hole-row': {},
  sectors: { 'saw.2': 'divide' },
  'die-blank': {},
  'folded-box': { file: 'file.2', bend: 'fold' },
  'fold-star': { saw: 'shear', bend: 'fold', 'saw.2': 'cut-rays' },
  'tab-setting': { bend: 'tabs-up' },
  'rivet-wire': RIVET,
  'rivet-tube': RIVET,
  'rivet-hidden': RIVET,
  'rivet-ball': {},
  'jump-rings': COIL,
  'jump-oval': { ...COIL, 'bend.2': 'squeeze-oval' },
  ball: {},
  'ear-wire': WIRE,
  hook: WIRE,
  'border-wire': {},
  'binding-wire': { bend: 'twist' },
  'strip-links': {},
}

/** What a step of a form's old route is called now; a step of the smith's own keeps its name. */
export function nameNow(form: string, id: string): string {
  const names = NAMES[form] ?? BENT
  return names[id] ?? id
}
