import { hostname, networkInterfaces } from 'node:os'

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]']

/** The names and addresses under which this machine is reached from its own network. */
function networkNames(): string[] {
  const addresses = Object.values(networkInterfaces())
    .flat()
    .flatMap((address) => (address ? [address.family === 'IPv6' ? `[${address.address}]` : address.address] : []))
  const name = hostname().toLowerCase()
  return [...addresses, name, `${name}.local`]
}

/** Names that were given when the program was started, such as one that the workshop's router knows. */
function givenNames(): string[] {
  return (process.env.FOLD_ANVIL_NAMES ?? '')
    .toLowerCase()
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
}

/** Every host this program answers to, with its port: whoever asks for another is refused, wherever its name points. */
export function ownHosts(port: number, onNetwork: boolean): ReadonlySet<string> {
  const names = onNetwork ? [...LOOPBACK, ...networkNames(), ...givenNames()] : LOOPBACK
  return new Set(names.flatMap((name) => (port === 80 ? [name, `${name}:80`] : [`${name}:${port}`])))
}
