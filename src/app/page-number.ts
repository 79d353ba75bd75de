/** The page that an address asks for; the first where it asks for none, or for nonsense. */
export function pageNumber(asked: string | string[] | undefined): number {
  const page = typeof asked === 'string' && /^\d{1,6}$/.test(asked) ? Number(asked) : 1
  return Math.max(1, page)
}

export const pagesOf = (count: number, size: number): number => Math.max(1, Math.ceil(count / size))
