'use client'
import { JOINT_KINDS, type JointKind, type Ref } from '@/core/assembly'
import { SOLDER_IDS, SOLDERS, type SolderId } from '@/core/metals'
import type { DesignJoint, PiecePlan } from '@/core/piece'
import { formatPlain } from '@/core/units'
import { ChoiceField } from '../shared/choice-field'
import { SizeField } from '../shared/size-field'
import { useKept } from './use-kept'

const KIND_WORDS: Readonly<Record<JointKind, string>> = {
  ...JOINT_KINDS,
  seam: 'seam, the part to itself',
  butt: 'butt, edge to edge',
  lap: 'lap, one over the other',
  sweat: 'sweat, face to face',
  tee: 'tee, a wall on a plate',
  point: 'point, a ball or post on a face',
  row: 'row, side by side in a jig',
  fuse: 'fused, no solder',
  rivet: 'rivet',
  tabs: 'tabs over a stone',
  bezel: 'bezel over a stone',
  link: 'link, opened and closed',
}

/** Places of a thing: those its form describes, and what a smith may call others. */
export function placesOf({ parts }: Pick<PiecePlan, 'parts'>, thing: string, now: string | undefined): Readonly<Record<string, string>> {
  const known = parts.find(({ id }) => id === thing)?.result?.places ?? []
  const plain = known.length > 0 ? [] : ['face', 'back', 'edge', 'end', 'outside', 'inside']
  const ids = [...known.map(({ id, title }) => [id, title] as const), ...plain.map((id) => [id, id] as const)]
  return Object.fromEntries([
    ['', 'anywhere'],
    ...ids,
    ...(now && !ids.some(([id]) => id === now) ? [[now, now.replaceAll('-', ' ')]] : []),
  ])
}

interface JointFieldsProps {
  readonly joint: DesignJoint
  readonly plan: PiecePlan
  readonly things: Readonly<Record<string, string>>
  readonly onChange: (change: Partial<DesignJoint>) => void
}

/** What joins what, where, and with what: the first goes on the second. */
export function JointFields({ joint, plan, things, onChange }: JointFieldsProps) {
  const length = useKept(joint.lengthMm === undefined ? '' : formatPlain(joint.lengthMm, 2), (text) => {
    const lengthMm = Number(text.replace(',', '.'))
    onChange({ lengthMm: lengthMm > 0 ? lengthMm : undefined })
  })
  const member = (index: number, change: Partial<Ref>) =>
    onChange({ members: joint.members.map((ref, i) => (i === index ? { ...ref, ...change } : ref)) })
  const measured = plan.assembly.joints.find(({ id }) => id === joint.id)?.lengthMm
  return (
    <>
      <ChoiceField
        label="Kind of joint"
        value={joint.kind}
        options={KIND_WORDS}
        width={170}
        onChange={(kind) => onChange({ kind: kind as JointKind })}
      />
      {joint.members.map(({ thing, place }, i) => (
        <div key={`${thing}-${i}`}>
          <ChoiceField
            label={i === 0 ? 'Goes on' : 'It is put on'}
            value={thing}
            options={things}
            width={170}
            onChange={(id) => member(i, { thing: id, place: undefined })}
          />
          <ChoiceField
            label="Where"
            value={place ?? ''}
            options={placesOf(plan, thing, place)}
            width={170}
            onChange={(id) => member(i, { place: id || undefined })}
          />
        </div>
      ))}
      <ChoiceField
        label="Solder"
        value={joint.solder ?? ''}
        options={{ '': 'chosen by the ladder', ...Object.fromEntries(SOLDER_IDS.map((id) => [id, SOLDERS[id].title])) }}
        width={170}
        onChange={(id) => onChange({ solder: id ? (id as SolderId) : undefined })}
      />
      <SizeField
        label="Length of the seam"
        unit="mm"
        understood={joint.lengthMm === undefined && measured ? `${formatPlain(measured, 1)} mm, by its place` : undefined}
        value={length.text}
        onChange={length.setText}
        onBlur={length.take}
      />
    </>
  )
}
