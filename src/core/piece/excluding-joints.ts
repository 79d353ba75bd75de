import type { AssemblyJoint } from '../assembly/assembly'
import type { AssemblyIssue } from '../assembly/read'

const placesOf = ({ members }: AssemblyJoint) =>
  members
    .map(({ thing, instance = '', place = '', face = '' }) => [thing, instance, place, face].join('.'))
    .sort()
    .join(' ')

/** Joints that join the very places another joins already: only one of them can be made. */
export function excludingJoints(joints: readonly AssemblyJoint[]): AssemblyIssue[] {
  return joints.flatMap((joint, i) => {
    const earlier = joints.slice(0, i).find((other) => placesOf(other) === placesOf(joint))
    if (!earlier || joint.members.length < 2) return []
    return [
      {
        path: `joints.${i}`,
        message: `joint "${joint.id}" joins the same places as "${earlier.id}" does already; only one of them can be made, take one out or name other places`,
      },
    ]
  })
}
