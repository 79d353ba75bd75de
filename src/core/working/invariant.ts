/** An internal error, never the user's: something the code relies on does not hold. Caught once at each interface. */
export class InvariantError extends Error {
  readonly code: string
  readonly detail: { readonly got: unknown; readonly expected: string }

  constructor(code: string, detail: { readonly got: unknown; readonly expected: string }) {
    super(`${code}: got ${JSON.stringify(detail.got)}, expected ${detail.expected}`)
    this.name = 'InvariantError'
    this.code = code
    this.detail = detail
  }
}
