import { SubNav } from '../shared/sub-nav'

/** The parts of the Tables place. */
export function TablesNav() {
  return (
    <SubNav
      label="Tables"
      links={[
        { href: '/tables', label: 'Look up' },
        { href: '/tables/advice/drill', label: 'Ask an adviser', below: '/tables/advice' },
        { href: '/tables/words', label: 'Words of the trade' },
      ]}
    />
  )
}
