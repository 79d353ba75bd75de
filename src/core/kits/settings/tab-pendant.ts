import { type Kit, member } from '../kit'

export const tabPendant: Kit = {
  id: 'tab-pendant',
  title: 'Stone held by tabs',
  parts: [
    { id: 'plate', form: 'tab-setting' },
    { id: 'ring', form: 'jump-rings' },
  ],
  others: [{ id: 'stone', kind: 'stone', standsC: 60 }],
  joints: [
    { id: 'tabs', kind: 'tabs', members: [member('plate.tabs'), member('stone')] },
    { id: 'hung', kind: 'link', members: [member('ring.inside'), member('plate.hole')] },
  ],
  schools: {},
  steps: `
    measure stone · saw plate · file plate · sand plate (gritUm 35) · saw plate @window (what window) [S42 A] ·
    file plate @window [S42 A] · stamp plate @border · drill plate @ring [S39 A] · punch-hole plate @ring [S39 B] ·
    flatten plate · *coloured finish* plate [S11 A] · tabs-up plate · glue tabs [S12 A] · place-stone tabs [S12 A] ·
    wait tabs (min 20) [S12 A] · set-stone tabs (by tabs, placed) [S12 A] · set-stone tabs (by tabs) [S12 B] ·
    *coloured finish by hand* plate [S11 B] · wind-coil ring · part-coil ring · hang hung · inspect piece
  `,
}
