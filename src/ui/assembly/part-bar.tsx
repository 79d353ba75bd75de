'use client'
import Box from '@mui/material/Box'
import { PageLink } from '../shared/page-link'
import { PALETTE } from '../theme/palette'

interface PartBarProps {
  readonly pieceId: number
  readonly parts: readonly { readonly id: string; readonly name: string }[]
  readonly shown: string
  /** The piece has no other part, nothing that goes on it and no joint. */
  readonly isOnly: boolean
}

const LINK = { color: PALETTE.verdigris, fontSize: 13.5, mr: 1.5, textUnderlineOffset: '3px' } as const

/** From one part to another, and back to all of them together. */
export function PartBar({ pieceId, parts, shown, isOnly }: PartBarProps) {
  const at = `/pieces/${pieceId}`
  if (isOnly)
    return (
      <Box sx={{ mb: 0.5 }}>
        <Box component={PageLink} href={`${at}?part=all`} sx={LINK}>
          Join it to something
        </Box>
      </Box>
    )
  return (
    <Box component="nav" aria-label="Parts" sx={{ mb: 0.5, py: 0.5, borderBottom: `1px solid ${PALETTE.hairline}` }}>
      <Box component={PageLink} href={at} sx={LINK}>
        All together
      </Box>
      {parts.map(({ id, name }) => (
        <Box
          key={id}
          component={PageLink}
          href={`${at}?part=${encodeURIComponent(id)}`}
          aria-current={id === shown ? 'page' : undefined}
          sx={{ ...LINK, fontWeight: id === shown ? 700 : 400, textDecorationLine: id === shown ? 'none' : 'underline' }}
        >
          {name}
        </Box>
      ))}
    </Box>
  )
}
