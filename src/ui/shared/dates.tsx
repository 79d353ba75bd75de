'use client'
import dayjs from 'dayjs'
import localizedFormat from 'dayjs/plugin/localizedFormat.js'
import 'dayjs/locale/en-gb.js'
import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from 'react'
import { toFiveMinutes } from '@/core/schedule'

dayjs.extend(localizedFormat)

/** What the server writes, and every browser until its own language is there. */
const FIRST = 'en-gb'

const LocaleContext = createContext(FIRST)

/** Loads the words and the week of a language; undefined where there are none. */
async function load(language: string): Promise<string | undefined> {
  const known = language.toLowerCase()
  if (known === 'en' || known === 'en-us') return 'en'
  for (const name of [known, known.split('-')[0] ?? known]) {
    try {
      await import(`dayjs/locale/${name}.js`)
      return name
    } catch {
      // no such language: the next, wider one
    }
  }
  return undefined
}

/** Days and times in the browser's own language. */
export function DatesProvider({ children }: { readonly children: ReactNode }) {
  const [locale, setLocale] = useState(FIRST)
  useEffect(() => {
    void load(navigator.language).then((found) => setLocale(found ?? FIRST))
  }, [])
  return <LocaleContext.Provider value={locale}>{children}</LocaleContext.Provider>
}

/** Words for days and times: "1 March 2027", "1 Mar 2027 14:05". */
export function useDates() {
  const locale = useContext(LocaleContext)
  return useMemo(() => {
    const clock = (iso: string) => {
      const at = dayjs(iso).locale(locale)
      return at.isSame(dayjs(), 'day') ? at.format('LT') : at.format('ddd LT')
    }
    return {
      locale,
      day: (iso: string) => dayjs(iso).locale(locale).format('LL'),
      time: (iso: string) => dayjs(iso).locale(locale).format('lll'),
      /** Hour and minute; the weekday before it where it is another day than today’s. */
      clock,
      /** The same for what is planned: by five minutes. */
      five: (iso: string) => clock(toFiveMinutes(iso)),
    }
  }, [locale])
}
