'use client'
import Box from '@mui/material/Box'
import { useFormState } from 'react-hook-form'
import { jarEntry } from '@/core/entries'
import { ALLOY_TITLES, ALLOYS, type AlloyId } from '@/core/metals'
import { JAR_KIND_WORDS, type JarKind } from '@/core/scrap'
import { formatPlain } from '@/core/units'
import type { Jar } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { EntryCheck, EntryChoice, EntrySize } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { useNotice } from '../shared/notices'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'

interface Typed {
  readonly alloy: AlloyId
  readonly kind: JarKind
  readonly mass: string
  readonly jar: string
  readonly sure: boolean
}

/** The box to tick where metal would go into a jar it does not belong in. */
function Sure() {
  const { errors } = useFormState()
  return errors.jar ? <EntryCheck name="sure" label="It goes in all the same" /> : null
}

/** Scrap or filings as they come off the bench: their metal, their weight, and the jar they go into. */
export function PutInJar({ jars, onDone }: { readonly jars: readonly Jar[]; readonly onDone: () => void }) {
  const { defaultAlloy } = useWorkshop()
  const act = useAct()
  const say = useNotice()
  async function send(typed: Typed) {
    const done = await act('putInJar', typed)
    if (done.ok) say({ text: `It is in: the jar holds ${formatPlain(done.massG, 2)} g now.` })
    return done
  }
  const others = Object.fromEntries(jars.map(({ id, alloy, kind }) => [id, `${ALLOYS[alloy].title}, ${JAR_KIND_WORDS[kind]}`]))
  return (
    <Box sx={{ maxWidth: 480, my: 2, bgcolor: PALETTE.paper, border: `1px solid ${PALETTE.hairline}`, borderRadius: '4px', p: 2 }}>
      <EntryForm<Typed>
        label="Put scrap in a jar"
        schema={jarEntry}
        values={{ alloy: defaultAlloy, kind: 'clean', mass: '', jar: '', sure: false }}
        send={send}
        onDone={onDone}
        onCancel={onDone}
        submit="Put it in"
      >
        <EntryChoice name="alloy" label="Metal" options={ALLOY_TITLES} width={220} />
        <EntryChoice name="kind" label="What it is" options={JAR_KIND_WORDS} width={220} />
        <EntrySize name="mass" label="Weighs" unit="g" readAs={() => ''} />
        <EntryChoice name="jar" label="Into" options={{ '': 'the jar of its own', ...others }} width={220} />
        <Sure />
      </EntryForm>
    </Box>
  )
}
