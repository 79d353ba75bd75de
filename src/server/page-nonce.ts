import 'server-only'
import { headers } from 'next/headers'

/** The mark that lets this page's own scripts run, from the policy that the server sent with it; none while developing. */
export async function pageNonce(): Promise<string | undefined> {
  const policy = (await headers()).get('content-security-policy') ?? ''
  return /'nonce-([^']+)'/.exec(policy)?.[1]
}
