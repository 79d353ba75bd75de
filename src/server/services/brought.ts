/** What came of a part of a file that is brought in; with the last part the name it has here, and what is said of it. */
export type Brought =
  | { readonly ok: true; readonly received: number; readonly file: string | null; readonly said?: string }
  | { readonly ok: false; readonly message: string }
