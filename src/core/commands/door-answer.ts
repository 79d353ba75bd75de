/** A problem a person can fix, in the shape every interface gives it. */
export interface DoorError {
  readonly error: {
    readonly code: string
    readonly message: string
    readonly issues: readonly { readonly path: string; readonly message: string }[]
  }
}

export type DoorAnswer = { readonly ok: true; readonly body: unknown } | { readonly ok: false; readonly body: DoorError }

/** A refusal in the shape every interface gives it. */
export function bad(code: string, message: string, issues: DoorError['error']['issues'] = []): DoorAnswer {
  return { ok: false, body: { error: { code, message, issues } } }
}
