'use client'
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import type { ReactNode } from 'react'
import { KEY_REGISTRY, type KeyId } from '../keys/registry'
import { FONTS, PALETTE } from '../theme/palette'

interface BigButtonProps {
  readonly children: ReactNode
  readonly onPress?: () => void
  readonly href?: string
  /** The key that presses it, by its name in the registry. */
  readonly keyId?: KeyId
  readonly main?: boolean
  readonly plain?: boolean
  readonly disabled?: boolean
  readonly type?: 'button' | 'submit'
}

/** A button for a gloved thumb, the key that presses it drawn beside it. */
export function BigButton({
  children,
  onPress,
  href,
  keyId,
  main = false,
  plain = false,
  disabled = false,
  type = 'button',
}: BigButtonProps) {
  const look = main
    ? { bgcolor: PALETTE.verdigrisBench, color: '#06201b', fontSize: 21, fontWeight: 700, px: 4 }
    : plain
      ? { px: 1, color: PALETTE.petrolText }
      : { border: `1px solid ${PALETTE.petrolMuted}`, color: '#fff', px: 3 }
  const target = href ? { component: 'a' as const, href } : { type }
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25 }}>
      <ButtonBase
        {...target}
        {...(onPress ? { onClick: onPress } : {})}
        disabled={disabled}
        sx={{
          minHeight: 56,
          borderRadius: '4px',
          fontSize: 17.5,
          fontFamily: FONTS.text,
          '&:focus-visible': { outline: '3px solid #fff', outlineOffset: 3 },
          opacity: disabled ? 0.6 : 1,
          ...look,
        }}
      >
        {children}
      </ButtonBase>
      {keyId ? (
        <Box
          component="kbd"
          sx={{
            fontFamily: FONTS.mono,
            fontSize: 16,
            border: `1px solid ${PALETTE.petrolMuted}`,
            borderRadius: '4px',
            px: 1,
            py: 0.25,
            color: PALETTE.petrolText,
            '@media (hover: none) and (pointer: coarse)': { display: 'none' },
          }}
        >
          {KEY_REGISTRY[keyId].shown}
        </Box>
      ) : null}
    </Box>
  )
}
