'use client'
import Box from '@mui/material/Box'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { DapAnswer } from '@/core/forming'
import type { BentPart, CurledPart, DappedPart, ShellPart } from '@/core/piece'
import { PageLink } from '../shared/page-link'
import { BendView } from './bend-view'
import { CurlView } from './curl-view'
import { DomeView } from './dome-view'
import { ShellView } from './shell-view'

/** A part that is formed: domed out of a disc, with its stages as its route has them, bent round a former, curled to a tube, or pressed, sunk or raised. */
export type FormedPart =
  | { readonly kind: 'domed'; readonly part: DappedPart; readonly answer: DapAnswer }
  | { readonly kind: 'bent'; readonly part: BentPart }
  | { readonly kind: 'curled'; readonly part: CurledPart }
  | { readonly kind: 'shell'; readonly part: ShellPart }

/** What is done to it, where a part is formed in more ways than one. */
const DONE = { domed: 'domed', bent: 'bent', curled: 'curled', shell: 'hollowed' } as const

function View({ formed }: { readonly formed: FormedPart }) {
  if (formed.kind === 'domed') return <DomeView part={formed.part} first={formed.answer} />
  if (formed.kind === 'shell') return <ShellView part={formed.part} />
  return formed.kind === 'bent' ? <BendView part={formed.part} /> : <CurlView part={formed.part} />
}

const keyOf = ({ kind, part }: FormedPart) => `${part.part} ${kind}`

/** Forming, stage by stage: what each punch, former or stake makes of the metal. */
export function FormStation({ pieceId, parts }: { readonly pieceId: number; readonly parts: readonly FormedPart[] }) {
  const [shown, setShown] = useState(0)
  const formed = parts[shown]
  if (!formed)
    return (
      <Typography sx={{ p: 3 }}>
        Nothing of this piece is domed out of a disc, bent round a former, curled, pressed, sunk or raised. Its other forming is on its{' '}
        <PageLink href={`/pieces/${pieceId}/route`}>route</PageLink>.
      </Typography>
    )
  const isTwice = ({ part }: FormedPart) => parts.filter((other) => other.part.part === part.part).length > 1
  return (
    <Box sx={{ flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0, overflow: { md: 'hidden' } }}>
      {parts.length > 1 ? (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={shown}
          onChange={(_, index: number | null) => index !== null && setShown(index)}
          aria-label="Part"
          sx={{ px: 2.5, pt: 1.25 }}
        >
          {parts.map((one, i) => (
            <ToggleButton key={keyOf(one)} value={i}>
              {one.part.name}
              {isTwice(one) ? `, ${DONE[one.kind]}` : ''}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      ) : null}
      <View key={keyOf(formed)} formed={formed} />
    </Box>
  )
}
