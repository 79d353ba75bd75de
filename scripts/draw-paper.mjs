const LIBRARY = 'node_modules/pdfjs-dist/build'
const PAPER_PAGE = `<body style="margin:0"><canvas></canvas><script type="module">
  import * as pdf from '/paper/pdf.mjs'
  pdf.GlobalWorkerOptions.workerSrc = '/paper/pdf.worker.mjs'
  const asked = new URLSearchParams(location.search)
  const sheet = await (await pdf.getDocument(asked.get('of')).promise).getPage(1)
  const viewport = sheet.getViewport({ scale: Number(asked.get('scale')) })
  const canvas = document.querySelector('canvas')
  Object.assign(canvas, { width: viewport.width, height: viewport.height })
  await sheet.render({ canvas, viewport }).promise
  canvas.dataset.drawn = 'yes'
</script>`

/** The first page of a PDF that a server gives, drawn by the PDF library in a page of its own; `scale` is pixels to a point. */
export async function drawPaper(page, base, path, scale = 1.6) {
  await page.route('**/paper/**', (route) => {
    const file = new URL(route.request().url()).pathname.split('/').at(-1)
    return file
      ? route.fulfill({ path: `${LIBRARY}/${file}`, contentType: 'text/javascript' })
      : route.fulfill({ body: PAPER_PAGE, contentType: 'text/html' })
  })
  await page.goto(`${base}/paper/?of=${encodeURIComponent(path)}&scale=${scale}`)
  const sheet = page.locator('canvas[data-drawn]')
  await sheet.waitFor()
  return sheet
}
