import { type Kit, member } from '../kit'

export const beadCluster: Kit = {
  id: 'bead-cluster',
  title: 'Bead cluster on a plate',
  parts: [
    { id: 'beads', form: 'dome', count: 4, set: true },
    { id: 'large', form: 'dome', set: true },
    { id: 'border', form: 'border-wire' },
    { id: 'plate', form: 'plate' },
  ],
  others: [{ id: 'jig', kind: 'jig', standsC: 1000 }],
  joints: [
    { id: 'row', kind: 'row', members: [member('beads.base'), member('large.base')], role: 'group', solder: 'medium-70', jig: 'jig' },
    { id: 'on-plate', kind: 'lap', members: [member('beads.base'), member('plate.face')], role: 'group-to-base', solder: 'easy-65' },
    { id: 'edge', kind: 'lap', members: [member('border.flat'), member('plate.face')], role: 'applied', solder: 'extra-easy-56' },
  ],
  schools: {},
  steps: `
    saw beads+large [S37 A] · cut-disc beads+large [S37 B] · cut-by-die beads+large [S37 C] · trim-tab beads+large [S37 C] ·
    file beads+large · dap beads+large (hollow open, block wood) [S19 A] · dap beads+large (hollow open, block steel) ·
    sand-flat beads+large · match beads+large · saw jig · file jig · paint-barrier jig · arrange row · warm beads+large ·
    spray-flux beads+large · solder row (flux spray) · pickle beads · test-joint row · anneal border · pickle border ·
    roll border · saw border · square-ends border · bend border · saw plate (what rough) · file plate @rough ·
    flatten plate · solder on-plate · pickle plate · solder edge · pickle plate · test-joint on-plate+edge ·
    saw plate (what around) · file plate @around · sand plate (gritUm 35) · finish plate · polish plate · inspect piece
  `,
}
