/** How a guide of marks is used, beside it where it is printed. */
export const GUIDE_WORDS =
  'Guide for marks: cut it out along the edge of the blank, stick it on so that it can be peeled off, and set each stamp with its foot on its box, over the tick.'

/** How a pattern comes on to the metal: it changes what is printed, and what is said beside it. */
export const PATTERN_METHODS = {
  glue: {
    title: 'Glued paper',
    say: 'Rubber cement for one sawing, spray glue for work that takes days. Cut round it, rub it down, saw through paper and metal; soak it off at the end.',
  },
  trace: {
    title: 'Traced through',
    say: 'Mirrored: rub soft pencil over the lines, lay it face down and trace them through on to painted or sanded metal.',
  },
  ink: {
    title: 'Ink under tape',
    say: 'Cut the templates out, draw round them with a fine marker, and put clear tape over the lines: ink rubs off under the fingers.',
  },
  scribe: {
    title: 'Scribed round a template',
    say: 'Glue the templates on card or brass, cut them to the line, lay them on the metal and scribe round them.',
  },
} as const
export type PatternMethod = keyof typeof PATTERN_METHODS
export const PATTERN_METHOD_IDS = Object.keys(PATTERN_METHODS) as readonly PatternMethod[]

/** The method by a workshop’s answer to how it marks out (S22); paper where it has none. */
export const methodOfMarking = (answer: string | undefined): PatternMethod => (answer === 'B' ? 'ink' : answer === 'C' ? 'scribe' : 'glue')

export const isPatternMethod = (word: string): word is PatternMethod => Object.hasOwn(PATTERN_METHODS, word)
