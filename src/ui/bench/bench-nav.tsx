import { SubNav } from '../shared/sub-nav'

/** The bench as it is, and the day before it. */
export function BenchNav() {
  return (
    <SubNav
      label="Bench"
      links={[
        { href: '/bench', label: 'Trays' },
        { href: '/bench/day', label: 'The day' },
      ]}
    />
  )
}
