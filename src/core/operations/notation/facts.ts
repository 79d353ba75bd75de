/** What is known of a workpiece beside its sizes and its temper, by axis of state. Everything starts false but what `TRUE_AT_START` names. */
export const FACTS = {
  temper: ['temper'],
  dimensions: [
    'measured',
    'cut',
    'endsSquare',
    'endFlat',
    'trued',
    'rounded',
    'grown',
    'matched',
    'formed',
    'folded',
    'collapsed',
    'straight',
    'raysCut',
    'oval',
    'seamSide',
    'curled',
    'lip',
    'tailTrimmed',
    'tab',
    'hole',
    'holeFit',
    'dimpled',
    'drilled',
    'marked',
    'stoneFits',
    'baseFlat',
    'seamClean',
    'twisted',
  ],
  surface: [
    'scaled',
    'greasy',
    'fluxed',
    'fluxWet',
    'burr',
    'edgesBruised',
    'gritUm',
    'keyed',
    'scuffed',
    'textured',
    'stamped',
    'relieved',
    'film',
    'inkBare',
    'dusted',
    'painted',
    'resist',
    'paper',
    'edgesSealed',
    'taped',
    'etched',
    'rinsed',
    'acid',
    'sulphide',
    'residue',
    'powder',
    'coloured',
    'sealed',
  ],
  flatness: ['warped'],
  openness: ['insideOpen', 'tabsUp', 'opened', 'closed', 'seamClosed', 'linked'],
  holds: ['spring', 'bound', 'held', 'headed', 'glued'],
  fit: ['fit', 'placed', 'sweated', 'looked', 'tested', 'done', 'stoneIn'],
  thing: ['hot', 'warm', 'wet', 'template', 'oriented', 'tried', 'triedFit', 'preheaded', 'arranged', 'ready', 'clogged'],
} as const

export type Axis = keyof typeof FACTS
export type Fact = (typeof FACTS)[Axis][number]
export type FactValue = boolean | number | string

/** What is true of metal as it comes from the drawer. */
export const TRUE_AT_START: readonly Fact[] = ['measured', 'insideOpen', 'tried', 'straight']

const AXIS_OF: ReadonlyMap<string, Axis> = new Map(
  Object.entries(FACTS).flatMap(([axis, names]) => names.map((name) => [name, axis as Axis] as const)),
)

/** Whether a word names a fact. */
export function isFact(word: string): word is Fact {
  return AXIS_OF.has(word)
}

/** The axis of state a fact belongs to. */
export function axisOf(fact: Fact): Axis {
  return AXIS_OF.get(fact) ?? 'thing'
}
