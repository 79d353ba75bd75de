import type { Assembly, AssemblyJoint, AssemblyOther, AssemblyPart, AssemblyStep } from '../assembly/assembly'
import { schoolsWith } from '../assembly/schools'
import { writtenRoute } from '../kits/notation'

/** A route that breaks one rule, and one that keeps it, on a small assembly. `!` before an operation: it stands alone, without what it includes. */
export interface RuleCase {
  readonly rule: string
  readonly under?: readonly string[]
  readonly parts?: readonly AssemblyPart[]
  readonly others?: readonly AssemblyOther[]
  readonly joints?: readonly AssemblyJoint[]
  readonly schools?: Readonly<Record<string, string>>
  readonly broken: string
  readonly kept: string
  /** Sub-steps of the last step, in the order of the broken route and of the kept one. */
  readonly split?: readonly [broken: readonly string[], kept: readonly string[]]
}

const joint = (id: string, kind: AssemblyJoint['kind'], members: string, more: Partial<AssemblyJoint> = {}): AssemblyJoint => ({
  id,
  kind,
  members: members.split(' ').map((thing) => ({ thing })),
  ...more,
})
const hard: AssemblyPart = { id: 'a', bought: 'hard' }
const stone: AssemblyOther = { id: 'stone', kind: 'stone' }
const lap = joint('j', 'lap', 'a b')
const rivet = joint('j', 'rivet', 'a b r')
const seam = joint('s', 'seam', 'a')
const set = joint('j', 'bezel', 'a stone')
const SHUT = 'square-ends a · solder s · pickle a'

/** An assembly of small parts a, b, c and a rivet r, unless a case names its own. */
export function assemblyFor(of: RuleCase, text: string, split?: readonly string[]): Assembly {
  const schools = schoolsWith(of.schools ?? {})
  const alone = new Set(text.split('·').flatMap((token, i) => (token.trim().startsWith('!') ? [i] : [])))
  const steps = writtenRoute(text.replaceAll('!', ''), schools)
  const last = steps.length - 1
  return {
    parts: of.parts ?? [{ id: 'a' }, { id: 'b' }, { id: 'c' }, { id: 'r', rivet: true }],
    others: of.others ?? [],
    joints: of.joints ?? [],
    schools,
    steps: steps.map(
      (step, i): AssemblyStep => ({ ...step, ...(alone.has(i) ? { unfolded: true } : {}), ...(split && i === last ? { split } : {}) }),
    ),
  }
}

/** One case for each rule, in the order of the table. */
export const RULE_CASES: readonly RuleCase[] = [
  { rule: 'P01', joints: [rivet], broken: 'rivet j · anneal a', kept: 'anneal a · pickle a · rivet j' },
  { rule: 'P02', others: [stone], joints: [set], broken: 'place-stone j · anneal a', kept: 'anneal a · pickle a · place-stone j' },
  { rule: 'P03', broken: 'patina-dip a · anneal a', kept: 'anneal a · pickle a · patina-dip a' },
  {
    rule: 'P04',
    under: ['P03'],
    joints: [{ ...lap, role: 'fitting' }],
    broken: 'patina-dip b · solder j',
    kept: 'solder j · pickle a · patina-dip b',
  },
  {
    rule: 'P05',
    under: ['P02'],
    others: [stone],
    joints: [set, joint('k', 'point', 'b a', { role: 'bail' })],
    broken: 'place-stone j · solder k',
    kept: 'solder k · pickle a · test-joint k · place-stone j',
  },
  {
    rule: 'P06',
    joints: [joint('j', 'lap', 'a b', { solder: 'easy-65' }), joint('k', 'lap', 'c b', { solder: 'hard-75' })],
    broken: 'solder j · pickle a · solder k',
    kept: 'solder k · pickle c · solder j',
  },
  {
    rule: 'P07',
    under: ['P06'],
    joints: [joint('j', 'row', 'a b', { solder: 'easy-65', role: 'group' }), joint('k', 'lap', 'a c', { solder: 'hard-75' })],
    broken: 'solder j · pickle a · solder k',
    kept: 'solder k · pickle c · solder j',
  },
  {
    rule: 'P08',
    under: ['P06'],
    joints: [{ ...seam, solder: 'easy-65', role: 'ring-seam' }, joint('k', 'point', 'b a', { solder: 'hard-75', role: 'applied' })],
    broken: `${SHUT} · solder k`,
    kept: 'square-ends a · solder k · pickle a · solder s',
  },
  {
    rule: 'P09',
    under: ['P06'],
    joints: [{ ...seam, solder: 'easy-65', role: 'bezel-seam' }, joint('k', 'tee', 'a b', { solder: 'hard-75', role: 'bezel-to-plate' })],
    broken: `${SHUT} · solder k`,
    kept: 'square-ends a · solder k · pickle a · solder s',
  },
  { rule: 'P10', joints: [lap], broken: 'saw a · solder j', kept: 'saw a · deburr a · solder j' },
  {
    rule: 'P11',
    parts: [{ id: 'a', form: 'bezel' }, { id: 'b' }],
    joints: [joint('j', 'tee', 'a b', { role: 'bezel-to-plate' })],
    broken: 'solder j',
    kept: 'fit-stone a · solder j',
  },
  { rule: 'P12', joints: [lap], broken: 'solder j · pickle a · saw a', kept: 'solder j · pickle a · test-joint j · saw a' },
  { rule: 'P13', parts: [{ id: 'a', set: true }, { id: 'b' }], joints: [lap], broken: 'solder j', kept: 'match a · solder j' },
  { rule: 'P14', broken: 'bind a · pickle a', kept: 'bind a · unbind a · pickle a' },
  {
    rule: 'P15',
    joints: [{ ...lap, how: 'sweat' }],
    broken: 'solder j',
    kept: 'melt-solder-on j · pickle a · solder j',
  },
  {
    rule: 'P16',
    others: [{ id: 'jig', kind: 'jig' }],
    joints: [joint('j', 'row', 'a b', { jig: 'jig' })],
    broken: 'sand-flat a+b · arrange j',
    kept: 'sand-flat a+b · paint-barrier jig · arrange j',
  },
  { rule: 'P17', broken: 'spray-flux a', kept: 'warm a · spray-flux a' },
  {
    rule: 'P18',
    joints: [lap],
    broken: 'saw b (what around) · deburr b · solder j',
    kept: 'solder j · pickle a · test-joint j · saw b (what around)',
  },
  { rule: 'P20', parts: [hard], broken: 'press-die a', kept: 'anneal a · pickle a · press-die a' },
  { rule: 'P21', parts: [hard], broken: 'bend a', kept: 'anneal a · pickle a · bend a' },
  { rule: 'P22', parts: [hard], broken: 'raise a', kept: 'anneal a · pickle a · raise a' },
  { rule: 'P23', parts: [hard], broken: 'close-tube a', kept: 'anneal a · pickle a · close-tube a' },
  { rule: 'P24', broken: 'soak a · mark a (how ink)', kept: 'soak a · dry a · mark a (how ink)' },
  { rule: 'P25', broken: 'curl-edge a', kept: 'round-up a (where middle) · curl-edge a' },
  {
    rule: 'P26',
    broken: 'round-up a (where middle) · curl-edge a',
    kept: 'round-up a (where middle) · curl-edge a',
    split: [
      ['strike-edge', 'strike-between', 'strike-centre'],
      ['strike-centre', 'strike-between', 'strike-edge'],
    ],
  },
  { rule: 'P27', joints: [seam], broken: 'true-up a', kept: `${SHUT} · true-up a` },
  { rule: 'P28', joints: [seam], broken: `${SHUT} · clean-seam a`, kept: `${SHUT} · true-up a · clean-seam a` },
  { rule: 'P29', joints: [seam], broken: `${SHUT} · texture-hammer a`, kept: `${SHUT} · true-up a · texture-hammer a` },
  { rule: 'P30', under: ['P103'], broken: 'anneal a · planish a', kept: 'anneal a · pickle a · planish a' },
  { rule: 'P31', broken: '!anneal a · scrub a · bend a', kept: '!anneal a · scrub a · cool a · bend a' },
  { rule: 'P32', broken: 'dap a (hollowMm 20) · dap a (hollowMm 25)', kept: 'dap a (hollowMm 25) · dap a (hollowMm 20)' },
  { rule: 'P33', broken: 'smooth-ends a · planish a', kept: 'planish a · smooth-ends a' },
  { rule: 'P34', broken: 'form-landmark a · form-landmark a', kept: 'form-landmark a · try-on a · form-landmark a' },
  { rule: 'P40', broken: 'saw a · roll a (pattern)', kept: 'roll a (pattern) · measure a · saw a' },
  { rule: 'P41', broken: 'texture-abrasive a · dap a', kept: 'dap a · texture-abrasive a' },
  {
    rule: 'P42',
    parts: [{ id: 'a' }, { id: 'b' }],
    broken: 'roll a · divide a (into b)',
    kept: 'roll a · measure a · divide a (into b)',
  },
  { rule: 'P43', broken: 'bend-on-bender a', kept: 'saw a · bend-on-bender a' },
  { rule: 'P44', joints: [seam], broken: 'bend a', kept: 'square-ends a · bend a' },
  { rule: 'P45', broken: 'press-die a · fuse-dust a', kept: 'fuse-dust a · pickle a · press-die a' },
  { rule: 'P46', broken: '!drill a', kept: 'drill a' },
  { rule: 'P47', broken: 'dap a · drill a', kept: 'drill a · dap a' },
  { rule: 'P48', broken: 'drill a · stamp a', kept: 'stamp a · drill a' },
  { rule: 'P49', broken: 'stamp a · wrap-up a', kept: 'stamp a · flatten a · wrap-up a' },
  { rule: 'P50', broken: 'tabs-up a · drill a', kept: 'drill a · tabs-up a' },
  {
    rule: 'P51',
    others: [stone],
    joints: [joint('j', 'tabs', 'a stone')],
    broken: 'place-stone j',
    kept: 'tabs-up a · place-stone j',
  },
  { rule: 'P52', broken: '!punch-hole a', kept: 'punch-hole a' },
  {
    rule: 'P53',
    broken: 'glue-template a · wait a (min 40) · remove-template a',
    kept: 'glue-template a · wait a (min 10) · remove-template a',
  },
  { rule: 'P54', broken: 'mark a (how ink) · saw a', kept: 'mark a (how ink) · tape-ink a · saw a' },
  { rule: 'P55', broken: '!saw a @eye (what window)', kept: 'saw a @eye (what window)' },
  {
    rule: 'P56',
    under: ['P40'],
    broken: 'round-up a (where middle) · curl-edge a · stamp a (face inside)',
    kept: 'stamp a (face inside) · flatten a · round-up a (where middle) · curl-edge a',
  },
  { rule: 'P57', broken: 'file a · saw a', kept: 'saw a · file a' },
  {
    rule: 'P58',
    broken: 'squeeze-oval a (seam long)',
    kept: 'square-ends a · fuse s · pickle a · squeeze-oval a (seam long)',
    joints: [seam],
  },
  {
    rule: 'P59',
    parts: [{ id: 'a', form: 'jump-oval' }, { id: 'b' }],
    joints: [seam, joint('j', 'link', 'a b')],
    broken: `${SHUT} · squeeze-oval a (seam short) · close-link j`,
    kept: `${SHUT} · squeeze-oval a (seam long) · close-link j`,
  },
  { rule: 'P60', broken: 'trim-tail a · form-hook a', kept: 'form-hook a · trim-tail a' },
  {
    rule: 'P61',
    parts: [{ id: 'a', form: 'fold-star' }],
    broken: 'cut-rays a',
    kept: 'fold a · collapse a · straighten a · cut-rays a',
  },
  { rule: 'P62', broken: 'open-layers a · drill a', kept: 'drill a · open-layers a' },
  { rule: 'P63', joints: [joint('j', 'hook', 'a b')], broken: 'fit-tongue j · polish b', kept: 'polish b · fit-tongue j' },
  {
    rule: 'P64',
    others: [{ id: 'strap', kind: 'leather' }],
    joints: [joint('j', 'stitch', 'strap a')],
    broken: 'stitch j · skive strap',
    kept: 'skive strap · stitch j',
  },
  { rule: 'P70', joints: [rivet], broken: 'rivet j · sand a', kept: 'sand a · rivet j' },
  { rule: 'P71', joints: [rivet], broken: 'rivet j · stamp a', kept: 'stamp a · flatten a · rivet j' },
  { rule: 'P72', joints: [joint('j', 'press', 'a b')], broken: 'saw a · stack j', kept: 'saw a · deburr a · stack j' },
  { rule: 'P73', broken: 'drill a (fit loose) · fit-hole a', kept: 'drill a (fit tight) · fit-hole a' },
  {
    rule: 'P74',
    joints: [joint('j', 'press', 'a b')],
    broken: 'stack j · unstack j',
    kept: 'stack j · mark-orientation j · unstack j',
  },
  { rule: 'P75', broken: 'transfer-holes b (from a)', kept: 'drill a · transfer-holes b (from a)' },
  { rule: 'P76', joints: [rivet], broken: 'insert-rivet j', kept: 'square-ends r · insert-rivet j' },
  {
    rule: 'P77',
    others: [stone],
    joints: [joint('j', 'rivet', 'a stone r')],
    broken: 'square-ends r · insert-rivet j',
    kept: 'square-ends r · drill-stone stone · insert-rivet j',
  },
  {
    rule: 'P78',
    broken: 'cut-rivet r (preheaded)',
    kept: 'head-in-jig r · trial-fit r · cut-rivet r (preheaded)',
  },
  {
    rule: 'P79',
    joints: [rivet],
    broken: 'rivet j',
    kept: 'rivet j',
    split: [
      ['light-blows', 'full-heading', 'turn-over', 'light-other-side'],
      ['light-blows', 'turn-over', 'light-other-side', 'full-heading'],
    ],
  },
  {
    rule: 'P80',
    joints: [rivet],
    broken: 'rivet j',
    kept: 'rivet j',
    split: [
      ['peen-crosswise', 'peen-one-way', 'flat-face'],
      ['peen-one-way', 'peen-crosswise', 'flat-face'],
    ],
  },
  {
    rule: 'P81',
    others: [stone],
    joints: [set],
    broken: 'set-stone j',
    kept: 'set-stone j',
    split: [
      ['take-out', 'trial-fit-with-thread', 'final-fit'],
      ['trial-fit-with-thread', 'take-out', 'final-fit'],
    ],
  },
  {
    rule: 'P82',
    others: [stone],
    joints: [set],
    broken: 'set-stone j (hold pitch)',
    kept: 'embed-in-pitch a · set-stone j (hold pitch)',
  },
  {
    rule: 'P83',
    others: [stone],
    joints: [set],
    broken: 'set-stone j',
    kept: 'set-stone j',
    split: [
      ['between-them', 'opposite-pairs', 'last-tightening'],
      ['opposite-pairs', 'between-them', 'last-tightening'],
    ],
  },
  {
    rule: 'P84',
    others: [stone],
    joints: [set],
    broken: 'glue j · set-stone j',
    kept: 'glue j · wait j (min 20) · set-stone j',
  },
  { rule: 'P90', broken: 'polish a · patina-dip a', kept: 'polish a · degrease a · patina-dip a' },
  { rule: 'P91', broken: 'transfer-resist a', kept: 'sand a (gritUm 30) · transfer-resist a' },
  { rule: 'P92', broken: 'tape-back a · seal-edges a', kept: 'seal-edges a · tape-back a' },
  { rule: 'P93', broken: 'soak a · rub-paper a', kept: 'soak a · wait a (min 5) · rub-paper a' },
  {
    rule: 'P94',
    others: [{ id: 'bath', kind: 'bath' }],
    broken: 'prepare-bath bath · etch a (bath bath)',
    kept: 'prepare-bath bath · etch a (bath bath)',
    split: [
      ['hang-in-bath', 'leave-running', 'check-clearance', 'check-contact', 'both-indicators'],
      ['hang-in-bath', 'check-clearance', 'check-contact', 'both-indicators', 'leave-running'],
    ],
  },
  { rule: 'P95', broken: '!patina-dip a · dry a · wax a', kept: 'patina-dip a · dry a · wax a' },
  { rule: 'P96', broken: 'relieve a', kept: 'patina-dip a · relieve a' },
  { rule: 'P97', broken: 'patina-spray a · dry a', kept: 'patina-spray a · neutralise a · dry a' },
  { rule: 'P98', broken: 'soak a · wax a', kept: 'soak a · dry a · wax a' },
  { rule: 'P99', broken: 'sand a (gritUm 20) · sand a (gritUm 40)', kept: 'sand a (gritUm 40) · sand a (gritUm 20)' },
  { rule: 'P100', broken: 'set-aside a · polish a', kept: 'set-aside a (protected) · polish a' },
  { rule: 'P101', broken: 'patina-dip a · polish a', kept: 'polish a · degrease a · patina-dip a' },
  {
    rule: 'P102',
    joints: [joint('j', 'lap', 'a b', { role: 'extension' })],
    broken: 'drill a @row (for adjust)',
    kept: 'solder j · pickle a · drill a @row (for adjust)',
  },
  { rule: 'P103', broken: 'anneal a · saw a', kept: 'anneal a · pickle a · saw a' },
  { rule: 'P104', joints: [joint('j', 'link', 'b a')], broken: 'hang j · polish a', kept: 'polish a · hang j' },
  {
    rule: 'P105',
    others: [{ id: 'bath', kind: 'bath' }],
    broken: 'etch a (bath bath)',
    kept: 'prepare-bath bath · etch a (bath bath)',
  },
  {
    rule: 'P106',
    others: [{ id: 'bath', kind: 'bath' }],
    broken: 'strip-resist a',
    kept: 'prepare-bath bath · etch a (bath bath) · strip-resist a',
  },
  {
    rule: 'P107',
    joints: [joint('j', 'point', 'b a', { role: 'applied' })],
    broken: 'bend a · solder j',
    kept: 'bend a · bend b · solder j',
  },
  { rule: 'P108', parts: [{ id: 'a', film: true }], broken: 'bend a', kept: 'peel-film a · bend a' },
  { rule: 'P109', joints: [lap], broken: 'flux j · place-solder j', kept: 'flux j · dry-flux j · place-solder j' },
  {
    rule: 'P110',
    others: [{ id: 'hand-file', kind: 'tool' }],
    broken: 'file a (tool hand-file, clogs) · file a (tool hand-file)',
    kept: 'file a (tool hand-file, clogs) · clean-file hand-file · file a (tool hand-file)',
  },
]
