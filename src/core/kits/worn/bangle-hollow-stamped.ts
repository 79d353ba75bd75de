import { type Kit, member } from '../kit'

export const bangleHollowStamped: Kit = {
  id: 'bangle-hollow-stamped',
  title: 'Hollow bangle, stamped inside',
  parts: [{ id: 'strip', form: 'bangle-hollow' }],
  others: [],
  joints: [{ id: 'ring', kind: 'seam', members: [member('strip.end')], role: 'ring-seam', solder: 'hard-75' }],
  schools: {},
  steps: `
    measure strip · saw strip · file strip · square-ends strip · anneal strip · pickle strip ·
    letter strip @middle (face inside) · stamp strip @pattern (face inside) · flatten strip · bend strip · solder ring ·
    pickle strip · test-joint ring · clean-seam strip [S32 B] · round-up strip (where middle) · curl-edge strip ·
    anneal strip · pickle strip [S15 A] · close-tube strip · pickle strip [S15 B] · true-up strip ·
    clean-seam strip [S32 A] · measure strip · finish strip · tumble strip · polish strip · inspect strip
  `,
}
