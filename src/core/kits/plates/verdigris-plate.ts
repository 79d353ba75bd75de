import type { Kit } from '../kit'

export const verdigrisPlate: Kit = {
  id: 'verdigris-plate',
  title: 'Verdigris plate',
  parts: [{ id: 'plate', form: 'plate' }],
  others: [{ id: 'hand-file', kind: 'tool' }],
  joints: [],
  schools: {},
  steps: `
    saw plate · file plate (tool hand-file, clogs) · clean-file hand-file · file plate (tool hand-file) ·
    sand plate (gritUm 68) · sand plate (gritUm 35) · sand plate (gritUm 20) · interleave plate ·
    set-aside plate (protected) · polish plate · degrease plate ·
    ( verdigris plate ) repeated: 3 to 6 times until it is even · lacquer plate · interleave plate · wrap-up plate
  `,
}
