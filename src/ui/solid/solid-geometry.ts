import { Box3, BufferAttribute, BufferGeometry, Sphere, Vector3 } from 'three'
import { toCreasedNormals } from 'three/examples/jsm/utils/BufferGeometryUtils.js'
import type { Mesh } from '@/core/drawing'

/** Faces that meet at less than this are shaded as one curve. */
const CREASE_RAD = 0.5

function plainGeometry(mesh: Mesh): BufferGeometry {
  const plain = new BufferGeometry()
  plain.setAttribute('position', new BufferAttribute(new Float32Array(mesh.positions), 3))
  plain.setIndex([...mesh.triangles])
  plain.computeBoundingBox()
  return plain
}

/** Meshes for the screen, where they stand, about the middle of the box round them all; with the radius of the ball round it, mm. */
export function solidGeometries(meshes: readonly Mesh[]): { readonly geometries: readonly BufferGeometry[]; readonly radiusMm: number } {
  const plain = meshes.map(plainGeometry)
  const box = plain.reduce((all, { boundingBox }) => (boundingBox ? all.union(boundingBox) : all), new Box3())
  const middle = box.getCenter(new Vector3())
  const geometries = plain.map((geometry) => {
    geometry.translate(-middle.x, -middle.y, -middle.z)
    const creased = toCreasedNormals(geometry, CREASE_RAD)
    geometry.dispose()
    return creased
  })
  return { geometries, radiusMm: box.getBoundingSphere(new Sphere()).radius || 1 }
}
