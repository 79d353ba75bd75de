export { type AskedOutline, askedOutlines } from './asked-outlines'
export type { AskedStep, Before } from './asked-step'
export { type BentPart, bendOf, bentParts, isBent, sprungOf, stiffnessOf } from './bent-parts'
export { cautionsOf, type TrayCaution } from './cautions'
export { addJoint, addOther, addPart, changeJoint, changeOther, changePart, removeThing } from './change-design'
export {
  ADDABLE_OPERATIONS,
  addStep,
  changeParams,
  giveReason,
  moveToThing,
  ownStepId,
  pinStep,
  unfoldStep,
  type WantedRoute,
  wantedOf,
  withRoute,
} from './change-route'
export { type Compared, type CompareRow, comparePieces, type PieceComparison } from './compare'
export { type CurledPart, curledParts, curlOf, isCurled } from './curled-parts'
export { crownFactorOf, type DappedPart, dappedParts, dapQuestion, punchForHeight } from './dapped-parts'
export { type DesignJoint, type DesignOther, type DesignPart, type JointPose, onePart, type PieceDesign } from './design'
export type { DesignStep } from './design-step'
export { applyEdits, editsBetween, isUnedited, type Misfit, NO_EDITS, type PlacedStep, type RouteEdits } from './edits'
export { type FieldLine, fieldLines } from './field-lines'
export { formRoute } from './form-route'
export { designFromKit } from './from-kit'
export { etchQuestion, etchSteps, type LoggedRun, type MarkedPart, markedParts, markSteps, marksQuestion } from './marked-parts'
export {
  annealedOfHardness,
  hardeningOfHardness,
  leastTellingPercent,
  limitOfCrack,
  softenedByEye,
  softeningOfHardness,
  workedPercent,
} from './metal-trials'
export { type NamedThings, namerOf, thingNames } from './names'
export { type PartSize, predictedTarget, sizesAlong } from './part-sizes'
export { type PartMetal, type PiecePlan, type PlannedPart, type PlanOptions, planPiece } from './plan-piece'
export { lackingOnRoute, putOnRoute } from './put-on-route'
export { metalsOf, type PartWalk, type RouteState, type RouteTemper, routeTemper, SPLIT_RULE, type Split, splitsOf } from './route-temper'
export { type StressedPart, stressedParts } from './season-cracks'
export { isShelled, type ShellPart, type ShellStage, type ShellWay, shellParts } from './shell-parts'
export { type Skipped, skipHeat, skipWords } from './skip-heat'
export { partOfCopy, type StandingPiece, standingPiece, standingViews } from './standing'
export { STIFF_RULE, type StiffStep, stiffSteps } from './stiff-steps'
export { type StrandStep, type Strands, strandsOf } from './strands'
export { subTraysOf } from './sub-trays'
export { firstSurface, type SurfacedPart, surfacedParts, surfaceQuestion, surfaceSteps } from './surfaced-parts'
export { roughOf, roughText, textureOf, thicknessFrom } from './textured-parts'
export { type HeatCard, type TorchBook, torchBook } from './torch'
export { withWork } from './with-work'
export { insertAnneal, namedThings, partOfStep, wordsOf } from './words'
export { alikeTogether, type PieceWorked, workedTo } from './worked-to'
