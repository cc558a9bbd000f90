import { createTheme } from '@mui/material/styles';
import { controls } from './controls';
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
    h1: { fontFamily: SERIF, fontSize: 20, fontWeight: 500 },
    h2: { fontFamily: SERIF, fontSize: 17, fontWeight: 500 },
    h3: { fontSize: 13, fontWeight: 700 },
  },
  components: controls,
});
