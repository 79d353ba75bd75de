interface PdfText {
  readonly text: string
  readonly x: number
  readonly y: number
  readonly right: number
}

export interface ReadPage {
  readonly widthMm: number
  readonly heightMm: number
  readonly texts: readonly PdfText[]
}

const MM_PER_PT = 25.4 / 72

/** The pages of a PDF as an independent reader finds them, in mm from the lower left corner. */
export async function readPdf(bytes: Uint8Array): Promise<ReadPage[]> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs')
  const document = await getDocument({
    data: bytes.slice(),
    verbosity: 0,
    standardFontDataUrl: 'node_modules/pdfjs-dist/standard_fonts/',
  }).promise
  return Promise.all(
    Array.from({ length: document.numPages }, async (_, i) => {
      const page = await document.getPage(i + 1)
      const [left = 0, bottom = 0, right = 0, top = 0] = page.view
      const { items } = await page.getTextContent()
      const texts = items.flatMap((item) => {
        if (!('str' in item) || item.str.trim() === '') return []
        const [x, y] = [Number(item.transform[4]), Number(item.transform[5])]
        return [{ text: item.str, x: x * MM_PER_PT, y: y * MM_PER_PT, right: (x + item.width) * MM_PER_PT }]
      })
      return { widthMm: (right - left) * MM_PER_PT, heightMm: (top - bottom) * MM_PER_PT, texts }
    }),
  )
}
