import type { Mark } from '@/core/marks'

/** What can be put on a blank, as it is called where it is added. */
export const MARK_KINDS: Readonly<Record<Mark['kind'], string>> = {
  letters: 'Words',
  repeat: 'Border of stamps',
  holes: 'Row of holes',
  stamp: 'One stamp',
  hallmark: 'Hallmark',
  map: 'Pattern map',
}

/** A mark as it stands in the list. */
export function markTitle(mark: Mark): string {
  switch (mark.kind) {
    case 'letters':
      return `“${mark.text.replace(/\s+/g, ' ')}”`
    case 'repeat':
      return mark.id ?? (mark.stampCount ? `${mark.stampCount} stamps` : 'border of stamps')
    case 'holes':
      return mark.id ?? (mark.stampCount ? `${mark.stampCount} holes` : 'row of holes')
    case 'map':
      return mark.id ?? `map of ${mark.points.length} points`
    default:
      return mark.id ?? MARK_KINDS[mark.kind].toLowerCase()
  }
}
