import { type Kit, member } from '../kit'

export const bezelPendantBalls: Kit = {
  id: 'bezel-pendant-balls',
  title: 'Bezel pendant with balls',
  parts: [
    { id: 'bezel', form: 'bezel' },
    { id: 'plate', form: 'back-plate' },
    { id: 'balls', form: 'ball', count: 5, set: true },
    { id: 'bail', form: 'jump-rings' },
  ],
  others: [
    { id: 'stone', kind: 'stone', standsC: 60 },
    { id: 'chain', kind: 'bought-chain' },
  ],
  joints: [
    { id: 'bezel-seam', kind: 'seam', members: [member('bezel.seam')], role: 'bezel-seam', solder: 'hard-75' },
    { id: 'foot', kind: 'tee', members: [member('bezel.foot'), member('plate.face')], role: 'bezel-to-plate', solder: 'medium-70' },
    { id: 'bail-seam', kind: 'seam', members: [member('bail.end')], role: 'jump-seam', solder: 'hard-75', coil: true },
    { id: 'beads', kind: 'point', members: [member('balls.foot'), member('plate.face')], role: 'applied', solder: 'easy-65' },
    { id: 'bail-on', kind: 'point', members: [member('bail.outside'), member('plate.face')], role: 'bail', solder: 'easy-65' },
    { id: 'set', kind: 'bezel', members: [member('bezel.lip'), member('stone')] },
    { id: 'hung', kind: 'link', members: [member('chain'), member('bail.inside')] },
  ],
  bound: { plate: { stoneLengthMm: '= bezel.stoneLengthMm', stoneWidthMm: '= bezel.stoneWidthMm' } },
  schools: {},
  steps: `
    measure stone · saw bezel · square-ends bezel · bend bezel · solder bezel-seam · pickle bezel ·
    clean-seam bezel [S32 B] · true-up bezel · clean-seam bezel [S32 A] · fit-stone bezel · sand-flat bezel · melt balls ·
    pickle balls · match balls · wind-coil bail · part-coil bail · solder bail-seam [S25 A] · fuse bail-seam [S25 B] ·
    pickle bail [S25 A or B] · flatten bail · saw plate (what rough) · file plate @rough ·
    saw plate @window (what window) [S42 A] · file plate @window [S42 A] · flatten plate · solder foot · pickle plate ·
    solder beads+bail-on · pickle plate · test-joint foot+beads+bail-on+bezel-seam · saw plate · file plate ·
    sand plate (gritUm 68) · sand plate (gritUm 35) · *coloured finish* plate [S11 A] · embed-in-pitch plate ·
    set-stone set (by bezel, hold pitch) · take-from-pitch plate · burnish bezel · degrease plate ·
    *coloured finish by hand* plate [S11 B] · hang hung · inspect piece
  `,
}
