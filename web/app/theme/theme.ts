import { createTheme } from '@mui/material/styles';

const fonts = { fontFamily: "'Atkinson Hyperlegible Next Variable', system-ui, sans-serif" };

/** Paper, ink and moss for the components of the library; the drawings take the same colours from `liana.css`. */
export const theme = createTheme({
  cssVariables: { colorSchemeSelector: '[data-theme="%s"]' },
  colorSchemes: {
    light: {
      palette: {
        primary: { main: '#2f5d50' },
        error: { main: '#c0392b' },
        warning: { main: '#975a16' },
        info: { main: '#2f5d50' },
        background: { default: '#f5f2ea', paper: '#ffffff' },
        text: { primary: '#1f2a24', secondary: '#4a564f' },
        divider: '#ddd8cb',
      },
    },
    dark: {
      palette: {
        primary: { main: '#8fc4b0' },
        error: { main: '#f08375' },
        warning: { main: '#dda252' },
        info: { main: '#8fc4b0' },
        background: { default: '#161b18', paper: '#212824' },
        text: { primary: '#e9ece6', secondary: '#bfc8c0' },
        divider: '#3a443d',
      },
    },
  },
  shape: { borderRadius: 10 },
  typography: { ...fonts, fontSize: 13, button: { textTransform: 'none', fontWeight: 600 } },
  components: {
    MuiButton: {
      defaultProps: { disableElevation: true, size: 'small' },
      styleOverrides: { root: { borderRadius: 18, paddingInline: 14 } },
      variants: [
        {
          // A quiet act in a line of controls.
          props: { variant: 'outlined', color: 'inherit' },
          style: {
            minWidth: 0,
            padding: '2px 10px',
            borderColor: 'var(--line)',
            background: 'var(--card)',
            color: 'var(--ink)',
            fontSize: 13,
            fontWeight: 400,
            lineHeight: 1.5,
            whiteSpace: 'nowrap',
            '&:hover': { background: 'var(--hair)' },
          },
        },
      ],
    },
    MuiAlert: { styleOverrides: { action: { whiteSpace: 'nowrap' } } },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiCheckbox: { styleOverrides: { root: { padding: 4 } } },
    MuiChip: { defaultProps: { size: 'small', variant: 'outlined' } },
    MuiFormControlLabel: { styleOverrides: { root: { marginLeft: -4 }, label: { fontSize: 13 } } },
    MuiFormLabel: { styleOverrides: { root: { fontSize: 13, fontWeight: 600 } } },
    MuiInputBase: { styleOverrides: { root: { fontSize: 13 } } },
    MuiLink: { defaultProps: { color: 'primary', underline: 'hover' } },
    MuiListSubheader: { styleOverrides: { root: { lineHeight: '28px', background: 'var(--card)' } } },
    MuiMenuItem: { defaultProps: { dense: true } },
    MuiOutlinedInput: {
      styleOverrides: {
        root: {
          background: 'var(--card)',
          '& .MuiOutlinedInput-notchedOutline': { borderColor: 'var(--line)' },
          '&.MuiInputBase-sizeSmall': { borderRadius: 14 },
          '&.MuiInputBase-multiline': { borderRadius: 8, paddingBlock: 4, paddingInline: 0 },
        },
        inputSizeSmall: { padding: '4px 12px' },
      },
    },
    MuiTableCell: {
      styleOverrides: {
        root: { borderColor: 'var(--hair)', fontSize: 13, verticalAlign: 'top' },
        head: { color: 'var(--soft)', fontWeight: 600 },
        sizeSmall: { padding: '5px 12px 5px 0' },
      },
    },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          gap: 6,
          padding: '2px 10px',
          borderColor: 'var(--line)',
          borderRadius: 14,
          background: 'var(--card)',
          color: 'var(--faint)',
          fontSize: 13,
          fontWeight: 400,
          lineHeight: 1.5,
          '&.Mui-selected, &.Mui-selected:hover': { borderColor: 'var(--moss)', background: 'var(--chosen)', color: 'var(--ink)' },
          '&:hover': { background: 'var(--hair)' },
          '&:not(.Mui-selected) .dot': { opacity: 0.35 },
          '&.Mui-disabled': { opacity: 0.5, borderColor: 'var(--line)', color: 'var(--faint)' },
        },
      },
    },
    MuiTooltip: { defaultProps: { arrow: true, enterDelay: 400 } },
  },
});
