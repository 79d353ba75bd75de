import { type Kit, member } from '../kit'

export const wrappedRingTubeRivet: Kit = {
  id: 'wrapped-ring-tube-rivet',
  title: 'Wrapped ring with a tube rivet',
  parts: [
    { id: 'band', form: 'ring-wrap' },
    { id: 'tube', form: 'rivet-tube', rivet: true },
  ],
  others: [{ id: 'stone', kind: 'stone', standsC: 60 }],
  joints: [{ id: 'rivet', kind: 'rivet', members: [member('band.hole'), member('stone'), member('tube.ends')] }],
  schools: {},
  steps: `
    measure band · saw band · file band · square-ends band · sand band (gritUm 35) · bend band [S40 A] ·
    bend-on-bender band [S40 B] · measure band · drill band @overlap (fit tight) [S03 A] · fit-hole band @overlap [S03 A] ·
    drill band @overlap (fit slide) [S03 B or C] · drill-stone stone · sand band (gritUm 20) ·
    *coloured finish* band [S11 A] · square-ends tube · head-in-jig tube · trial-fit tube ·
    cut-rivet tube (preheaded, length rough) · cut-rivet tube (preheaded, length final) · insert-rivet rivet · rivet rivet ·
    *coloured finish by hand* band [S11 B] · inspect piece
  `,
}
