import { hostname, networkInterfaces } from 'node:os'

/** This machine’s name on the workshop’s network, as far as a certificate can carry it. */
export const machineName = (): string =>
  hostname()
    .toLowerCase()
    .split('.')[0]
    ?.replace(/[^a-z0-9-]/g, '-') || 'workshop'

/** Addresses of this machine on its networks, loopback among them. */
export function ownAddresses(): string[] {
  return Object.values(networkInterfaces())
    .flat()
    .flatMap((address) => (address ? [address.address] : []))
}

/** Names that were given when the program was started, such as one that the workshop’s router knows. */
export function givenNames(): string[] {
  return (process.env.FOLD_ANVIL_NAMES ?? '')
    .toLowerCase()
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
}
