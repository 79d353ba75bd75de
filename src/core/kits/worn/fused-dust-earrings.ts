import { type Kit, member } from '../kit'

export const fusedDustEarrings: Kit = {
  id: 'fused-dust-earrings',
  title: 'Fused-dust earrings',
  parts: [
    { id: 'coins', form: 'die-blank', count: 2, set: true },
    { id: 'wires', form: 'ear-wire', count: 2, set: true },
  ],
  others: [],
  joints: [{ id: 'back', kind: 'point', members: [member('wires.middle'), member('coins.back')], role: 'fitting', solder: 'easy-65' }],
  schools: {},
  steps: `
    fuse-dust coins · pickle coins · inspect coins · cut-by-die coins · trim-tab coins · file coins @tab · match coins ·
    dap coins (hollow open, block wood) · sand coins (gritUm 20) · saw wires (what rough) · square-ends wires ·
    match wires · solder back · pickle coins · test-joint back · form-hook wires @front · form-hook wires @catch ·
    planish wires (spring) [S10 B] · trim-tail wires · smooth-ends wires · *coloured finish* piece · inspect piece
  `,
}
