/** The day of a moment where the workshop is, as `2026-05-31`. */
export function localDay(moment = new Date()): string {
  const two = (number: number) => String(number).padStart(2, '0')
  return `${moment.getFullYear()}-${two(moment.getMonth() + 1)}-${two(moment.getDate())}`
}
