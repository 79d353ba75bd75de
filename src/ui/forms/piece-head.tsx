import { SubNav } from '../shared/sub-nav'

/** The stations of a piece. */
export function Stations({ pieceId }: { readonly pieceId: number }) {
  const at = `/pieces/${pieceId}`
  return (
    <SubNav
      label="Stations"
      links={[
        { href: at, label: 'Size' },
        { href: `${at}/route`, label: 'Route' },
        { href: `${at}/record`, label: 'Record' },
        { href: `${at}/compare`, label: 'Compare' },
      ]}
    />
  )
}
