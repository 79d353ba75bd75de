'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { jarMass } from '@/core/entries'
import { ALLOYS } from '@/core/metals'
import { JAR_KIND_WORDS, type SlipLine } from '@/core/scrap'
import { formatMoney, formatPlain } from '@/core/units'
import type { Jar } from '@/server/db/repositories'
import { useAct } from '../acting/act-provider'
import { useTold } from '../acting/use-told'
import { EntrySize } from '../entry/entry-fields'
import { EntryForm } from '../entry/entry-form'
import { ConfirmDialog } from '../shared/confirm-dialog'
import { useNotice } from '../shared/notices'
import { useWorkshop } from '../shared/workshop-context'
import { PALETTE } from '../theme/palette'
import { JarDrawn } from './jar-drawn'
import { useScale } from './use-scale'

interface JarCardProps {
  readonly jar: Jar
  readonly line: SlipLine | undefined
  readonly hasScale: boolean
}

/** What a refiner would make of a jar. */
function Worth({ line }: { readonly line: SlipLine }) {
  const { currency } = useWorkshop()
  return (
    <Typography variant="body2">
      {line.fineG === undefined ? '' : `${formatPlain(line.fineG, 2)} g fine, `}
      about {formatMoney(line.value, currency)}
      {line.note ? `; ${line.note}` : ''}
    </Typography>
  )
}

/** A jar: its metal, what it holds and is worth; weighed anew, or sent to be refined. */
export function JarCard({ jar, line, hasScale }: JarCardProps) {
  const [weighing, setWeighing] = useState<string | null>(null)
  const [asking, setAsking] = useState(false)
  const act = useAct()
  const say = useNotice()
  const told = useTold()
  const scale = useScale()
  const name = `${ALLOYS[jar.alloy].title}, ${JAR_KIND_WORDS[jar.kind]}`
  async function send(yes: boolean) {
    setAsking(false)
    if (!yes) return
    const done = await act('sendJar', { id: jar.id }, { revision: jar.revision })
    say({ text: done.ok ? `${formatPlain(done.massG, 2)} g sent: the jar is empty.` : done.message })
  }
  return (
    <Box component="article" aria-label={name} sx={{ display: 'flex', gap: 2, width: 400, maxWidth: '100%' }}>
      <JarDrawn jar={jar} />
      <Box sx={{ minWidth: 0, flex: 1 }}>
        <Typography sx={{ fontWeight: 700 }}>{ALLOYS[jar.alloy].title}</Typography>
        <Typography variant="body2">{JAR_KIND_WORDS[jar.kind]}</Typography>
        <Typography className="fig" sx={{ fontSize: 22, fontWeight: 700 }}>
          {formatPlain(jar.massG, 2)} g
        </Typography>
        {line ? <Worth line={line} /> : null}
        {jar.isMixed ? (
          <Typography variant="body2" sx={{ color: PALETTE.fire, fontWeight: 600 }}>
            Mixed: other metal was put in.
          </Typography>
        ) : null}
        {weighing === null ? (
          <Box sx={{ display: 'flex', flexWrap: 'wrap', ml: -0.75 }}>
            <Button variant="text" onClick={() => setWeighing(String(jar.massG))}>
              Weigh it
            </Button>
            {hasScale ? (
              <Button variant="text" onClick={() => void scale.read(jar.massG).then(setWeighing)}>
                Read the scale
              </Button>
            ) : null}
            {jar.massG > 0 ? (
              <Button variant="text" onClick={() => setAsking(true)}>
                Send to refine
              </Button>
            ) : null}
          </Box>
        ) : (
          <EntryForm<{ mass: string }>
            key={weighing}
            label={`Weigh ${name}`}
            schema={jarMass}
            values={{ mass: weighing }}
            send={({ mass }) =>
              told(
                'weighJar',
                { id: jar.id, mass },
                { revision: jar.revision, text: `${name}: ${mass} g.`, back: { id: jar.id, mass: String(jar.massG) } },
              )
            }
            onDone={() => setWeighing(null)}
            onCancel={() => setWeighing(null)}
            submit="Save"
          >
            <EntrySize name="mass" label="In the jar" unit="g" readAs={() => ''} />
          </EntryForm>
        )}
      </Box>
      <ConfirmDialog
        open={asking}
        title={`Send ${formatPlain(jar.massG, 2)} g of ${name.toLowerCase()}?`}
        says="The jar is empty afterwards. Print the refining slip first: it goes with the metal."
        yes="It is sent"
        onAnswer={(yes) => void send(yes)}
      />
    </Box>
  )
}
