import { useDates } from './dates'
import { useIsHere } from './use-is-here'

/** When something was checked last, in words of this device's own day, which the program does not know: undefined until the page is alive. */
export function useChecked(at: string | undefined): { readonly isToday: boolean; readonly on: string } | undefined {
  const isHere = useIsHere()
  const { clock, day } = useDates()
  if (!isHere) return undefined
  const isToday = at !== undefined && new Date(at).toDateString() === new Date().toDateString()
  return { isToday, on: at === undefined ? '' : isToday ? `at ${clock(at)}` : `on ${day(at)}` }
}
