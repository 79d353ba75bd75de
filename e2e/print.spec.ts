import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { DEMO } from './places'
import { expect, type Page, test } from './test'

const pdfjs = join(dirname(createRequire(import.meta.url).resolve('pdfjs-dist/package.json')), 'build')
const PX_PER_MM = 20

interface Box {
  readonly width: number
  readonly height: number
}

/** Renders a PDF's first page at 20 px to the millimetre and measures what is drawn in a colour inside a strip of the page. */
async function measurePdf(page: Page, bytes: Buffer, colour: 'saw' | 'bar'): Promise<Box> {
  await page.route('**/pdfjs/*', (route) =>
    route.fulfill({ contentType: 'text/javascript', body: readFileSync(join(pdfjs, route.request().url().split('/').at(-1) ?? '')) }),
  )
  await page.goto(`${DEMO}/api/v1/forms`)
  return page.evaluate(
    async ({ data, scale, wanted }) => {
      const library = await import(/* @vite-ignore */ `${location.origin}/pdfjs/pdf.min.mjs`)
      library.GlobalWorkerOptions.workerSrc = `${location.origin}/pdfjs/pdf.worker.min.mjs`
      const pdf = await library.getDocument({ data: Uint8Array.from(atob(data), (char) => char.charCodeAt(0)) }).promise
      const sheet = await pdf.getPage(1)
      const viewport = sheet.getViewport({ scale: (scale * 25.4) / 72 })
      const canvas = Object.assign(document.createElement('canvas'), {
        width: Math.round(viewport.width),
        height: Math.round(viewport.height),
      })
      const context = canvas.getContext('2d')
      await sheet.render({ canvasContext: context, viewport, canvas }).promise
      const { data: pixels } = context?.getImageData(0, 0, canvas.width, canvas.height) ?? { data: new Uint8ClampedArray() }
      const dark = (i: number) => (pixels[i] ?? 255) < 90 && (pixels[i + 1] ?? 255) < 90 && (pixels[i + 2] ?? 255) < 90
      const red = (i: number) => (pixels[i] ?? 0) - (pixels[i + 2] ?? 0) > 60
      let [minX, maxX, minY, maxY] = [canvas.width, 0, canvas.height, 0]
      if (wanted === 'bar') {
        // The longest unbroken dark run in the foot of the page is the bar.
        for (let y = Math.floor(canvas.height * 0.9); y < canvas.height; y++) {
          let run = 0
          for (let x = 0; x <= canvas.width; x++) {
            if (x < canvas.width && dark((y * canvas.width + x) * 4)) run++
            else {
              if (run > maxX - minX) [minX, maxX] = [x - run, x]
              run = 0
            }
          }
        }
        return { width: (maxX - minX) / scale, height: 0 }
      }
      for (let y = 0; y < canvas.height; y++)
        for (let x = 0; x < canvas.width; x++) {
          if (!red((y * canvas.width + x) * 4)) continue
          minX = Math.min(minX, x)
          maxX = Math.max(maxX, x + 1)
          minY = Math.min(minY, y)
          maxY = Math.max(maxY, y + 1)
        }
      return { width: (maxX - minX) / scale, height: (maxY - minY) / scale }
    },
    { data: bytes.toString('base64'), scale: PX_PER_MM, wanted: colour },
  )
}

interface Placement {
  readonly x: number
  readonly y: number
}

/** Where the blanks lie, from the SVG's own path data. */
async function svgOf(page: Page): Promise<string> {
  const response = await page.request.get(`${DEMO}/api/layouts/1/svg`)
  expect(response.ok()).toBe(true)
  return response.text()
}

function cutBoxes(svg: string): { minX: number; maxX: number; minY: number; maxY: number }[] {
  return [...svg.matchAll(/class="cut" d="([^"]+)"/g)].map((match) => {
    const points: Placement[] = [...(match[1] ?? '').matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((pair) => ({
      x: Number(pair[1]),
      y: Number(pair[2]),
    }))
    return {
      minX: Math.min(...points.map((p) => p.x)),
      maxX: Math.max(...points.map((p) => p.x)),
      minY: Math.min(...points.map((p) => p.y)),
      maxY: Math.max(...points.map((p) => p.y)),
    }
  })
}

test('the SVG is in real millimetres: a blank drawn by the browser measures its cut size', async ({ page }) => {
  const svg = await svgOf(page)
  const [, width, height, viewWidth, viewHeight] = /width="([\d.]+)mm" height="([\d.]+)mm" viewBox="0 0 ([\d.]+) ([\d.]+)"/.exec(svg) ?? []
  expect([width, height]).toEqual([viewWidth, viewHeight])
  for (const box of cutBoxes(svg)) expect(Math.abs(box.maxX - box.minX - 27.4)).toBeLessThan(0.1)
  await page.setContent(svg)
  const drawn = await page
    .locator('path.cut')
    .first()
    .evaluate((node) => node.getBoundingClientRect().width)
  expect(Math.abs((drawn / 96) * 25.4 - 27.4)).toBeLessThan(0.15)
})

for (const paper of ['A4', 'Letter'] as const) {
  test(`the PDF on ${paper} prints 1:1: the check bar is 50 mm and the blanks span what they should`, {
    tag: paper === 'A4' ? [] : '@more',
  }, async ({ page }) => {
    const boxes = cutBoxes(await svgOf(page))
    const span = Math.max(...boxes.map((box) => box.maxX)) - Math.min(...boxes.map((box) => box.minX))
    const tall = Math.max(...boxes.map((box) => box.maxY)) - Math.min(...boxes.map((box) => box.minY))
    const bytes = await (await page.request.get(`${DEMO}/api/layouts/1/print?paper=${paper}`)).body()
    const bar = await measurePdf(page, bytes, 'bar')
    expect(Math.abs(bar.width - 50)).toBeLessThan(0.2)
    const saw = await measurePdf(page, bytes, 'saw')
    // Half a line's width (0.04 mm) stands out on each side.
    expect(Math.abs(saw.width - span - 0.09)).toBeLessThan(0.1)
    expect(Math.abs(saw.height - tall - 0.09)).toBeLessThan(0.1)
  })
}

test('a printer that scales is corrected by what its bar measured', { tag: '@more' }, async ({ page }) => {
  await page.goto(`${DEMO}/settings`)
  const field = page.getByLabel('The check bar measured')
  await field.fill('49')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  const bytes = await (await page.request.get(`${DEMO}/api/layouts/1/print?paper=A4`)).body()
  const bar = await measurePdf(page, bytes, 'bar')
  expect(Math.abs(bar.width * (49 / 50) - 50)).toBeLessThan(0.2)
  await page.goto(`${DEMO}/settings`)
  await page.getByLabel('The check bar measured').fill('50')
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
})

test('the piece card is a PDF of one page', async ({ request }) => {
  const response = await request.get(`${DEMO}/api/pieces/1/card`)
  expect(response.headers()['content-type']).toBe('application/pdf')
  expect((await response.body()).subarray(0, 5).toString()).toBe('%PDF-')
})
