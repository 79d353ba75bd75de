import { BufferAttribute, BufferGeometry } from 'three'
import { toCreasedNormals } from 'three/examples/jsm/utils/BufferGeometryUtils.js'
import type { Mesh } from '@/core/drawing'

/** Faces that meet at less than this are shaded as one curve. */
const CREASE_RAD = 0.5

/** A mesh for the screen: about the middle of its own box, with the radius of the ball round it, mm. */
export function solidGeometry(mesh: Mesh): { readonly geometry: BufferGeometry; readonly radiusMm: number } {
  const plain = new BufferGeometry()
  plain.setAttribute('position', new BufferAttribute(new Float32Array(mesh.positions), 3))
  plain.setIndex([...mesh.triangles])
  plain.center()
  plain.computeBoundingSphere()
  const geometry = toCreasedNormals(plain, CREASE_RAD)
  plain.dispose()
  return { geometry, radiusMm: plain.boundingSphere?.radius ?? 1 }
}
