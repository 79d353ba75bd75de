import type { Kit } from '../kit'

export const etchedPlate: Kit = {
  id: 'etched-plate',
  title: 'Etched plate',
  parts: [{ id: 'plate', form: 'plate' }],
  others: [{ id: 'bath', kind: 'bath' }],
  joints: [],
  schools: {},
  steps: `
    saw plate · file plate · sand plate (gritUm 35) · sand plate (gritUm 26) · degrease plate · transfer-resist plate ·
    soak plate · wait plate (min 5) · rub-paper plate · touch-up-resist plate · seal-edges plate · tape-back plate ·
    prepare-bath bath · etch plate (bath bath) · untape plate · strip-resist plate · scrub plate · *coloured finish* plate ·
    inspect plate
  `,
}
