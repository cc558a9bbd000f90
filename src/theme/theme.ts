import { createTheme } from '@mui/material/styles';
import { DUSK, LIGHT } from './tokens';
import type { Tokens } from './tokens';

const SANS = '"Source Sans 3 Variable", sans-serif';
export const SERIF = '"Fraunces Variable", serif';
/** Where the chosen theme is remembered: light, dark or system. */
export const THEME_KEY = 'mowing-theme';

const palette = (tokens: Tokens) => ({
  primary: { main: tokens.accent, contrastText: tokens.onAccent },
  error: { main: tokens.over },
  warning: { main: tokens.over },
  info: { main: tokens.under },
  success: { main: tokens.accent },
  text: { primary: tokens.ink, secondary: tokens.faint },
  background: { default: tokens.ground, paper: tokens.raised },
  divider: tokens.hairline,
});

/** The component library in Mowing's colours: hairlines instead of shadows, dense controls. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: '[data-theme="%s"]' },
  colorSchemes: { light: { palette: palette(LIGHT) }, dark: { palette: palette(DUSK) } },
  shape: { borderRadius: 3 },
  typography: {
    fontFamily: SANS,
    fontSize: 13,
    button: { textTransform: 'none', fontWeight: 600 },
    h1: { fontFamily: SERIF, fontSize: 22, fontWeight: 500 },
    h2: { fontFamily: SERIF, fontSize: 18, fontWeight: 500 },
    h3: { fontSize: 13, fontWeight: 700 },
  },
  components: {
    MuiButton: {
      defaultProps: { size: 'small', disableElevation: true },
      styleOverrides: { root: { fontSize: 13, lineHeight: 1.5, minWidth: 0 } },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiToggleButton: { styleOverrides: { root: { fontSize: 12.5 } } },
    MuiIconButton: { defaultProps: { size: 'small' } },
    MuiTextField: { defaultProps: { size: 'small' } },
    MuiSelect: { defaultProps: { size: 'small' } },
    MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
    MuiPopover: { styleOverrides: { paper: { border: '1px solid var(--hairline)' } } },
    MuiDialog: { styleOverrides: { paper: { border: '1px solid var(--hairline)' } } },
    MuiTooltip: { styleOverrides: { tooltip: { fontSize: 12 } } },
  },
});
