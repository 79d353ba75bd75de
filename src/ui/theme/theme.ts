'use client'
import { createTheme } from '@mui/material/styles'
import { FONTS, PALETTE } from './palette'

const hairline = `1px solid ${PALETTE.hairline}`
const focus = { outline: `2px solid ${PALETTE.verdigris}`, outlineOffset: 2 }

/** The one theme: squared corners, hairlines instead of shadows, compact fields, figures in the mono. */
export const theme = createTheme({
  palette: {
    mode: 'light',
    primary: { main: PALETTE.verdigris, contrastText: '#ffffff' },
    secondary: { main: PALETTE.petrol, contrastText: '#ffffff' },
    error: { main: PALETTE.fire },
    warning: { main: PALETTE.ochre },
    text: { primary: PALETTE.ink, secondary: PALETTE.muted },
    background: { default: PALETTE.ground, paper: PALETTE.white },
    divider: PALETTE.hairline,
  },
  shape: { borderRadius: 4 },
  spacing: 8,
  typography: {
    fontFamily: FONTS.text,
    fontSize: 14,
    h1: { fontFamily: FONTS.head, fontSize: 20, fontWeight: 650, lineHeight: 1.2 },
    h2: { fontFamily: FONTS.text, fontSize: 14, fontWeight: 600, color: PALETTE.muted, lineHeight: 1.4 },
    h3: { fontFamily: FONTS.head, fontSize: 16, fontWeight: 600 },
    body1: { fontSize: 14, lineHeight: 1.45 },
    body2: { fontSize: 13, lineHeight: 1.4, color: PALETTE.muted },
    button: { textTransform: 'none', fontWeight: 600 },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        body: { fontFeatureSettings: '"tnum"' },
        'code, .fig': { fontFamily: FONTS.mono, fontVariantNumeric: 'tabular-nums' },
        '*:focus-visible': focus,
        '@media (prefers-reduced-motion: reduce)': { '*': { transition: 'none !important', animation: 'none !important' } },
      },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true, disableTouchRipple: true },
      styleOverrides: { root: { '&:focus-visible': focus } },
    },
    MuiButton: {
      defaultProps: { variant: 'outlined', size: 'small', disableElevation: true },
      styleOverrides: {
        root: {
          minHeight: 32,
          padding: '4px 12px',
          borderColor: PALETTE.hairline,
          color: PALETTE.ink,
          backgroundColor: PALETTE.white,
          whiteSpace: 'nowrap',
          '&.MuiButton-contained': { backgroundColor: PALETTE.verdigris, color: '#fff', borderColor: PALETTE.verdigris },
          '&.MuiButton-text': { backgroundColor: 'transparent', color: PALETTE.verdigris, padding: '4px 6px' },
          '&.Mui-disabled': { opacity: 0.5 },
        },
      },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { border: hairline, backgroundImage: 'none' } } },
    MuiDialog: { styleOverrides: { paper: { borderRadius: 4 } } },
    MuiOutlinedInput: {
      defaultProps: { size: 'small' },
      styleOverrides: {
        root: {
          height: 32,
          backgroundColor: PALETTE.white,
          fontFamily: FONTS.mono,
          fontSize: 14,
          '& fieldset': { borderColor: PALETTE.hairline },
          '&.Mui-focused fieldset': { borderWidth: 2 },
        },
        input: { padding: '0 10px', height: 32, boxSizing: 'border-box' },
        multiline: { height: 'auto', padding: '6px 0' },
      },
    },
    MuiNativeSelect: { styleOverrides: { select: { fontFamily: FONTS.text, fontSize: 14 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          textTransform: 'none',
          padding: '6px 8px',
          lineHeight: 1.25,
          color: PALETTE.ink,
          backgroundColor: PALETTE.white,
          borderColor: PALETTE.hairline,
          '&.Mui-selected, &.Mui-selected:hover': { backgroundColor: PALETTE.verdigris, color: '#fff' },
        },
      },
    },
    MuiLink: { styleOverrides: { root: { color: PALETTE.verdigris, fontWeight: 600, textDecorationColor: 'currentColor' } } },
    MuiTableCell: {
      styleOverrides: {
        root: { borderColor: PALETTE.hairline, padding: '6px 10px', fontSize: 13.5 },
        head: { color: PALETTE.muted, fontWeight: 600 },
      },
    },
    MuiTooltip: { styleOverrides: { tooltip: { backgroundColor: PALETTE.petrol, fontSize: 13, borderRadius: 4 } } },
  },
})
