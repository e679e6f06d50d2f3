/** The look of DESIGN.md: neutral table, paper-white panels, madder for the one main action, verdigris for success. */
import { createTheme } from '@mui/material/styles';

declare module '@mui/material/styles' {
  interface Palette {
    table: { main: string; line: string; ruler: string; box: string; compartment: string };
  }
  interface PaletteOptions {
    table?: { main: string; line: string; ruler: string; box: string; compartment: string };
  }
}

const BODY = '"Atkinson Hyperlegible Next", "Atkinson Hyperlegible", sans-serif';
const HEADING = 'Fraunces, Georgia, serif';

export const theme = createTheme({
  cssVariables: { colorSchemeSelector: 'data-scheme' },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: '#9e2b45', contrastText: '#ffffff' },
        secondary: { main: '#2f6f68', contrastText: '#ffffff' },
        warning: { main: '#8a5a00' },
        error: { main: '#a3261b' },
        success: { main: '#2f6f68' },
        info: { main: '#4a4650', contrastText: '#ffffff' },
        background: { default: '#f1eee7', paper: '#fbfaf7' },
        text: { primary: '#25232a', secondary: '#5d5a62' },
        divider: '#dcd7cc',
        table: { main: '#b9b7b3', line: '#a6a4a0', ruler: '#dedcd5', box: '#e5dcc8', compartment: '#f7f3ea' },
      },
    },
    dark: {
      palette: {
        primary: { main: '#e58a9d', contrastText: '#2a0a12' },
        secondary: { main: '#7cc0b6', contrastText: '#06231f' },
        warning: { main: '#e6b450' },
        error: { main: '#ef8d80' },
        success: { main: '#7cc0b6' },
        info: { main: '#cfc9be', contrastText: '#25232a' },
        background: { default: '#1b1a18', paper: '#232220' },
        text: { primary: '#f2efe8', secondary: '#b7b2a8' },
        divider: '#3d3b37',
        table: { main: '#3a3938', line: '#4a4947', ruler: '#2c2b29', box: '#191816', compartment: '#292825' },
        // White on what is made of the colours above is too faint to be read (WCAG 2.2, 1.4.3): notices are as by day.
        Alert: {
          ...{ successFilledBg: '#2f6f68', warningFilledBg: '#8a5a00', errorFilledBg: '#a3261b' },
          ...{ infoFilledBg: '#4a4650', infoFilledColor: '#ffffff' },
          ...{ successFilledColor: '#ffffff', warningFilledColor: '#ffffff', errorFilledColor: '#ffffff' },
        },
      },
    },
  },
  shape: { borderRadius: 8 },
  typography: {
    fontFamily: BODY,
    fontSize: 15,
    htmlFontSize: 16,
    h1: { fontFamily: HEADING, fontWeight: 600, fontSize: '2rem', letterSpacing: '-0.01em' },
    h2: { fontFamily: HEADING, fontWeight: 600, fontSize: '1.35rem' },
    h3: { fontFamily: HEADING, fontWeight: 600, fontSize: '1.1rem' },
    body1: { fontSize: '1rem' },
    body2: { fontSize: '0.9rem' },
    caption: { fontSize: '0.875rem' },
    button: { textTransform: 'none', fontWeight: 600, fontSize: '0.95rem' },
  },
  components: {
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiButton: {
      defaultProps: { disableElevation: true },
      styleOverrides: { root: { minHeight: 36, borderRadius: 8 }, sizeLarge: { minHeight: 44 } },
    },
    MuiIconButton: { styleOverrides: { root: { minWidth: 34, minHeight: 34, borderRadius: 8 } } },
    MuiTooltip: {
      defaultProps: { enterDelay: 350, arrow: true },
      styleOverrides: {
        tooltip: { fontSize: '0.875rem', backgroundColor: '#25232a' },
        arrow: { color: '#25232a' },
      },
    },
    MuiCssBaseline: {
      styleOverrides: {
        html: { height: '100%' },
        body: { height: '100%', margin: 0 },
        // Stronger than what buttons say of themselves; fields show it by their frames.
        'body :focus-visible:not(.MuiOutlinedInput-input)': {
          outline: '2.5px solid var(--mui-palette-primary-main)',
          outlineOffset: 2,
        },
        // Where a ring would be cut off by what it lies in.
        'body .MuiMenuItem-root:focus-visible, body .MuiDialogContent-root:focus-visible': {
          outlineOffset: -3,
        },
        // A dialog has the focus as a whole until one goes on to what is in it.
        'body .MuiDialog-container:focus-visible, body .MuiDialog-paper:focus-visible': { outline: 'none' },
        '@keyframes going': {
          from: { transform: 'translateX(-100%)' },
          to: { transform: 'translateX(250%)' },
        },
        '@media (prefers-reduced-motion: reduce)': {
          '*, *::before, *::after': {
            animationDuration: '0.01ms !important',
            animationIterationCount: '1 !important',
            transitionDuration: '0.01ms !important',
          },
        },
      },
    },
    // What tells of work must not take time from it: moved and turned only, never laid out or painted anew.
    MuiLinearProgress: {
      styleOverrides: {
        root: {
          '&.MuiLinearProgress-indeterminate .MuiLinearProgress-bar1': {
            ...{ left: 0, right: 'auto', width: '40%', willChange: 'transform' },
            animation: 'going 1.6s ease-in-out infinite',
          },
          '&.MuiLinearProgress-indeterminate .MuiLinearProgress-bar2': { display: 'none' },
        },
      },
    },
    MuiCircularProgress: { defaultProps: { disableShrink: true } },
    MuiToggleButton: {
      styleOverrides: {
        root: ({ theme: t }) => ({ color: t.vars.palette.text.primary, textTransform: 'none' }),
      },
    },
    // Gone at once when chosen from: a press right after is meant for what lies beneath.
    MuiMenu: { defaultProps: { transitionDuration: { enter: 140, exit: 0 } } },
    MuiMenuItem: { styleOverrides: { root: { minHeight: 38 } } },
    MuiTextField: { defaultProps: { size: 'small' } },
    MuiOutlinedInput: { styleOverrides: { input: { paddingTop: 7, paddingBottom: 7 } } },
    MuiDialog: { styleOverrides: { paper: { borderRadius: 14 } } },
  },
});
