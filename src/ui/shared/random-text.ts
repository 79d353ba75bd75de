/** Text of random letters and figures. From `getRandomValues`, which is there on a page that is no secure context too. */
export function randomText(length = 20): string {
  const bytes = crypto.getRandomValues(new Uint8Array(length))
  return Array.from(bytes, (byte) => (byte % 36).toString(36)).join('')
}
