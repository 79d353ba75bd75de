import { type Kit, member } from '../kit'

export const stampingQuartered: Kit = {
  id: 'stamping-quartered',
  title: 'Stamping divided in four',
  parts: [
    { id: 'sheet', form: 'die-blank' },
    { id: 'quarter-a', form: 'sectors' },
    { id: 'quarter-b', form: 'sectors' },
    { id: 'ext-a', form: 'hole-row' },
    { id: 'ext-b', form: 'hole-row' },
  ],
  others: [],
  joints: [
    {
      id: 'jx-a',
      kind: 'lap',
      members: [member('ext-a.end'), member('quarter-a.back')],
      role: 'extension',
      solder: 'hard-75',
      how: 'sweat',
    },
    {
      id: 'jx-b',
      kind: 'lap',
      members: [member('ext-b.end'), member('quarter-b.back')],
      role: 'extension',
      solder: 'hard-75',
      how: 'sweat',
    },
  ],
  schools: {},
  steps: `
    anneal sheet · pickle sheet · press-die sheet · inspect sheet · saw sheet · file sheet · sand sheet (gritUm 35) ·
    mark sheet (how scribe) · divide sheet (into quarter-a+quarter-b) · file quarter-a+quarter-b @cuts ·
    chamfer quarter-a+quarter-b · saw ext-a+ext-b · square-ends ext-a+ext-b · forge ext-a+ext-b · file ext-a+ext-b @paddle ·
    sand ext-a+ext-b (gritUm 35) · melt-solder-on jx-a+jx-b · pickle ext-a+ext-b · paint-barrier ext-a+ext-b · solder jx-a ·
    solder jx-b · pickle quarter-a · pickle quarter-b · test-joint jx-a+jx-b · measure quarter-a+quarter-b ·
    drill ext-a @row (for adjust) · transfer-holes ext-b @row (from ext-a) [S23 A] · mark ext-a+ext-b @row [S23 B] ·
    drill ext-b @row (for adjust) · saw ext-a+ext-b @end (what trim) · file ext-a+ext-b @end · sand piece (gritUm 35) ·
    *coloured finish* piece · inspect piece
  `,
}
