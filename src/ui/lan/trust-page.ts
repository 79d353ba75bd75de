import { inHtml, plainPage } from './plain-html'

export type Phone = 'ios' | 'android' | 'other'

/** What a browser says it runs on. An iPad says it is a desktop; its way is among the others’ then. */
export function phoneOf(userAgent: string): Phone {
  if (/iPhone|iPad|iPod/.test(userAgent)) return 'ios'
  return /Android/.test(userAgent) ? 'android' : 'other'
}

const STEPS: Readonly<Record<Phone, readonly string[]>> = {
  ios: [
    'Open this page in Safari. Press the button; allow the profile to be loaded.',
    'Settings, Profile loaded: install it.',
    'Settings, General, About, Certificate Trust Settings: turn it on for this workshop. Without this last switch nothing is gained.',
  ],
  android: [
    'Press the button; the file is loaded.',
    'Settings, look for “certificate”: install a CA certificate, and choose the file. The phone needs a screen lock for it, and will keep saying that the network may be monitored: that is this certificate.',
    'Firefox has a switch of its own for it; use the phone’s own browser if in doubt.',
  ],
  other: ['Press the button; the file is loaded.', 'Put it among the authorities that this computer or browser trusts for websites.'],
}

interface TrustPage {
  /** Where the program is reached over TLS: by its name, then by the address that was asked. */
  readonly places: readonly string[]
  readonly to: string
  readonly fingerprint: string
  readonly phone: Phone
  readonly nonce: string
}

/** Looks by itself whether the certificate is trusted: then, and only then, the sign of the program loads over TLS. */
const LOOK = `
const { places, to } = JSON.parse(document.getElementById('places').textContent)
const said = document.getElementById('said'), on = document.getElementById('on')
async function look() {
  for (const place of places) {
    try {
      await fetch(place + '/icon.svg', { mode: 'no-cors', cache: 'no-store' })
      said.textContent = 'This device trusts the workshop.'
      on.href = place + to
      on.hidden = false
      return
    } catch {}
  }
  setTimeout(look, 3000)
}
look()`

/** How a device comes to trust the workshop’s own certificate, step by step, and what it has without. */
export function trustPage({ places, to, fingerprint, phone, nonce }: TrustPage): string {
  const data = JSON.stringify({ places, to }).replace(/</g, '\\u003c')
  return plainPage(
    'Trust the workshop',
    `<h1>Make this device part of the bench</h1>
<p>Once it trusts the workshop’s own certificate, the bench opens here even when the computer is off, and the screen stays awake.</p>
<ol>
<li>Compare first: on the computer, Settings, Other devices, there stands the same as here:<br><code>${fingerprint}</code></li>
${STEPS[phone].map((step) => `<li>${inHtml(step)}</li>`).join('\n')}
</ol>
<a class="button" href="/trust/authority" download>Load the certificate</a>
<p role="status" id="said">This page sees by itself when it is done.</p>
<a class="button" id="on" hidden href="#">Go on to the workshop</a>
<p>The certificate can vouch for this workshop’s name and for private addresses, and for nothing else on the internet.</p>
<p><a href="/trust?without=1&amp;to=${encodeURIComponent(to)}">Go on without it</a>: keep the page open then. What you enter stays on this device and is sent when the computer answers; closed or reloaded, the page does not open until then, what goes over the air is not encrypted, and the screen may sleep.</p>
<script type="application/json" id="places">${data}</script>
<script nonce="${inHtml(nonce)}">${LOOK}</script>`,
  )
}
