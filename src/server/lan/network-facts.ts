import { toDataURL } from 'qrcode'
import { ownAddresses } from './own-names'
import { isOnNetwork, type PairedDevice, pairedDevices, pairingCode } from './pairing'
import { authorityFacts, authorityFingerprint, hasAuthority } from './tls-files'

/** How other devices reach the program, and which of them may. */
export interface NetworkFacts {
  readonly code: string
  readonly devices: readonly PairedDevice[]
  /** By address first, which every phone finds; then by name. */
  readonly addresses: readonly string[]
  /** The first of them for a camera, as a picture. */
  readonly picture: string
  readonly fingerprint: string
}

/** Nothing where only this machine reaches the program. `host` is what the page was asked under, and tells the port. */
export async function networkFacts(host: string): Promise<NetworkFacts | null> {
  if (!isOnNetwork()) return null
  const port = /:(\d+)$/.exec(host)?.[1]
  const end = port ? `:${port}` : ''
  const reached = ownAddresses().filter((address) => !address.includes(':') && !address.startsWith('127.'))
  const name = hasAuthority() ? [authorityFacts().name] : []
  const addresses = [...reached, ...name].map((one) => `http://${one}${end}/`)
  const [first] = addresses
  return {
    code: pairingCode(),
    devices: pairedDevices(),
    addresses,
    picture: first ? await toDataURL(first, { margin: 1, width: 264 }) : '',
    fingerprint: hasAuthority() ? authorityFingerprint() : '',
  }
}
