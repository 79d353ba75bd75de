import { type Kit, member } from '../kit'

export const stackingRingsApplied: Kit = {
  id: 'stacking-rings-applied',
  title: 'Stacking rings with an applied shape',
  parts: [
    { id: 'ring', form: 'ring-stack' },
    { id: 'shape', form: 'applied-shape' },
  ],
  others: [],
  joints: [
    { id: 'seam', kind: 'seam', members: [member('ring.seam')], role: 'ring-seam', solder: 'hard-75' },
    { id: 'on-ring', kind: 'point', members: [member('shape.back'), member('ring.outside')], role: 'applied', solder: 'easy-65' },
  ],
  bound: { shape: { onMm: '= ring.insideDiameterMm + 2 * ring.thicknessMm', bandMm: '= ring.widthMm' } },
  schools: {},
  steps: `
    measure ring · texture-hammer ring [S16 A] · anneal ring [S16 A] · pickle ring [S16 A] · measure ring [S16 A] ·
    saw ring [S18 A] · square-ends ring [S18 A] · bend ring [S18 B, S40 A] · bend-on-bender ring [S18 B, S40 B] ·
    saw ring (what overlap) [S18 B] · square-ends ring [S18 B] · bend ring [S18 A, S40 A] ·
    bend-on-bender ring [S18 A, S40 B] · solder seam · pickle ring · clean-seam ring [S32 B] · true-up ring · flatten ring ·
    clean-seam ring [S32 A] · test-joint seam · texture-hammer ring [S16 B] · true-up ring [S16 B] · saw shape ·
    file shape · bend shape · solder on-ring · pickle ring · test-joint on-ring · finish ring · tumble piece ·
    polish piece · inspect piece
  `,
}
