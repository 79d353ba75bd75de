import type { Assembly, AssemblyJoint, AssemblyOther, AssemblyPart } from '../assembly/assembly'
import { schoolsWith } from '../assembly/schools'
import { ALLOYS, type AlloyId } from '../metals/alloys'
import { SOLDER_IDS, SOLDERS } from '../metals/solders'
import { member } from './kit'
import { writtenRoute } from './notation'

/** The usual route of forms that are made alike: the part, what it goes on, its own joint, and the steps as `writtenRoute` reads them. */
interface FormRoute {
  readonly forms: readonly string[]
  /** Parts beside `part`. */
  readonly parts?: readonly AssemblyPart[]
  readonly others?: readonly AssemblyOther[]
  readonly joints?: readonly AssemblyJoint[]
  readonly rivet?: true
  readonly set?: true
  readonly steps: string
}

const SEAM: AssemblyJoint = { id: 'seam', kind: 'seam', members: [member('part.seam')], solder: 'hard-75' }
const STONE: AssemblyOther = { id: 'stone', kind: 'stone' }
const STACK: Pick<FormRoute, 'parts' | 'joints' | 'rivet'> = {
  parts: [{ id: 'upper' }, { id: 'lower' }],
  joints: [{ id: 'joint', kind: 'rivet', members: [member('upper.hole'), member('lower.hole'), member('part.ends')] }],
  rivet: true,
}

const BENT_SHUT = `
  measure part · saw part [S18 A] · square-ends part [S18 A] · anneal part · pickle part [S15 A] · bend part [S40 A] ·
  bend-on-bender part [S40 B] · pickle part [S15 B] · saw part (what overlap) [S18 B] · square-ends part [S18 B] ·
  bend part (how correct) · solder seam · pickle part · clean-seam part [S32 B]`
const TRUED = 'true-up part · clean-seam part [S32 A] · measure part'
const CLOSED = `${BENT_SHUT} · ${TRUED}`
const DISC = 'saw part [S37 A] · cut-disc part [S37 B] · cut-by-die part [S37 C] · trim-tab part [S37 C] · file part'
const DOMED = 'dap part (hollow open, block wood) [S19 A] · dap part (hollow open, block steel) · sand-flat part'

/** The usual routes of all forms. */
export const FORM_ROUTES: readonly FormRoute[] = [
  { forms: ['ring-band'], joints: [SEAM], steps: `${BENT_SHUT} · planish part · ${TRUED} · finish part` },
  {
    forms: [
      'ring-stack',
      'ring-taper',
      'ring-wire',
      'bangle-plain',
      'tube-round',
      'cone',
      'box-tube',
      'strap-loop',
      'bezel',
      'bezel-gallery',
    ],
    joints: [SEAM],
    steps: `${CLOSED} · finish part`,
  },
  { forms: ['bangle-oval', 'tube-oval'], joints: [SEAM], steps: `${CLOSED} · bend part (to oval) · measure part · finish part` },
  {
    forms: ['ring-resize'],
    joints: [SEAM],
    steps: `
      measure part · saw part (what overlap) · square-ends part · anneal part · pickle part · bend part · solder seam · pickle part ·
      clean-seam part [S32 B] · true-up part · clean-seam part [S32 A] · measure part · finish part`,
  },
  {
    forms: ['bangle-hollow'],
    joints: [SEAM],
    steps: `
      measure part · saw part · square-ends part · anneal part · pickle part · bend part · solder seam · pickle part ·
      clean-seam part [S32 B] · round-up part (where middle) · curl-edge part · anneal part · pickle part · close-tube part ·
      true-up part · clean-seam part [S32 A] · measure part · finish part`,
  },
  {
    forms: ['ring-wrap', 'cuff', 'bail', 'bent-bar'],
    steps: 'measure part · saw part · square-ends part · anneal part · pickle part · bend part · true-up part · finish part',
  },
  {
    forms: ['ear-wire', 'hook'],
    steps: `
      saw part · square-ends part · anneal part · pickle part · form-hook part · planish part (spring) [S10 B] · trim-tail part ·
      smooth-ends part · tumble part`,
  },
  {
    forms: ['plate'],
    steps: `
      saw part @window (what window) · file part @window · saw part · file part · drill part @holes [S39 A] ·
      punch-hole part @holes [S39 B] · finish part`,
  },
  {
    forms: ['disc', 'hole-row'],
    steps: 'saw part · file part · drill part @holes [S39 A] · punch-hole part @holes [S39 B] · finish part',
  },
  { forms: ['applied-shape'], steps: 'saw part · file part · bend part · finish part' },
  {
    forms: ['wire-tongue'],
    steps: 'saw part · square-ends part · bend part · planish part (spring) [S10 B] · smooth-ends part · tumble part',
  },
  {
    forms: ['mask-blank'],
    steps: `
      mark part (how scribe) · saw part · saw part @eye-left (what window) · saw part @eye-right (what window) · file part ·
      file part @eye-left · file part @eye-right · chamfer part · ( anneal part · pickle part · form-landmark part · try-on part )
      repeated: until it fits · finish part`,
  },
  {
    forms: ['buckle'],
    steps: `
      saw part @window (what window) · file part @window · saw part · file part · anneal part · pickle part · bend part · finish part`,
  },
  {
    forms: ['washer', 'back-plate'],
    steps: 'saw part @window (what window) · file part @window · saw part · file part · finish part',
  },
  {
    forms: ['sectors'],
    parts: [{ id: 'parts' }],
    steps:
      'mark part (how scribe) · drill part @holes [S39 A] · punch-hole part @holes [S39 B] · divide part (into parts) · file parts @cuts · finish parts',
  },
  {
    forms: ['die-blank'],
    steps:
      'saw part (what rough) · deburr part · fuse-dust part · anneal part · pickle part · press-die part · saw part · file part · finish part',
  },
  { forms: ['dome', 'dome-cup'], steps: `${DISC} · anneal part · pickle part · ${DOMED} · finish part` },
  {
    forms: ['dome-notched'],
    steps: `
      saw part · saw part @window (what window) · file part · file part @window · anneal part · pickle part · ${DOMED} · finish part`,
  },
  {
    forms: ['bead', 'lentil'],
    set: true,
    joints: [{ id: 'rims', kind: 'butt', members: [member('part.rim'), member('part.rim')], solder: 'hard-75' }],
    steps: `
      ${DISC} · drill part · anneal part · pickle part · ${DOMED} · match part · solder rims · pickle part · test-joint rims · finish part`,
  },
  {
    forms: ['bead-row'],
    set: true,
    parts: [{ id: 'back' }],
    joints: [{ id: 'row', kind: 'row', members: [member('part.base'), member('back.face')], solder: 'easy-65' }],
    steps: `
      sand-flat part · match part · solder row · pickle back · test-joint row · saw back (what around) · file back @around · finish back`,
  },
  {
    forms: ['ferrule-d'],
    parts: [{ id: 'base' }],
    joints: [{ id: 'sides', kind: 'butt', members: [member('part.sides'), member('base.face')], solder: 'hard-75' }],
    steps: `
      saw part+base · file base · square-ends part · anneal part · pickle part · bend part · try-on part · bind part+base ·
      solder sides · unbind part · pickle part · test-joint sides · true-up part · saw base (what trim) · file base @trim · finish part`,
  },
  {
    forms: ['tab-setting'],
    others: [STONE],
    joints: [{ id: 'tabs', kind: 'tabs', members: [member('part.tabs'), member('stone')] }],
    steps: 'measure stone · saw part · file part · flatten part · finish part · tabs-up part · set-stone tabs (by tabs)',
  },
  {
    forms: ['rivet-wire', 'rivet-tube'],
    ...STACK,
    steps: `
      drill upper @hole · drill lower @hole · sand upper+lower (gritUm 35) · cut-rivet part · insert-rivet joint · rivet joint`,
  },
  {
    forms: ['rivet-hidden'],
    ...STACK,
    steps: `
      drill upper+lower @hole · drill upper+lower @seat (for seat) · sand upper+lower (gritUm 35) · cut-rivet part ·
      insert-rivet joint · rivet joint · file joint @head`,
  },
  {
    forms: ['rivet-ball'],
    ...STACK,
    steps: `
      saw part · square-ends part · melt part · pickle part · drill upper+lower @hole · sand upper+lower (gritUm 35) · cut-rivet part ·
      insert-rivet joint · rivet joint`,
  },
  { forms: ['jump-rings'], steps: 'anneal part · pickle part · wind-coil part · part-coil part · tumble part' },
  {
    forms: ['jump-oval'],
    joints: [{ ...SEAM, coil: true }],
    steps: `
      anneal part · pickle part · wind-coil part · part-coil part · solder seam [S25 A] · fuse seam [S25 B] · pickle part [S25 A or B] ·
      squeeze-oval part (seam long) · tumble part`,
  },
  { forms: ['ball'], set: true, steps: 'saw part (what rough) · melt part · pickle part · match part · tumble part' },
  {
    forms: ['border-wire'],
    steps: `
      anneal part · pickle part · roll part · measure part · saw part · square-ends part · anneal part · pickle part · bend part ·
      finish part`,
  },
  { forms: ['binding-wire'], steps: 'saw part (what rough) · twist part' },
  {
    forms: ['strip-links'],
    parts: [{ id: 'links' }],
    steps: `
      saw part (what rough) · file part @rough · measure part · divide part (into links) · deburr links · curl-link links @first-end ·
      curl-link links @second-end`,
  },
  {
    forms: ['folded-box'],
    joints: [{ id: 'corners', kind: 'butt', members: [member('part.walls'), member('part.walls')], solder: 'hard-75' }],
    steps: `
      saw part · file part · file part @grooves · anneal part · pickle part · fold part · solder corners · pickle part ·
      test-joint corners · finish part`,
  },
  {
    forms: ['fold-star'],
    steps: `
      shear part · file part · mark part @creases (how scribe) · anneal part · pickle part · fold part · collapse part ·
      straighten part · cut-rays part · deburr part · twist part · open-layers part`,
  },
]

/** The usual solder of a joint, or the first below it that flows before the metal begins to melt; unchanged where none does. */
function withUsualSolder(joint: AssemblyJoint, alloy: AlloyId | undefined): AssemblyJoint {
  if (!joint.solder || !alloy) return joint
  const { family, liquidusC } = SOLDERS[joint.solder]
  const lower = SOLDER_IDS.find((id) => {
    const other = SOLDERS[id]
    return other.family === family && other.liquidusC <= liquidusC && other.liquidusC < ALLOYS[alloy].solidusC
  })
  return lower ? { ...joint, solder: lower } : joint
}

/** The usual route of a form as an assembly of one part, with what it goes on; undefined for a form that has none. */
export function formAssembly(
  form: string,
  chosen: Readonly<Record<string, string>> = {},
  own: Partial<AssemblyPart> = {},
): Assembly | undefined {
  const route = FORM_ROUTES.find(({ forms }) => forms.includes(form))
  if (!route) return undefined
  const schools = schoolsWith(chosen)
  const part: AssemblyPart = { id: 'part', form, ...own, ...(route.rivet ? { rivet: true } : {}), ...(route.set ? { set: true } : {}) }
  return {
    parts: [part, ...(route.parts ?? [])],
    others: route.others ?? [],
    joints: (route.joints ?? []).map((joint) => withUsualSolder(joint, own.alloy)),
    schools,
    steps: writtenRoute(route.steps, schools),
  }
}
