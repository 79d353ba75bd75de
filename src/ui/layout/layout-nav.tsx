import { SubNav } from '../shared/sub-nav'

/** The two looks at a job's layout: where its blanks lie, and how they are cut out. */
export function LayoutNav({ jobId }: { readonly jobId: number }) {
  return (
    <SubNav
      label="Layout"
      links={[
        { href: `/layout/${jobId}`, label: 'Lay out' },
        { href: `/layout/${jobId}/saw`, label: 'Saw' },
      ]}
    />
  )
}
