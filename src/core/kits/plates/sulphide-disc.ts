import type { Kit } from '../kit'

export const sulphideDisc: Kit = {
  id: 'sulphide-disc',
  title: 'Disc with a patina',
  parts: [{ id: 'disc', form: 'disc' }],
  others: [],
  joints: [],
  schools: {},
  steps: `
    saw disc [S37 A] · cut-disc disc [S37 B] · cut-by-die disc [S37 C] · trim-tab disc [S37 C] · file disc ·
    sand disc (gritUm 35) · sand disc (gritUm 20) · tumble disc [S14 A] · polish disc [S14 A] · degrease disc ·
    ( patina-dip disc ) repeated: about three times until it is even · relieve disc [S44 A] · tumble disc [S44 B] ·
    dry disc · polish disc [S14 B] · tumble disc [S14 B] · buff disc · wax disc · wrap-up disc
  `,
}
