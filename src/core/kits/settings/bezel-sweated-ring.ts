import { type Kit, member } from '../kit'

export const bezelSweatedRing: Kit = {
  id: 'bezel-sweated-ring',
  title: 'Bezel with a ring sweated round it',
  parts: [
    { id: 'bezel', form: 'bezel' },
    { id: 'plate', form: 'back-plate' },
    { id: 'deco', form: 'washer' },
    { id: 'bail', form: 'jump-rings' },
  ],
  others: [{ id: 'stone', kind: 'stone', standsC: 60 }],
  joints: [
    { id: 'bezel-seam', kind: 'seam', members: [member('bezel.seam')], role: 'bezel-seam', solder: 'hard-75' },
    { id: 'deco-seam', kind: 'seam', members: [member('deco.seam')], role: 'decorative-seam', solder: 'hard-75' },
    { id: 'foot', kind: 'tee', members: [member('bezel.foot'), member('plate.face')], role: 'bezel-to-plate', solder: 'medium-70' },
    {
      id: 'over',
      kind: 'sweat',
      members: [member('deco.back'), member('plate.face')],
      role: 'ring-over-bezel',
      solder: 'easy-65',
      how: 'sweat',
    },
    { id: 'set', kind: 'bezel', members: [member('bezel.lip'), member('stone')] },
    { id: 'hung', kind: 'link', members: [member('bail.inside'), member('plate.hole')] },
  ],
  bound: { plate: { stoneLengthMm: '= bezel.stoneLengthMm', stoneWidthMm: '= bezel.stoneWidthMm' } },
  schools: {},
  steps: `
    measure stone · saw bezel · square-ends bezel · bend bezel · solder bezel-seam · pickle bezel ·
    clean-seam bezel [S32 B] · true-up bezel · clean-seam bezel [S32 A] · fit-stone bezel · sand-flat bezel ·
    saw plate (what rough) · file plate @rough · flatten plate · drill plate @hole [S39 A] ·
    punch-hole plate @hole [S39 B] · saw plate @window (what window) [S42 A] · file plate @window [S42 A] · solder foot ·
    pickle plate · test-joint foot · roll deco (pattern) · measure deco · saw deco · square-ends deco · anneal deco ·
    pickle deco · bend deco · solder deco-seam · pickle deco · clean-seam deco [S32 B] · true-up deco ·
    clean-seam deco [S32 A] · sand-flat deco · trial-fit deco · melt-solder-on over · pickle deco · solder over ·
    pickle plate · test-joint over+bezel-seam+deco-seam · saw plate · file plate · sand plate (gritUm 35) ·
    *coloured finish* plate [S11 A] · set-stone set (by bezel) · burnish bezel · *coloured finish by hand* plate [S11 B] ·
    wind-coil bail · part-coil bail · hang hung · inspect piece
  `,
}
