'use client'
import Autocomplete from '@mui/material/Autocomplete'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { JOINT_KINDS, type JointKind, OTHER_KINDS, type OtherKind } from '@/core/assembly'
import { FORMS } from '@/core/forms'
import { addJoint, addOther, addPart } from '@/core/piece'
import { ChoiceField } from '../shared/choice-field'
import { placesOf } from './joint-fields'
import type { AssemblyHand } from './use-assembly'

interface AddThingProps {
  readonly hand: AssemblyHand
  readonly things: Readonly<Record<string, string>>
  readonly onAdded: (id: string) => void
}

interface Choice {
  readonly id: string
  readonly title: string
  readonly group: string
}
const CHOICES: readonly Choice[] = [
  ...FORMS.map(({ id, title }) => ({ id, title, group: 'Parts of metal' })).sort((a, b) => a.title.localeCompare(b.title)),
  ...Object.entries(OTHER_KINDS).map(([id, title]) => ({
    id: `other/${id}`,
    title: title.charAt(0).toUpperCase() + title.slice(1),
    group: 'What is no blank',
  })),
]

/** A part, a stone or the like, or a joint added to the piece: joints by pointing at two places. */
export function AddThing({ hand, things, onAdded }: AddThingProps) {
  const { design, plan, keep } = hand
  const [kind, setKind] = useState<JointKind>('tee')
  const ids = Object.keys(things)
  const [smallChosen, setSmall] = useState<string>()
  const [targetChosen, setTarget] = useState<string>()
  // what was added last goes on what was there first, until something else is said
  const small = smallChosen !== undefined && smallChosen in things ? smallChosen : (ids.at(-1) ?? '')
  const target = targetChosen !== undefined && targetChosen in things ? targetChosen : (ids[0] ?? '')
  const [smallPlace, setSmallPlace] = useState('')
  const [targetPlace, setTargetPlace] = useState('')
  const take = ({ design: next, id }: ReturnType<typeof addPart>) => {
    keep(next)
    onAdded(id)
  }
  const ref = (thing: string, place: string) => (place ? { thing, place } : { thing })
  const isSeam = kind === 'seam'
  return (
    <Box component="section" aria-label="Add to the piece">
      <Typography variant="h2">Add to the piece</Typography>
      <Autocomplete
        options={CHOICES}
        groupBy={({ group }) => group}
        getOptionLabel={({ title }) => title}
        isOptionEqualToValue={(a, b) => a.id === b.id}
        value={null}
        blurOnSelect
        onChange={(_, choice) => {
          if (choice)
            take(
              choice.id.startsWith('other/') ? addOther(design, choice.id.slice('other/'.length) as OtherKind) : addPart(design, choice.id),
            )
        }}
        renderInput={(params) => <TextField {...params} label="A part, or what goes on it" size="small" />}
      />
      {ids.length > 1 || isSeam ? (
        <>
          <Typography variant="h3" sx={{ mt: 1.5 }}>
            Join two of them
          </Typography>
          <ChoiceField label="Kind of joint" value={kind} options={JOINT_KINDS} onChange={(next) => setKind(next as JointKind)} />
          <ChoiceField label="This" value={small} options={things} onChange={setSmall} />
          <ChoiceField label="at" value={smallPlace} options={placesOf(plan, small, smallPlace)} onChange={setSmallPlace} />
          {isSeam ? null : (
            <>
              <ChoiceField label="goes on" value={target} options={things} onChange={setTarget} />
              <ChoiceField label="at its" value={targetPlace} options={placesOf(plan, target, targetPlace)} onChange={setTargetPlace} />
            </>
          )}
          <Button
            sx={{ mt: 1 }}
            disabled={!isSeam && small === target}
            onClick={() =>
              take(addJoint(design, kind, isSeam ? [ref(small, smallPlace || 'seam')] : [ref(small, smallPlace), ref(target, targetPlace)]))
            }
          >
            Join them
          </Button>
        </>
      ) : null}
    </Box>
  )
}
