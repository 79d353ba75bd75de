import type { EtchChoices } from '../etching'
import type { Mark } from '../marks'
import type { SurfaceChoices } from '../surface'
import type { PieceDesign } from './design'

/** What is done to a part beside its form: marks and an etch on its blank, and how its faces are to look. */
interface Work {
  readonly marks: readonly Mark[]
  readonly etch: EtchChoices | undefined
  readonly surface: SurfaceChoices | undefined
}

/** The design with something else done to a part; what is nothing is not kept. */
export function withWork(design: PieceDesign, id: string, change: Partial<Work>): PieceDesign {
  return {
    ...design,
    parts: design.parts.map((part) => {
      if (part.id !== id) return part
      const { marks: oldMarks, etch: oldEtch, surface: oldSurface, ...plain } = part
      const { marks, etch, surface } = { marks: oldMarks ?? [], etch: oldEtch, surface: oldSurface, ...change }
      return {
        ...plain,
        ...(marks.length > 0 ? { marks } : {}),
        ...(etch ? { etch } : {}),
        ...(surface && (surface.faces.length > 0 || surface.patina || surface.texture) ? { surface } : {}),
      }
    }),
  }
}
