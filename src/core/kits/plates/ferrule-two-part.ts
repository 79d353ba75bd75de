import { type Kit, member } from '../kit'

export const ferruleTwoPart: Kit = {
  id: 'ferrule-two-part',
  title: 'Two-part ferrule',
  parts: [
    { id: 'top', form: 'ferrule-d', film: true },
    { id: 'base', form: 'plate' },
    { id: 'wire', form: 'binding-wire' },
  ],
  others: [{ id: 'original', kind: 'original' }],
  joints: [
    { id: 'left', kind: 'butt', members: [member('top.left'), member('base.face')], solder: 'hard-75', how: 'slip' },
    { id: 'right', kind: 'butt', members: [member('top.right'), member('base.face')], solder: 'hard-75', how: 'slip' },
  ],
  schools: {},
  steps: `
    measure original · peel-film top · saw base · file base · flatten base · saw top · file top · square-ends top ·
    bend top (how hand) · bend top (how mallet) · ( bend top (how correct) · measure top ·
    try-on top ) repeated: until it sits on the original · file top @height · sand-flat top+base · bind top+base ·
    solder left+right · unbind base · pickle base · test-joint left+right · true-up top · measure top ·
    saw base (what trim) · file base @trim · finish top+base · polish top+base · inspect piece
  `,
}
