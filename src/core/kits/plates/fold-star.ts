import type { Kit } from '../kit'

export const foldStar: Kit = {
  id: 'fold-star',
  title: 'Star, folded and finished',
  parts: [{ id: 'sheet', form: 'fold-star' }],
  others: [],
  joints: [],
  schools: {},
  steps: `
    shear sheet · file sheet · mark sheet @creases (how scribe) · ( fold sheet ) repeated: for every crease ·
    collapse sheet · straighten sheet · cut-rays sheet · deburr sheet · twist sheet · ruffle sheet ·
    drill sheet @hole [S39 A] · punch-hole sheet @hole [S39 B] · straighten sheet · open-layers sheet · brush sheet ·
    lacquer sheet · inspect sheet
  `,
}
