import { ALLOYS, type AlloyId } from '../metals/alloys'

export const JAR_KINDS = ['clean', 'soldered', 'filings'] as const
export type JarKind = (typeof JAR_KINDS)[number]

export const JAR_KIND_WORDS: Readonly<Record<JarKind, string>> = {
  clean: 'clean scrap',
  soldered: 'scrap with solder on it',
  filings: 'filings and sweeps',
}

/** Metal of one kind. */
export interface JarMetal {
  readonly alloy: AlloyId
  readonly kind: JarKind
}

/** What happened to a jar, oldest first. */
export interface JarEntry extends JarMetal {
  readonly does: 'put-in' | 'weighed' | 'sent'
  readonly massG: number
}

/** What a jar holds after all that happened: its mass, and whether metal of another kind went into it since it was last emptied. */
export function jarHolds(jar: JarMetal, entries: readonly JarEntry[]): { readonly massG: number; readonly isMixed: boolean } {
  const since = entries.slice(entries.findLastIndex(({ does }) => does === 'sent') + 1)
  return {
    massG: since.reduce((mass, { does, massG }) => (does === 'weighed' ? massG : mass + massG), 0),
    isMixed: since.some((entry) => entry.does === 'put-in' && mixingFault(jar, entry) !== undefined),
  }
}

/** Why some metal should not go into a jar; undefined where it belongs there. Clean metal may go to soldered, and either to filings of its own alloy. */
export function mixingFault(jar: JarMetal, metal: JarMetal): string | undefined {
  const [own, other] = [ALLOYS[jar.alloy].title.toLowerCase(), ALLOYS[metal.alloy].title.toLowerCase()]
  if (jar.alloy !== metal.alloy)
    return `This jar is ${own}: with ${other} in it neither can be melted again here, and a refiner pays for the whole as the poorer.`
  if (jar.kind === 'clean' && metal.kind !== 'clean')
    return `This jar is clean ${own}: ${JAR_KIND_WORDS[metal.kind]} would bring solder, steel and grit into it, and it could not be melted again.`
  if (jar.kind === 'soldered' && metal.kind === 'filings')
    return `Filings have steel, grit and grease in them: keep them out of what is sent as ${own} scrap.`
  return undefined
}
