import { SubNav } from '../shared/sub-nav'

interface StationsProps {
  readonly pieceId: number
  readonly hasJoints: boolean
  readonly isFormed: boolean
}

/** The stations of a piece; joints only where something is joined by heat, forming only where something is domed or bent round. */
export function Stations({ pieceId, hasJoints, isFormed }: StationsProps) {
  const at = `/pieces/${pieceId}`
  return (
    <SubNav
      label="Stations"
      links={[
        { href: at, label: 'Size' },
        { href: `${at}/mark`, label: 'Mark' },
        ...(hasJoints ? [{ href: `${at}/joints`, label: 'Joints' }] : []),
        ...(isFormed ? [{ href: `${at}/form`, label: 'Form' }] : []),
        { href: `${at}/finish`, label: 'Finish' },
        { href: `${at}/route`, label: 'Route' },
        { href: `${at}/record`, label: 'Record' },
        { href: `${at}/compare`, label: 'Compare' },
      ]}
    />
  )
}
