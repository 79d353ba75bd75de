import { SubNav } from '../shared/sub-nav'

/** The stations of a piece; joints only where something is joined by heat. */
export function Stations({ pieceId, hasJoints }: { readonly pieceId: number; readonly hasJoints: boolean }) {
  const at = `/pieces/${pieceId}`
  return (
    <SubNav
      label="Stations"
      links={[
        { href: at, label: 'Size' },
        ...(hasJoints ? [{ href: `${at}/joints`, label: 'Joints' }] : []),
        { href: `${at}/route`, label: 'Route' },
        { href: `${at}/record`, label: 'Record' },
        { href: `${at}/compare`, label: 'Compare' },
      ]}
    />
  )
}
