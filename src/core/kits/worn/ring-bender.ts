import { type Kit, member } from '../kit'

export const ringBender: Kit = {
  id: 'ring-bender',
  title: 'Ring on a bender',
  parts: [{ id: 'ring', form: 'ring-band', bought: 'half-hard' }],
  others: [],
  joints: [{ id: 'seam', kind: 'seam', members: [member('ring.seam')], role: 'ring-seam', solder: 'hard-75' }],
  schools: { S05: 'B', S40: 'B' },
  steps: `
    measure ring · saw ring [S18 A] · square-ends ring [S18 A] · anneal ring · pickle ring [S15 A] ·
    bend-on-bender ring [S40 B] · bend ring [S40 A] · pickle ring [S15 B] · saw ring (what overlap) [S18 B] ·
    square-ends ring [S18 B] · bend ring · solder seam · pickle ring · clean-seam ring [S32 B] · true-up ring ·
    clean-seam ring [S32 A] · test-joint seam · finish ring · polish ring · inspect ring
  `,
}
