'use client'
import Box from '@mui/material/Box'
import Pagination from '@mui/material/Pagination'
import { usePathname, useRouter, useSearchParams } from 'next/navigation'

interface PagerProps {
  readonly label: string
  readonly page: number
  readonly pages: number
  /** Which word of the address says the page. */
  readonly name?: string
}

/** Turns the pages of a list that is longer than one; the page stands in the address. */
export function Pager({ label, page, pages, name = 'page' }: PagerProps) {
  const router = useRouter()
  const path = usePathname()
  const search = useSearchParams()
  if (pages < 2) return null
  function turn(to: number) {
    const next = new URLSearchParams(search)
    next.delete('job')
    next.set(name, String(to))
    router.push(`${path}?${next}`)
  }
  return (
    <Box component="nav" aria-label={label} sx={{ display: 'flex', justifyContent: 'center', my: 2 }}>
      <Pagination page={page} count={pages} onChange={(_, to) => turn(to)} shape="rounded" />
    </Box>
  )
}
