'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import OutlinedInput from '@mui/material/OutlinedInput'
import Skeleton from '@mui/material/Skeleton'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import type { KindView } from '@/server/services/kinds'
import { Thumb } from '../drawing/thumb'
import { useWorkshop } from '../shared/workshop-context'
import { FONTS, PALETTE } from '../theme/palette'

/** So many of those made before stand first. */
const MOST_MADE = 6

/** The kinds of piece, asked for once the picker is open. */
function useKinds(): { readonly kinds: readonly KindView[] | null; readonly problem: string } {
  const { uid } = useWorkshop()
  const [kinds, setKinds] = useState<readonly KindView[] | null>(null)
  const [problem, setProblem] = useState('')
  useEffect(() => {
    const asked = new AbortController()
    fetch(`/api/kinds?of=${uid}`, { signal: asked.signal })
      .then(async (answer) => {
        const body = (await answer.json()) as KindView[] | { error: { message: string } }
        if ('error' in body) setProblem(body.error.message)
        else setKinds(body)
      })
      .catch(() => {
        if (!asked.signal.aborted) setProblem('The program cannot be reached. Check that it is running, and open this again.')
      })
    return () => asked.abort()
  }, [uid])
  return { kinds, problem }
}

/** The kinds that the words name, under the heads of their families; those made before under a head of their own. */
export function groupKinds(kinds: readonly KindView[], words: string): ReadonlyMap<string, readonly KindView[]> {
  const parts = words.toLowerCase().split(/\s+/).filter(Boolean)
  const named = kinds.filter(({ title, family, id }) => parts.every((part) => `${title} ${family} ${id}`.toLowerCase().includes(part)))
  const made = named.filter((kind) => kind.made > 0).slice(0, MOST_MADE)
  const groups = new Map<string, readonly KindView[]>(made.length > 0 ? [['Most made here', made]] : [])
  const byName = [...named].sort((a, b) => a.title.localeCompare(b.title))
  for (const kind of byName.filter((one) => !made.includes(one))) groups.set(kind.family, [...(groups.get(kind.family) ?? []), kind])
  return groups
}

function Kind({ kind, onPick }: { readonly kind: KindView; readonly onPick: () => void }) {
  return (
    <ButtonBase
      onClick={onPick}
      sx={{
        flexDirection: 'column',
        gap: 0.5,
        p: 0.75,
        justifyContent: 'flex-start',
        border: `1px solid ${PALETTE.hairline}`,
        bgcolor: PALETTE.white,
        borderRadius: '4px',
        color: PALETTE.ink,
        '&:hover': { borderColor: PALETTE.verdigris },
      }}
    >
      {kind.thumb ? <Thumb {...kind.thumb} size={52} /> : <Box sx={{ height: 52 }} />}
      <Box sx={{ fontSize: 13, fontWeight: 600, lineHeight: 1.2, textAlign: 'center' }}>{kind.title}</Box>
    </ButtonBase>
  )
}

interface KindPickerProps {
  readonly onPick: (kind: KindView) => void
}

/** What is to be made, by picture and word; typing narrows it, Enter takes the first. */
export function KindPicker({ onPick }: KindPickerProps) {
  const { kinds, problem } = useKinds()
  const [words, setWords] = useState('')
  const groups = kinds ? groupKinds(kinds, words) : new Map<string, readonly KindView[]>()
  const [first] = [...groups.values()].flat()
  /** Enter was pressed before the kinds were there. */
  const [isEntered, setEntered] = useState(false)
  useEffect(() => {
    if (isEntered && first) onPick(first)
  }, [isEntered, first, onPick])
  return (
    <Box role="group" aria-label="Kind of piece">
      <OutlinedInput
        autoFocus
        fullWidth
        value={words}
        placeholder="ring, dome, bezel, buckle…"
        onChange={(event) => setWords(event.target.value)}
        onKeyDown={(event) => {
          if (event.key !== 'Enter') return
          event.preventDefault()
          if (first) onPick(first)
          else setEntered(kinds === null)
        }}
        inputProps={{ 'aria-label': 'What is it?' }}
        sx={{ fontFamily: FONTS.text }}
      />
      <Box sx={{ maxHeight: 340, overflowY: 'auto', mt: 1, pr: 0.5 }}>
        {problem ? <Typography role="alert">{problem}</Typography> : null}
        {kinds === null && !problem ? (
          <Skeleton variant="rounded" height={200} role="status" aria-label="Drawing the kinds of piece" />
        ) : null}
        {kinds && groups.size === 0 ? (
          <Typography>No kind of piece is called that. Try a shorter word, or clear the line to see them all.</Typography>
        ) : null}
        {[...groups].map(([family, own]) => (
          <Box key={family} component="section" aria-label={family} sx={{ mb: 1.25 }}>
            <Typography variant="h2">{family}</Typography>
            <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(104px, 1fr))', gap: 0.75, mt: 0.5 }}>
              {own.map((kind) => (
                <Kind key={kind.id} kind={kind} onPick={() => onPick(kind)} />
              ))}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  )
}
