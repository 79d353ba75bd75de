/** A question on which good smiths differ and that touches the order of work: what each answer is, and what it changes. */
export interface OrderSchool {
  readonly id: string
  readonly question: string
  readonly answers: Readonly<Record<string, string>>
  readonly usual: string
  /** What the other answers change on a route. */
  readonly changes: string
}

/** The questions that matter to the order of work (common practice, no source). */
export const ORDER_SCHOOLS: readonly OrderSchool[] = [
  {
    id: 'S03',
    question: 'Hole for a rivet or post',
    answers: { A: 'tight, then filed to fit', B: 'slides by the gauge', C: 'clearly loose, for a post' },
    usual: 'A',
    changes: 'A hole that slides or is loose is not fitted.',
  },
  {
    id: 'S05',
    question: 'Cooling after a heat',
    answers: { A: 'quenched', B: 'slowly' },
    usual: 'A',
    changes: 'An anneal ends with quenching and drying, or with slow cooling. What a quench may crack cools slowly either way.',
  },
  {
    id: 'S08',
    question: 'Placing solder',
    answers: { A: 'chips or balls laid', B: 'wire or paste fed' },
    usual: 'A',
    changes: 'Fed solder is not placed before the heat.',
  },
  {
    id: 'S10',
    question: 'When to harden',
    answers: { A: 'left soft and tumbled', B: 'planished' },
    usual: 'A',
    changes: 'Wires are planished before their ends are smoothed.',
  },
  {
    id: 'S11',
    question: 'Patina and assembly',
    answers: { A: 'before stone, tabs and rivets', B: 'after forming and assembly' },
    usual: 'A',
    changes: 'The colour comes after setting and riveting; what a stone takes still binds.',
  },
  {
    id: 'S12',
    question: 'Glue under a stone',
    answers: { A: 'a drop against the wobble', B: 'none, fitted instead' },
    usual: 'A',
    changes: 'No glue, and no wait for it.',
  },
  {
    id: 'S13',
    question: 'Rivet hammer',
    answers: { A: 'cross-peen, crosswise', B: 'ball-peen, then tilted' },
    usual: 'A',
    changes: 'The direction of the peen is not watched.',
  },
  {
    id: 'S14',
    question: 'Tumble, patina, polish',
    answers: { A: 'tumble and polish, patina, buff', B: 'patina, polish, tumble' },
    usual: 'A',
    changes: 'Polishing and tumbling may come after the colour.',
  },
  {
    id: 'S15',
    question: 'Pickle before hammering',
    answers: { A: 'yes', B: 'not at a second anneal; rounded first' },
    usual: 'A',
    changes: 'Scale under the hammer is a note; before flux and solder it stays a stop.',
  },
  {
    id: 'S16',
    question: 'Texture and forming',
    answers: { A: 'texture before forming', B: 'texture after forming' },
    usual: 'A',
    changes: 'Texture may come after cutting and forming, but what it makes grow is trued and measured again.',
  },
  {
    id: 'S18',
    question: 'Making a ring',
    answers: { A: 'calculate, cut, bend', B: 'bend, saw through the overlap' },
    usual: 'A',
    changes: 'The saw cut through the overlap squares the ends.',
  },
  {
    id: 'S19',
    question: 'Doming',
    answers: { A: 'in stages, wood then steel', B: 'one matching punch' },
    usual: 'A',
    changes: 'One doming step in place of several.',
  },
  {
    id: 'S22',
    question: 'Marking',
    answers: { A: 'a paper pattern glued on', B: 'marker under tape', C: 'scribed round a template' },
    usual: 'A',
    changes: 'What sawing begins with.',
  },
  {
    id: 'S23',
    question: 'Holes in several parts',
    answers: { A: 'one part is the template', B: 'all marked, each drilled' },
    usual: 'A',
    changes: 'Each part is marked in place of transferring the holes.',
  },
  {
    id: 'S25',
    question: 'Closing a jump ring with a seam',
    answers: { A: 'soldered', B: 'fused', C: 'left closed' },
    usual: 'A',
    changes: 'How the seam is made, or that it is not.',
  },
  {
    id: 'S32',
    question: 'Cleaning the joint',
    answers: { A: 'after rounding', B: 'before rounding' },
    usual: 'A',
    changes: 'The seam is cleaned before it is rounded.',
  },
  {
    id: 'S34',
    question: 'Edges of riveted layers',
    answers: { A: 'before riveting', B: 'left, or after' },
    usual: 'A',
    changes: 'Edges filed after riveting are a note.',
  },
  {
    id: 'S35',
    question: 'Measuring',
    answers: { A: 'with calipers', B: 'by eye' },
    usual: 'A',
    changes: 'What was not measured is a note.',
  },
  {
    id: 'S37',
    question: 'Disc blanks',
    answers: { A: 'sawn and trued', B: 'disc cutter', C: 'die, which leaves a tab' },
    usual: 'A',
    changes: 'Which steps cut the disc.',
  },
  {
    id: 'S38',
    question: 'Openings',
    answers: { A: 'drilled and sawn', B: 'chiselled, broken through, filed' },
    usual: 'A',
    changes: 'Chiselling in place of sawing the window.',
  },
  {
    id: 'S39',
    question: 'Holes in thin sheet',
    answers: { A: 'drilled', B: 'punched' },
    usual: 'A',
    changes: 'Punching in place of drilling.',
  },
  {
    id: 'S40',
    question: 'Bending rings',
    answers: { A: 'by hand', B: 'on a bender' },
    usual: 'A',
    changes: 'The bender in place of the mandrel.',
  },
  {
    id: 'S42',
    question: 'Back of the stone',
    answers: { A: 'a window', B: 'closed' },
    usual: 'A',
    changes: 'Whether a window is cut.',
  },
  {
    id: 'S44',
    question: 'Relieving a patina',
    answers: { A: 'pumice, wool, pad, brush', B: 'tumbled only' },
    usual: 'A',
    changes: 'Tumbling in place of relieving by hand.',
  },
]

const USUAL: Readonly<Record<string, string>> = Object.fromEntries(ORDER_SCHOOLS.map(({ id, usual }) => [id, usual]))

/** Every question with its answer: what was chosen, else the usual. */
export function schoolsWith(chosen: Readonly<Record<string, string>>): Readonly<Record<string, string>> {
  return { ...USUAL, ...chosen }
}
