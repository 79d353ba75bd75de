'use client'
import { createTheme } from '@mui/material/styles'
import { FONTS, PALETTE, SCHEME_PROPERTIES, SCHEMES, type Tone } from './palette'

const hairline = `1px solid ${PALETTE.hairline}`
const focus = { outline: `2px solid ${PALETTE.verdigris}`, outlineOffset: 2 }

/** The attribute of the page that says which scheme is on. */
export const SCHEME_ATTRIBUTE = 'data-scheme'

const paletteOf = (tones: Readonly<Record<Tone, string>>) => ({
  primary: { main: tones.verdigris, contrastText: tones.onVerdigris },
  secondary: { main: PALETTE.petrol, contrastText: '#ffffff' },
  error: { main: tones.fire },
  warning: { main: tones.ochre },
  text: { primary: tones.ink, secondary: tones.muted },
  background: { default: tones.ground, paper: tones.white },
  divider: tones.hairline,
})

/** The one theme: squared corners, hairlines instead of shadows, compact fields, figures in the mono; by day and by lamplight. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: SCHEME_ATTRIBUTE },
  colorSchemes: { light: { palette: paletteOf(SCHEMES.light) }, dark: { palette: paletteOf(SCHEMES.dark) } },
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
        ':root': SCHEME_PROPERTIES.light,
        [`[${SCHEME_ATTRIBUTE}="dark"]`]: { ...SCHEME_PROPERTIES.dark, colorScheme: 'dark' },
        body: { fontFeatureSettings: '"tnum"' },
        'code, .fig': { fontFamily: FONTS.mono, fontVariantNumeric: 'tabular-nums' },
        '*:focus-visible': focus,
        '@media (prefers-reduced-motion: reduce)': { '*': { transition: 'none !important', animation: 'none !important' } },
        '@page': { margin: '12mm' },
        '@media print': {
          ':root, [data-scheme="dark"]': SCHEME_PROPERTIES.light,
          // what is pressed or typed in has no use on paper
          'nav, button, [role="menu"], .MuiSnackbar-root, .no-print': { display: 'none !important' },
          'main, section': { overflow: 'visible !important', height: 'auto !important', minHeight: '0 !important' },
          'body, main': { backgroundColor: '#ffffff !important' },
          'article, section, figure, tr': { breakInside: 'avoid' },
          a: { textDecoration: 'none !important' },
        },
      },
    },
    MuiButtonBase: {
      defaultProps: { disableRipple: true, disableTouchRipple: true },
      styleOverrides: { root: { font: 'inherit', '&:focus-visible': focus } },
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
          fontFamily: FONTS.text,
          fontSize: 13.5,
          fontWeight: 600,
          '&.MuiButton-contained': { backgroundColor: PALETTE.verdigris, color: PALETTE.onVerdigris, borderColor: PALETTE.verdigris },
          '&.MuiButton-text': { backgroundColor: 'transparent', color: PALETTE.verdigris, padding: '4px 6px' },
          '&.Mui-disabled': { opacity: 0.5 },
        },
      },
    },
    MuiIconButton: {
      defaultProps: { size: 'small' },
      styleOverrides: { root: { borderRadius: 4, color: PALETTE.ink, minWidth: 32, minHeight: 32 } },
    },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { border: hairline, backgroundImage: 'none' } } },
    MuiDialog: { styleOverrides: { paper: { borderRadius: 4 } } },
    MuiDialogTitle: { styleOverrides: { root: { fontFamily: FONTS.head, fontSize: 19, fontWeight: 650, padding: '18px 24px 8px' } } },
    MuiDialogActions: { styleOverrides: { root: { padding: '12px 24px 18px', gap: 8 } } },
    MuiOutlinedInput: {
      defaultProps: { size: 'small' },
      styleOverrides: {
        root: {
          height: 32,
          backgroundColor: PALETTE.white,
          fontFamily: FONTS.mono,
          fontSize: 14,
          '& fieldset': { borderColor: PALETTE.hairline },
          '&:has(select)': { fontFamily: FONTS.text },
          '&.Mui-focused fieldset': { borderWidth: 2 },
        },
        input: { padding: '0 10px', height: 32, boxSizing: 'border-box' },
        multiline: { height: 'auto', padding: '6px 0' },
      },
    },
    MuiInputLabel: {
      styleOverrides: {
        root: { position: 'static', transform: 'none', color: PALETTE.ink, fontWeight: 600, fontSize: 14, whiteSpace: 'normal' },
      },
    },
    MuiFormHelperText: {
      styleOverrides: {
        root: {
          margin: 0,
          fontSize: 12.5,
          lineHeight: 1.35,
          color: PALETTE.muted,
          '&:not(:empty)': { marginTop: 4 },
          '&.Mui-error': { color: PALETTE.fire },
        },
      },
    },
    MuiInputAdornment: { styleOverrides: { root: { marginLeft: 2, '& p': { fontSize: 12, color: PALETTE.muted } } } },
    MuiNativeSelect: {
      styleOverrides: { select: { '&&': { padding: '0 28px 0 10px', height: 32, minHeight: 32, boxSizing: 'border-box' } } },
    },
    MuiMenu: { styleOverrides: { paper: { border: hairline } } },
    MuiMenuItem: { styleOverrides: { root: { fontSize: 14, minHeight: 34, gap: 10 } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          textTransform: 'none',
          padding: '6px 8px',
          lineHeight: 1.25,
          color: PALETTE.ink,
          backgroundColor: PALETTE.white,
          borderColor: PALETTE.hairline,
          '&.Mui-selected, &.Mui-selected:hover': { backgroundColor: PALETTE.verdigris, color: PALETTE.onVerdigris },
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
    MuiSnackbarContent: {
      styleOverrides: { root: { backgroundColor: PALETTE.petrol, color: PALETTE.petrolText, border: 'none', fontSize: 14 } },
    },
  },
})
