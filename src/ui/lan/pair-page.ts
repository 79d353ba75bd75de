import { inHtml, plainPage } from './plain-html'

interface PairPage {
  /** A code that came with the address. */
  readonly code: string
  readonly problem?: string
}

/** The one page an unpaired device sees once it is here: it needs no script. */
export function pairPage({ code, problem }: PairPage): string {
  return plainPage(
    'Pair with the workshop',
    `<h1>Pair this device</h1>
<p>The code stands under Settings on a device that is paired already, and where the program was started.</p>
${problem ? `<p role="alert">${inHtml(problem)}</p>` : ''}
<form method="post" action="/pair">
<label>Code<input class="fig" name="code" value="${inHtml(code)}" inputmode="numeric" autocomplete="one-time-code" maxlength="12" required></label>
<label>What this device is called<input name="name" maxlength="40" placeholder="phone by the bench"></label>
<button>Pair</button>
</form>`,
  )
}
