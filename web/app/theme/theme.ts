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
        background: { default: '#f5f2ea', paper: '#ffffff' },
        text: { primary: '#1f2a24', secondary: '#4a564f' },
        divider: '#ddd8cb',
      },
    },
    dark: {
      palette: {
        primary: { main: '#8fc4b0' },
        error: { main: '#f08375' },
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
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
  },
});
