import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import * as z from 'zod'
import { dataFolder } from '../data-folder'

/** What of the workshop’s own certificate authority lies on the disk; the key of its root is never written down. */
export const TLS_FILES = {
  facts: 'authority.json',
  root: 'authority.crt',
  signer: 'signer.crt',
  signerKey: 'signer.key',
} as const

const factsSchema = z.object({ name: z.string(), dnsNames: z.array(z.string()) })
/** Under which name the workshop is reached for ever, and all the names its certificates may carry. */
export type AuthorityFacts = z.output<typeof factsSchema>

const pathOf = (file: string) => join(dataFolder(), 'tls', file)

/** Written beside and renamed, for the owner alone. */
export function writeTlsFile(file: string, content: string | Uint8Array): void {
  mkdirSync(join(dataFolder(), 'tls'), { recursive: true, mode: 0o700 })
  writeFileSync(`${pathOf(file)}.new`, content, { mode: 0o600 })
  renameSync(`${pathOf(file)}.new`, pathOf(file))
}

export const readTlsText = (file: string): string => readFileSync(pathOf(file), 'utf8')

export const hasAuthority = (): boolean => Object.values(TLS_FILES).every((file) => existsSync(pathOf(file)))

export const authorityFacts = (): AuthorityFacts => factsSchema.parse(JSON.parse(readTlsText(TLS_FILES.facts)))

/** The authority’s own certificate, for a phone to install. */
export const authorityCertificate = (): Uint8Array => readFileSync(pathOf(TLS_FILES.root))

/** What to compare on both screens before it is installed: SHA-256 in pairs. */
export function authorityFingerprint(): string {
  const hex = createHash('sha256').update(authorityCertificate()).digest('hex').toUpperCase()
  return hex.match(/../g)?.join(' ') ?? hex
}
