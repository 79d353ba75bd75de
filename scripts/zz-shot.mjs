import { chromium } from '@playwright/test'
import { BROWSER } from '/work/main/scripts/browser.mjs'

const [, , out, path, w = '1280', h = '800', script = ''] = process.argv
const b = await chromium.launch(BROWSER)
const p = await b.newPage({ viewport: { width: +w, height: +h } })
p.on('console', (m) => {
  if (m.type() === 'error') console.log('console:', m.text().slice(0, 300))
})
p.on('pageerror', (e) => console.log('pageerror', String(e).slice(0, 300)))
await p.goto('http://127.0.0.1:4399' + path, { waitUntil: 'load' })
await p.waitForTimeout(1500)
if (script) {
  await eval(`(async()=>{${script}})()`)
  await p.waitForTimeout(700)
}
await p.screenshot({ path: out })
await b.close()
