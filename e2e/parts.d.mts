/** The parts of the end-to-end tests that run beside one another, by name. */
export type PartName = 'tabs' | 'own' | 'views' | 'shared'
export interface Part {
  readonly files: { readonly testMatch: RegExp } | { readonly testIgnore: RegExp }
  /** Ports of its demonstration and its own workshop; none where every test starts its own server. */
  readonly ports: readonly [demo: number, workshop: number] | null
}
export const PARTS: Readonly<Record<PartName, Part>>
/** Whether all is tried, with E2E=all. */
export const ALL: boolean
