import { type Kit, member } from '../kit'

export const domeNotchedEarrings: Kit = {
  id: 'dome-notched-earrings',
  title: 'Notched dome on a wire',
  parts: [
    { id: 'disc', form: 'dome-notched' },
    { id: 'wire', form: 'ear-wire' },
  ],
  others: [],
  joints: [{ id: 'wound', kind: 'wrap', members: [member('wire.tail'), member('disc.hole')] }],
  schools: {},
  steps: `
    saw disc [S37 A] · cut-disc disc [S37 B] · cut-by-die disc [S37 C] · trim-tab disc [S37 C] · file disc ·
    saw disc @notch (what trim) · file disc @notch · chamfer disc · drill disc @hole [S39 A] ·
    punch-hole disc @hole [S39 B] · dap disc (hollow open, block wood) [S19 A] ·
    dap disc (hollow open, block wood) [S19 A] · dap disc (hollow open, block wood) [S19 A] ·
    dap disc (hollow open, block steel) · texture-abrasive disc · curl-lip disc · saw wire (what rough) · wrap-wire wound ·
    form-hook wire · planish wire (spring) [S10 B] · trim-tail wire · smooth-ends wire · tumble piece · inspect piece
  `,
}
