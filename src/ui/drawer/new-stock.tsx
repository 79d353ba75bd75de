'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { ALLOY_TITLES, BOUGHT_TEMPERS } from '@/core/metals'
import { describeMeaning, parseSize } from '@/core/sizes'
import type { ActionInput } from '@/server/actions/perform'
import { useAct } from '../acting/act-provider'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'

type Fields = Record<'kind' | 'alloy' | 'thickness' | 'measured' | 'width' | 'length' | 'temper', string>

function recognised(text: string): string | undefined {
  if (text.trim() === '') return undefined
  const reading = parseSize(text, { gaugeSystem: 'B&S' })
  return 'mm' in reading ? describeMeaning(reading) : undefined
}

/** A sheet or a wire for the drawer, its sizes as a smith writes them. */
export function NewStock({ onDone }: { readonly onDone: () => void }) {
  const { defaultAlloy } = useWorkshop()
  const [fields, setFields] = useState<Fields>({
    kind: 'sheet',
    alloy: defaultAlloy,
    thickness: '',
    measured: '',
    width: '',
    length: '',
    temper: 'unknown',
  })
  const [issues, setIssues] = useState<Readonly<Record<string, string>>>({})
  const [said, setSaid] = useState('')
  const act = useAct()
  const size = (name: keyof Fields, label: string) => (
    <SizeField
      label={label}
      wide
      value={fields[name]}
      unit="mm"
      understood={recognised(fields[name])}
      error={issues[name]}
      onChange={(value) => setFields({ ...fields, [name]: value })}
    />
  )
  const set = (name: keyof Fields) => (value: string) => setFields({ ...fields, [name]: value })
  async function add() {
    const added = await act('addStock', fields as ActionInput<'addStock'>)
    setIssues(added.ok ? {} : Object.fromEntries(added.issues.map((issue) => [issue.path, issue.message])))
    setSaid(added.ok ? '' : added.issues.length === 0 ? added.message : '')
    if (added.ok) onDone()
  }
  return (
    <Box
      component="form"
      sx={{ maxWidth: 460, my: 2, bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', p: 2 }}
      onSubmit={(event: React.FormEvent) => {
        event.preventDefault()
        void add()
      }}
    >
      <ChoiceField
        label="What"
        value={fields.kind}
        options={{ sheet: 'Sheet or offcut', wire: 'Round wire' }}
        onChange={set('kind')}
        width={170}
      />
      <ChoiceField label="Metal" value={fields.alloy} options={ALLOY_TITLES} onChange={set('alloy')} width={170} />
      {size('thickness', fields.kind === 'sheet' ? 'Thickness as sold' : 'Diameter as sold')}
      {size('measured', 'As measured')}
      {size('length', 'Length')}
      {fields.kind === 'sheet' ? size('width', 'Width') : null}
      <ChoiceField label="Temper" value={fields.temper} options={BOUGHT_TEMPERS} onChange={set('temper')} width={170} />
      {said ? (
        <Typography role="alert" sx={{ color: PALETTE.fire }}>
          {said}
        </Typography>
      ) : null}
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5 }}>
        <Button type="submit" variant="contained">
          Put it in the drawer
        </Button>
        <Button onClick={onDone}>Cancel</Button>
      </Box>
    </Box>
  )
}
