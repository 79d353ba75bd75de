import { type Kit, member } from '../kit'

export const rivetedStack: Kit = {
  id: 'riveted-stack',
  title: 'Riveted stack',
  parts: [
    { id: 'upper', form: 'plate' },
    { id: 'lower', form: 'plate' },
    { id: 'wires', form: 'rivet-wire', rivet: true },
    { id: 'hidden', form: 'rivet-hidden', rivet: true },
  ],
  others: [],
  joints: [
    { id: 'stack', kind: 'press', members: [member('upper.back'), member('lower.face')] },
    { id: 'shown', kind: 'rivet', members: [member('upper.holes'), member('lower.holes'), member('wires.ends')] },
    { id: 'flush', kind: 'rivet', members: [member('upper.seats'), member('lower.seats'), member('hidden.ends')] },
  ],
  bound: {
    lower: { lengthMm: '= upper.lengthMm', widthMm: '= upper.widthMm' },
    wires: { upperMm: '= upper.thicknessMm', lowerMm: '= lower.thicknessMm', holeMm: '= upper.holeMm' },
    hidden: { upperMm: '= upper.thicknessMm', lowerMm: '= lower.thicknessMm' },
  },
  schools: {},
  steps: `
    saw upper+lower · file upper+lower · sand upper+lower (gritUm 35) · drill upper @holes (fit tight) [S03 A] ·
    drill upper @holes (fit slide) [S03 B or C] · transfer-holes lower @holes (from upper) [S23 A] ·
    mark lower @holes [S23 B] · drill lower @holes (fit tight) [S03 A] · drill lower @holes (fit slide) [S03 B or C] ·
    fit-hole upper+lower @holes [S03 A] · drill upper+lower @seats (for seat, fit tight) · deburr upper+lower ·
    stack stack · mark-orientation stack · unstack stack · sand upper+lower (gritUm 20) ·
    *coloured finish* upper+lower [S11 A] · cut-rivet wires+hidden · stack stack · insert-rivet shown+flush · rivet flush ·
    rivet shown · file flush @head · *coloured finish* upper [S11 B] · inspect piece
  `,
}
