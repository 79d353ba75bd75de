/** What tells how much blanks are in one another’s way as they stand: squares of how deep, mm². Each pushes apart what it tells of. */
export interface Feeler {
  /** How much two blanks are in each other’s way, of which the circles round them meet. */
  readonly between: (i: number, j: number) => number
  /** How far a blank is off its ground. */
  readonly offGround: (i: number) => number
}
