'use client'
import { boundsOf, middleOf, type Outline } from '@/core/geometry'
import type { MarkLine } from '@/core/marks'
import { ChoiceField } from '../shared/choice-field'
import { AmountField } from './amount-field'

const KINDS = { straight: 'straight', circle: 'a circle', ellipse: 'an ellipse', edge: 'the edge of the blank' } as const
const FACING = { outwards: 'face outwards', inwards: 'face the middle' } as const

interface LineFieldsProps {
  readonly line: MarkLine | undefined
  /** The face the line lies on. */
  readonly outer: Outline
  readonly onChange: (line: MarkLine) => void
}

const rounded = (mm: number) => Math.max(0.5, Math.round(mm * 10) / 10)

/** A line of another kind, about where the one before was. */
function lineOf(kind: MarkLine['kind'], outer: Outline): MarkLine {
  const { minX, minY, maxX, maxY } = boundsOf(outer)
  const [halfX, halfY] = [(maxX - minX) / 2, (maxY - minY) / 2]
  const around = { middleDeg: 90, facing: 'outwards' } as const
  switch (kind) {
    case 'straight':
      return { kind, angleDeg: 0 }
    case 'circle':
      return { kind, radiusMm: rounded(0.7 * Math.min(halfX, halfY)), ...around }
    case 'ellipse':
      return { kind, halfLengthMm: rounded(0.7 * halfX), halfWidthMm: rounded(0.7 * halfY), ...around }
    case 'edge':
      return { kind, insetMm: rounded(0.2 * Math.min(halfX, halfY)), facing: 'outwards' }
  }
}

/** What of a line can be set: its kind, and where it runs. */
export function LineFields({ line = { kind: 'straight', angleDeg: 0 }, outer, onChange }: LineFieldsProps) {
  const middle = middleOf(boundsOf(outer))
  return (
    <>
      <ChoiceField
        label="Along"
        value={line.kind}
        options={KINDS}
        width={170}
        onChange={(kind) => onChange(lineOf(kind as MarkLine['kind'], outer))}
      />
      {line.kind === 'straight' ? (
        <>
          <AmountField
            label="Above the middle"
            value={(line.at?.[1] ?? middle[1]) - middle[1]}
            min={-1000}
            max={1000}
            onChange={(up) => onChange({ ...line, at: [line.at?.[0] ?? middle[0], middle[1] + up] })}
          />
          <AmountField
            label="Angle"
            unit="°"
            value={line.angleDeg}
            min={-360}
            max={360}
            onChange={(angleDeg) => onChange({ ...line, angleDeg })}
          />
        </>
      ) : null}
      {line.kind === 'circle' ? (
        <AmountField label="Radius" value={line.radiusMm} min={0.5} max={1000} onChange={(radiusMm) => onChange({ ...line, radiusMm })} />
      ) : null}
      {line.kind === 'ellipse' ? (
        <>
          <AmountField
            label="Half length"
            value={line.halfLengthMm}
            min={0.5}
            max={1000}
            onChange={(halfLengthMm) => onChange({ ...line, halfLengthMm })}
          />
          <AmountField
            label="Half width"
            value={line.halfWidthMm}
            min={0.5}
            max={1000}
            onChange={(halfWidthMm) => onChange({ ...line, halfWidthMm })}
          />
        </>
      ) : null}
      {line.kind === 'edge' ? (
        <AmountField
          label="Inside the edge"
          value={line.insetMm}
          min={0}
          max={500}
          onChange={(insetMm) => onChange({ ...line, insetMm })}
        />
      ) : null}
      {line.kind === 'circle' || line.kind === 'ellipse' ? (
        <AmountField
          label="Middle at"
          unit="°"
          value={line.middleDeg}
          min={-360}
          max={360}
          onChange={(middleDeg) => onChange({ ...line, middleDeg })}
        />
      ) : null}
      {line.kind === 'straight' ? null : (
        <ChoiceField
          label="Tops"
          value={line.facing}
          options={FACING}
          width={170}
          onChange={(facing) => onChange({ ...line, facing: facing as 'outwards' | 'inwards' })}
        />
      )}
    </>
  )
}
