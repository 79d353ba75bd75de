import { type Kit, member } from '../kit'

export const stampedDisc: Kit = {
  id: 'stamped-disc',
  title: 'Stamped disc on a chain',
  parts: [
    { id: 'disc', form: 'disc' },
    { id: 'ring', form: 'jump-rings' },
  ],
  others: [{ id: 'chain', kind: 'bought-chain' }],
  joints: [
    { id: 'hung', kind: 'link', members: [member('ring.inside'), member('disc.hole')] },
    { id: 'on-chain', kind: 'link', members: [member('chain'), member('ring.inside')] },
  ],
  schools: {},
  steps: `
    saw disc [S37 A] · cut-disc disc [S37 B] · cut-by-die disc [S37 C] · trim-tab disc [S37 C] · file disc ·
    stamp disc @figure · flatten disc · mark disc @ring (how scribe) · drill disc @ring [S39 A] ·
    punch-hole disc @ring [S39 B] · *coloured finish* disc · wind-coil ring · part-coil ring · hang hung+on-chain ·
    inspect piece
  `,
}
