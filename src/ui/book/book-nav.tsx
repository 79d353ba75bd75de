import { SubNav } from '../shared/sub-nav'

/** What came out, what the metals took, what is taught, and what is practised. */
export function BookNav() {
  return (
    <SubNav
      label="Book"
      links={[
        { href: '/book', label: 'Record' },
        { href: '/book/metals', label: 'Metals' },
        { href: '/book/lessons', label: 'Lessons', below: '/book/lessons' },
        { href: '/book/trainer', label: 'Trainer' },
      ]}
    />
  )
}
