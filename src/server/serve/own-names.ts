import { hostname } from 'node:os'
import { givenNames, machineName, ownAddresses } from '../lan/own-names'

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']

/** The names and addresses under which this machine is reached from its own network. */
function networkNames(): string[] {
  const addresses = ownAddresses().map((address) => (address.includes(':') ? `[${address}]` : address))
  return [...addresses, hostname().toLowerCase(), machineName(), `${machineName()}.local`]
}

/** Every host this program answers to, with its port: whoever asks for another is refused, wherever its name points. */
export function ownHosts(port: number, onNetwork: boolean): ReadonlySet<string> {
  const names = onNetwork ? [...LOOPBACK, ...networkNames(), ...givenNames()] : LOOPBACK
  return new Set(names.flatMap((name) => (port === 80 || port === 443 ? [name, `${name}:${port}`] : [`${name}:${port}`])))
}

/** Whether a host is this machine’s own loopback: a browser here needs no certificate. */
export const isLoopback = (host: string | undefined): boolean => LOOPBACK.includes((host ?? '').toLowerCase().replace(/:\d+$/, ''))
