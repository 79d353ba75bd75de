'use client'
import Box from '@mui/material/Box'
import OutlinedInput from '@mui/material/OutlinedInput'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { findTerms } from '@/core/glossary'
import { FONTS, PALETTE } from '../theme/palette'

/** The glossary: every word of the trade that the program uses, found by typing. */
export function WordsView({ asked }: { readonly asked: string }) {
  const [words, setWords] = useState(asked)
  const terms = findTerms(words)
  return (
    <Box sx={{ p: 2.5 }}>
      <OutlinedInput
        value={words}
        placeholder="kerf, pickle, solidus…"
        onChange={(event) => setWords(event.target.value)}
        inputProps={{ 'aria-label': 'Find a word' }}
        sx={{ fontFamily: FONTS.text, width: '100%', maxWidth: 460 }}
      />
      {terms.length === 0 ? <Typography sx={{ mt: 2 }}>No word of the trade here has that in it.</Typography> : null}
      <Box component="dl" sx={{ columnWidth: 340, columnGap: 4, mt: 2.5 }}>
        {terms.map((term) => (
          <Box key={term.word} sx={{ breakInside: 'avoid', borderTop: `1px dotted ${PALETTE.hairline}`, py: 1 }}>
            <Typography component="dt" sx={{ fontWeight: 700 }}>
              {term.word}
              {term.also ? (
                <Box component="span" sx={{ fontWeight: 400, color: PALETTE.muted, fontSize: 13 }}>
                  {' '}
                  {term.also.join(', ')}
                </Box>
              ) : null}
            </Typography>
            <Typography component="dd" sx={{ m: 0 }}>
              {term.means}
            </Typography>
          </Box>
        ))}
      </Box>
    </Box>
  )
}
