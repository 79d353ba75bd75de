import { type Kit, member } from '../kit'

export const buckleDoubleD: Kit = {
  id: 'buckle-double-d',
  title: 'Double-D buckle',
  parts: [
    { id: 'frame', form: 'buckle' },
    { id: 'tongue', form: 'wire-tongue' },
  ],
  others: [{ id: 'strap', kind: 'leather', standsC: 60 }],
  joints: [
    { id: 'on-bar', kind: 'hook', members: [member('tongue.eye'), member('frame.bar')] },
    { id: 'sewn', kind: 'stitch', members: [member('strap.fold'), member('frame.bar')] },
  ],
  bound: {
    tongue: {
      tipMm: '= frame.windowMm + frame.barMm / 2 + frame.restMm',
      barMm: '= frame.barMm',
      barThickMm: '= frame.thicknessMm',
      thicknessMm: '= frame.tongueMm',
    },
  },
  schools: {},
  steps: `
    glue-template frame · mark frame (how scribe) · remove-template frame · saw frame @window-1 (what window) ·
    saw frame @window-2 (what window) · saw frame (marked) · file frame @window-1 · file frame @window-2 · file frame ·
    measure frame · sand frame (gritUm 68) · sand frame (gritUm 35) · chamfer frame @bar · bend-bar frame · polish frame ·
    saw tongue · square-ends tongue · bend tongue · planish tongue (spring) [S10 B] · smooth-ends tongue ·
    fit-tongue on-bar · skive strap · punch-slot strap · make-loop strap · stitch sewn · punch-size-holes strap ·
    inspect piece
  `,
}
