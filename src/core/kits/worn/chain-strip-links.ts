import { type Kit, member } from '../kit'

export const chainStripLinks: Kit = {
  id: 'chain-strip-links',
  title: 'Chain of strip links',
  parts: [
    { id: 'strip', form: 'strip-links' },
    { id: 'links', form: 'strip-links' },
    { id: 'rings', form: 'jump-oval' },
  ],
  others: [],
  joints: [
    { id: 'ring-seam', kind: 'seam', members: [member('rings.end')], role: 'jump-seam', solder: 'hard-75', coil: true },
    { id: 'linked', kind: 'link', members: [member('rings.inside'), member('links.eye')] },
  ],
  schools: {},
  steps: `
    wind-coil rings · part-coil rings · fit-joint ring-seam · solder ring-seam [S25 A] · fuse ring-seam [S25 B] ·
    pickle rings [S25 A or B] · squeeze-oval rings (seam long) · saw strip (what rough) · file strip @rough · anneal strip ·
    pickle strip · roll strip (pattern) · measure strip · divide strip (into links) · deburr links · anneal links ·
    pickle links · curl-link links @first-end · curl-link links @second-end · close-link linked · *coloured finish* piece ·
    inspect piece
  `,
}
