/** Paper that opens in the browser; with a name, that is what it is saved as. */
export function pdfFile(bytes: Uint8Array, name?: string): Response {
  return new Response(Buffer.from(bytes), {
    headers: { 'content-type': 'application/pdf', ...(name ? { 'content-disposition': `inline; filename="${name}.pdf"` } : {}) },
  })
}
