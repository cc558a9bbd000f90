import type { Components, Theme } from '@mui/material/styles';

/** A control in a bar, and one in a form, px. */
const LINE = 26;

const HAIRLINE = '1px solid var(--hairline)';
const FOCUS_RING = { outline: '2px solid var(--accent)', outlineOffset: 1 };

/** A box or a ring that is ticked. */
const TICK = {
  defaultProps: { size: 'small' },
  styleOverrides: {
    root: {
      padding: 3,
      '& .MuiSvgIcon-root': { fontSize: 17 },
      '&.Mui-focusVisible': { ...FOCUS_RING, outlineOffset: -2 },
    },
  },
} as const;

declare module '@mui/material/Button' {
  interface ButtonPropsVariantOverrides {
    /** A word that does something, set small and faint beside what matters. */
    quiet: true;
    /** A word in a sentence that leads somewhere or does something. */
    link: true;
  }
}

/** How the library's components look here: dense, flat, with our focus ring. */
export const controls: Components<Omit<Theme, 'components'>> = {
  MuiButtonBase: {
    defaultProps: { disableRipple: true },
    styleOverrides: { root: { '&.Mui-focusVisible': FOCUS_RING } },
  },
  MuiButton: {
    defaultProps: { size: 'small', disableElevation: true },
    styleOverrides: {
      root: { fontSize: 13, lineHeight: 1.5, minWidth: 0, whiteSpace: 'nowrap' },
      text: { padding: '3px 6px' },
      startIcon: { marginLeft: -2, marginRight: 3 },
    },
    variants: [
      {
        props: { variant: 'quiet' },
        style: {
          padding: 0,
          fontSize: 12,
          fontWeight: 400,
          color: 'var(--faint)',
          '&:hover': { color: 'var(--ink)' },
        },
      },
      {
        props: { variant: 'link' },
        style: {
          padding: 0,
          fontSize: 'inherit',
          fontWeight: 'inherit',
          lineHeight: 'inherit',
          color: 'var(--accent)',
          verticalAlign: 'baseline',
          textAlign: 'left',
          '&:hover': { background: 'none', textDecoration: 'underline' },
        },
      },
    ],
  },
  MuiToggleButton: {
    styleOverrides: { root: { fontSize: 12.5, padding: '1px 8px', height: LINE, whiteSpace: 'nowrap' } },
  },
  MuiIconButton: { defaultProps: { size: 'small' } },
  MuiTextField: { defaultProps: { size: 'small' } },
  MuiOutlinedInput: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      root: {
        fontSize: 13,
        minHeight: LINE,
        background: 'var(--raised)',
        '&.MuiInputBase-adornedEnd': { paddingRight: 6 },
        '&.MuiInputBase-multiline': { padding: '4px 6px' },
        '& .MuiInputBase-inputMultiline': { padding: 0 },
      },
      input: { padding: '2px 6px', height: 'auto', fontVariantNumeric: 'tabular-nums lining-nums' },
      notchedOutline: { borderColor: 'var(--hairline)' },
    },
  },
  MuiSelect: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      select: { minHeight: 'auto', paddingRight: '22px !important', '&:focus-visible': { outline: 'none' } },
      icon: { right: 2, fontSize: 18 },
    },
  },
  MuiAutocomplete: {
    styleOverrides: {
      inputRoot: { '&.MuiOutlinedInput-root.MuiInputBase-sizeSmall': { padding: '0 28px 0 2px' } },
      input: { '.MuiOutlinedInput-root.MuiInputBase-sizeSmall &': { padding: '2px 4px' } },
    },
  },
  MuiMenuItem: { styleOverrides: { root: { fontSize: 13, minHeight: 28, paddingTop: 2, paddingBottom: 2 } } },
  MuiCheckbox: TICK,
  MuiRadio: TICK,
  MuiSwitch: { defaultProps: { size: 'small' } },
  MuiFormControlLabel: {
    styleOverrides: { root: { marginLeft: -3, marginRight: 0 }, label: { fontSize: 13, lineHeight: 1.4 } },
  },
  MuiTabs: { styleOverrides: { root: { minHeight: 30 }, indicator: { height: 2, transition: 'none' } } },
  MuiTab: {
    styleOverrides: {
      root: {
        minHeight: 30,
        minWidth: 0,
        padding: '4px 8px',
        fontSize: 13,
        fontWeight: 400,
        color: 'var(--faint)',
        '&.Mui-selected': { color: 'var(--ink)', fontWeight: 650 },
      },
    },
  },
  MuiListItemButton: {
    styleOverrides: {
      root: {
        display: 'block',
        width: '100%',
        padding: '7px 16px',
        font: 'inherit',
        color: 'inherit',
        textAlign: 'left',
        border: 0,
        background: 'none',
        '&.Mui-selected, &.Mui-selected:hover': {
          background: 'var(--focus)',
          boxShadow: 'inset 3px 0 var(--accent)',
        },
        '&.Mui-selected .entryName': { fontWeight: 650 },
        '&.Mui-focusVisible': { ...FOCUS_RING, outlineOffset: -2 },
      },
    },
  },
  MuiTableCell: {
    defaultProps: { size: 'small' },
    styleOverrides: {
      root: {
        padding: '3px 8px 3px 0',
        borderBottom: HAIRLINE,
        fontSize: 'inherit',
        lineHeight: 'inherit',
        verticalAlign: 'top',
        color: 'inherit',
        '&.faint': { color: 'var(--faint)' },
        '&.over': { color: 'var(--over)' },
        '&.under': { color: 'var(--under)' },
        '&.figure': { textAlign: 'right' },
      },
      head: {
        whiteSpace: 'nowrap',
        color: 'var(--faint)',
        fontSize: 12,
        fontWeight: 400,
        lineHeight: 'inherit',
      },
    },
  },
  MuiLink: { styleOverrides: { root: { color: 'var(--accent)' } } },
  MuiPaper: { defaultProps: { elevation: 0 }, styleOverrides: { root: { backgroundImage: 'none' } } },
  MuiPopover: { styleOverrides: { paper: { border: HAIRLINE } } },
  MuiDialog: { styleOverrides: { paper: { border: HAIRLINE } } },
  MuiDialogTitle: {
    styleOverrides: { root: { fontFamily: '"Fraunces Variable", serif', fontSize: 18, fontWeight: 500 } },
  },
  MuiTooltip: { styleOverrides: { tooltip: { fontSize: 12 } } },
};
