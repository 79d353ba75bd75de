/**
 * A plain decimal number as a person writes it: `12`, `0.8`, `0,8`, `−1.5`. Not a number (NaN) for anything else: nothing typed, hexadecimal,
 * powers of ten, and `1,000`, which may be one or a thousand.
 */
export function readPlainNumber(text: string): number {
  const plain = text.trim().replace('−', '-')
  if (!/^[-+]?(\d+([.,]\d*)?|[.,]\d+)$/.test(plain) || isGrouped(plain)) return Number.NaN
  return Number(plain.replace(',', '.'))
}

/** Whether a comma stands where it may part thousands as well as decimals: `1,000`. */
export function isGrouped(text: string): boolean {
  return /^[-+]?[1-9]\d{0,2}(,\d{3})+(?![\d.,])/.test(text.trim())
}
