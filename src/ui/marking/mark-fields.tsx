'use client'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import OutlinedInput from '@mui/material/OutlinedInput'
import Typography from '@mui/material/Typography'
import { useId, useMemo, useState } from 'react'
import type { Outline } from '@/core/geometry'
import { type Mark, mapText, readDrawnMap, readMap } from '@/core/marks'
import { ChoiceField } from '../shared/choice-field'
import { DropFile } from '../shared/drop-file'
import { PALETTE } from '../theme/palette'
import { AmountField } from './amount-field'
import { LineFields } from './line-fields'

interface FieldsProps<K extends Mark['kind']> {
  readonly mark: Extract<Mark, { kind: K }>
  readonly outer: Outline
  readonly onChange: (mark: Mark) => void
}

/** Several lines of text under their label. */
function TextLines({
  label,
  value,
  rows,
  error,
  onChange,
}: {
  readonly label: string
  readonly value: string
  readonly rows: number
  readonly error?: string | undefined
  readonly onChange: (text: string) => void
}) {
  const id = useId()
  return (
    <Box sx={{ py: 0.5 }}>
      <Typography component="label" htmlFor={id} variant="body2">
        {label}
      </Typography>
      <OutlinedInput
        id={id}
        multiline
        // as many lines as it has: a field that measures itself at each key makes the whole page be laid out
        inputComponent="textarea"
        fullWidth
        value={value}
        error={error !== undefined}
        onChange={(event) => onChange(event.target.value)}
        inputProps={{ rows, 'aria-describedby': `${id}-said`, 'aria-invalid': error !== undefined }}
        sx={{ mt: 0.5 }}
      />
      <Typography id={`${id}-said`} variant="body2" sx={{ color: PALETTE.fire }} role={error ? 'alert' : undefined}>
        {error}
      </Typography>
    </Box>
  )
}

function LetterFields({ mark, outer, onChange }: FieldsProps<'letters'>) {
  const [typed, setTyped] = useState(mark.text)
  const isEmpty = typed.trim() === ''
  const text = isEmpty || typed.trim() === mark.text.trim() ? typed : mark.text
  return (
    <>
      <TextLines
        label="Words, a new line for each row"
        rows={2}
        value={text}
        error={isEmpty ? 'Write what is stamped' : undefined}
        onChange={(next) => {
          setTyped(next)
          if (next.trim() !== '') onChange({ ...mark, text: next.slice(0, 400) })
        }}
      />
      <AmountField
        label="Letter height"
        value={mark.heightMm}
        min={0.5}
        max={50}
        onChange={(heightMm) => onChange({ ...mark, heightMm })}
      />
      <AmountField
        label="Spread them by"
        value={mark.spacingMm}
        min={-5}
        max={50}
        onChange={(spacingMm) => onChange({ ...mark, spacingMm })}
      />
      <LineFields line={mark.line} outer={outer} onChange={(line) => onChange({ ...mark, line })} />
    </>
  )
}

const DIVIDED = { count: 'so many, evenly', pitch: 'at a pitch' } as const

/** How stamps or holes are shared out. */
function SharedFields({ mark, outer, onChange }: FieldsProps<'repeat' | 'holes'>) {
  const isByPitch = mark.pitchMm !== undefined
  return (
    <>
      <ChoiceField
        label="Divided"
        value={isByPitch ? 'pitch' : 'count'}
        options={DIVIDED}
        width={170}
        onChange={(way) => {
          const { stampCount: _, pitchMm: __, ...rest } = mark
          onChange((way === 'pitch' ? { ...rest, pitchMm: 3, by: 'length' } : { ...rest, stampCount: 12 }) as Mark)
        }}
      />
      {isByPitch ? (
        <AmountField label="Pitch" value={mark.pitchMm ?? 3} min={0.05} max={500} onChange={(pitchMm) => onChange({ ...mark, pitchMm })} />
      ) : (
        <AmountField
          label="How many"
          unit=""
          value={mark.stampCount ?? 1}
          min={1}
          max={2000}
          onChange={(stampCount) => onChange({ ...mark, stampCount })}
        />
      )}
      <LineFields line={mark.line} outer={outer} onChange={(line) => onChange({ ...mark, line })} />
      {mark.line?.kind === 'edge' && !isByPitch ? (
        <ChoiceField
          label="Evenly by"
          value={mark.by}
          options={{ length: 'length along the edge', angle: 'angle about the middle' }}
          width={170}
          onChange={(by) => onChange({ ...mark, by: by as 'length' | 'angle' })}
        />
      ) : null}
    </>
  )
}

function MapFields({ mark, onChange }: FieldsProps<'map'>) {
  const [text, setText] = useState(() => mapText(mark))
  const [said, setSaid] = useState('')
  const read = useMemo(() => readMap(text), [text])
  const take = async (file: File) => {
    const drawn = file.name.toLowerCase().endsWith('.svg')
    const found = (drawn ? readDrawnMap : readMap)(await file.text())
    if ('fault' in found) return setSaid(`${file.name}: ${found.fault}.`)
    setSaid('')
    setText(mapText(found))
    onChange({ ...mark, ...found })
  }
  return (
    <>
      <DropFile
        label="A map from a file"
        fileLabel="Map file"
        accept={{ 'image/svg+xml': ['.svg'], 'text/csv': ['.csv', '.txt'] }}
        onFile={(file) => void take(file)}
      >
        {(pick) => (
          <Typography variant="body2">
            <Button variant="text" onClick={pick}>
              From a file
            </Button>
            {said || 'CSV, or an SVG: circles are points, lines between them links.'}
          </Typography>
        )}
      </DropFile>
      <TextLines
        label="Points (name, x, y) and links (one -- other)"
        rows={8}
        value={text}
        error={'fault' in read ? read.fault : undefined}
        onChange={(next) => {
          setText(next)
          const found = readMap(next)
          if (!('fault' in found)) onChange({ ...mark, ...found })
        }}
      />
      <AmountField label="Dot at a point" value={mark.dotMm} min={0.1} max={20} onChange={(dotMm) => onChange({ ...mark, dotMm })} />
      <AmountField
        label="Dot on a link"
        value={mark.linkDotMm}
        min={0.1}
        max={20}
        onChange={(linkDotMm) => onChange({ ...mark, linkDotMm })}
      />
      <AmountField
        label="Pitch on a link"
        value={mark.pitchMm}
        min={0.2}
        max={100}
        onChange={(pitchMm) => onChange({ ...mark, pitchMm })}
      />
      <AmountField label="Margin" value={mark.marginMm} min={0} max={100} onChange={(marginMm) => onChange({ ...mark, marginMm })} />
    </>
  )
}

function StampFields({ mark, onChange }: FieldsProps<'stamp'>) {
  const [x, y] = mark.at
  return (
    <>
      <AmountField label="Stamp width" value={mark.widthMm} min={0.1} max={100} onChange={(widthMm) => onChange({ ...mark, widthMm })} />
      <AmountField label="Along" value={x} min={-2000} max={2000} onChange={(to) => onChange({ ...mark, at: [to, y] })} />
      <AmountField label="Across" value={y} min={-2000} max={2000} onChange={(to) => onChange({ ...mark, at: [x, to] })} />
      <AmountField
        label="Angle"
        unit="°"
        value={mark.angleDeg}
        min={-360}
        max={360}
        onChange={(angleDeg) => onChange({ ...mark, angleDeg })}
      />
    </>
  )
}

function HallmarkFields({ mark, onChange }: FieldsProps<'hallmark'>) {
  const [first = 1.5] = mark.widthsMm
  return (
    <>
      <AmountField
        label="Punches"
        unit=""
        value={mark.widthsMm.length}
        min={1}
        max={12}
        onChange={(count) => onChange({ ...mark, widthsMm: Array.from({ length: count }, (_, i) => mark.widthsMm[i] ?? first) })}
      />
      <AmountField
        label="Width of each"
        value={first}
        min={0.1}
        max={20}
        onChange={(wide) => onChange({ ...mark, widthsMm: mark.widthsMm.map(() => wide) })}
      />
      <AmountField label="Height" value={mark.heightMm} min={0.1} max={20} onChange={(heightMm) => onChange({ ...mark, heightMm })} />
      <AmountField label="Gap" value={mark.gapMm} min={0} max={20} onChange={(gapMm) => onChange({ ...mark, gapMm })} />
    </>
  )
}

/** The fields of one mark, by what it is. */
export function MarkFields({
  mark,
  outer,
  onChange,
}: {
  readonly mark: Mark
  readonly outer: Outline
  readonly onChange: (mark: Mark) => void
}) {
  switch (mark.kind) {
    case 'letters':
      return <LetterFields mark={mark} outer={outer} onChange={onChange} />
    case 'repeat':
      return (
        <>
          <AmountField
            label="Stamp width"
            value={mark.widthMm}
            min={0.1}
            max={100}
            onChange={(widthMm) => onChange({ ...mark, widthMm })}
          />
          <SharedFields mark={mark} outer={outer} onChange={onChange} />
        </>
      )
    case 'holes':
      return (
        <>
          <AmountField
            label="Hole"
            value={mark.diameterMm}
            min={0.2}
            max={100}
            onChange={(diameterMm) => onChange({ ...mark, diameterMm })}
          />
          <SharedFields mark={mark} outer={outer} onChange={onChange} />
        </>
      )
    case 'map':
      return <MapFields mark={mark} outer={outer} onChange={onChange} />
    case 'stamp':
      return <StampFields mark={mark} outer={outer} onChange={onChange} />
    case 'hallmark':
      return <HallmarkFields mark={mark} outer={outer} onChange={onChange} />
  }
}
