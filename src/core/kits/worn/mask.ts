import type { Kit } from '../kit'

export const mask: Kit = {
  id: 'mask',
  title: 'Mask, raised and finished',
  parts: [{ id: 'sheet', form: 'mask-blank' }],
  others: [],
  joints: [],
  schools: {},
  steps: `
    mark sheet (how scribe) · shear sheet · saw sheet @eye-left (what window) [S38 A] ·
    saw sheet @eye-right (what window) [S38 A] · chisel-out sheet @eye-left [S38 B] · chisel-out sheet @eye-right [S38 B] ·
    file sheet · file sheet @eye-left · file sheet @eye-right · chamfer sheet · mark sheet @centre (how scribe) ·
    ( anneal sheet · pickle sheet · form-landmark sheet ·
    try-on sheet ) repeated: nose, brow, cheeks, eye sockets, temples; then round again until it fits ·
    sand sheet (gritUm 35) · degrease sheet · patina-spray sheet · neutralise sheet · relieve sheet (how wet) [S44 A] ·
    brush-rinse sheet [S44 B] · dry sheet · tumble sheet [S44 B] · wax sheet · inspect sheet
  `,
}
