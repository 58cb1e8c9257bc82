import { createTheme } from '@mui/material/styles';

type Tone = { readonly main: string; readonly ink: string };
type Tones = {
  /** The case around everything: plush midnight. */
  readonly frame: {
    readonly main: string;
    readonly raised: string;
    readonly text: string;
    readonly quiet: string;
    readonly line: string;
  };
  /** A fitted compartment and the rim it is cut with. */
  readonly well: { readonly main: string; readonly deep: string; readonly rim: string };
  /** Brass yellow: the next action, and nothing else. */
  readonly brass: Tone;
  /** Water blue: moisture only. */
  readonly water: Tone;
  /** Cane straw: reeds only. */
  readonly cane: Tone;
  /** Vermilion: overdue, stop and form errors only. */
  readonly stop: Tone;
  /** The metal and wood of the drawings. */
  readonly tube: { readonly wall: string; readonly bore: string };
};

declare module '@mui/material/styles' {
  interface Palette extends Tones {}
  interface PaletteOptions extends Partial<Tones> {}
}

const light = {
  mode: 'light' as const,
  primary: { main: '#27407a' },
  error: { main: '#b3261a' },
  background: { default: '#dfe6f0', paper: '#f5f8fc' },
  text: { primary: '#131a2e', secondary: '#46516b' },
  divider: '#b9c4d6',
  frame: { main: '#1a2140', raised: '#27305a', text: '#f1f4fb', quiet: '#b8c2e0', line: '#3d487a' },
  well: { main: '#f5f8fc', deep: '#e8eef6', rim: '#c3cede' },
  brass: { main: '#f3c63f', ink: '#131a2e' },
  water: { main: '#2a78bd', ink: '#174a78' },
  cane: { main: '#cda757', ink: '#6b4f12' },
  stop: { main: '#c23a22', ink: '#a32a15' },
  tube: { wall: '#5c6885', bore: '#cfd8e6' },
};

const dark = {
  mode: 'dark' as const,
  primary: { main: '#a9bdf0' },
  error: { main: '#ff8a73' },
  background: { default: '#121829', paper: '#1b2338' },
  text: { primary: '#e9edf7', secondary: '#aab5cf' },
  divider: '#36415f',
  frame: { main: '#0a0e1c', raised: '#182142', text: '#eef2fb', quiet: '#a3aecd', line: '#2b3660' },
  well: { main: '#1b2338', deep: '#151c2f', rim: '#333f5e' },
  brass: { main: '#f0c443', ink: '#131a2e' },
  water: { main: '#63aeea', ink: '#9fd0f7' },
  cane: { main: '#d6b468', ink: '#e8cf98' },
  stop: { main: '#ff7d63', ink: '#ff9c87' },
  tube: { wall: '#8c99b8', bore: '#2b3652' },
};

const text = '"Atkinson Hyperlegible Next Variable", system-ui, sans-serif';
const heading = '"Bricolage Grotesque Variable", "Atkinson Hyperlegible Next Variable", sans-serif';
const big = (rem: number, weight = 650) => ({
  fontFamily: heading,
  fontWeight: weight,
  fontSize: `${rem}rem`,
  lineHeight: 1.15,
  // Also inside a grid or a flex row, which would else grow to the longest word.
  overflowWrap: 'anywhere' as const,
});

/** Every colour, radius and default the app uses has a name here; components hold none. */
export const theme = createTheme({
  cssVariables: { cssVarPrefix: 'ulu', colorSchemeSelector: 'data-theme' },
  colorSchemes: { light: { palette: light }, dark: { palette: dark } },
  shape: { borderRadius: 12 },
  typography: {
    fontFamily: text,
    h1: big(1.75),
    h2: big(1.25),
    h3: big(1.0625, 600),
    button: { textTransform: 'none', fontWeight: 650, fontSize: '1rem' },
    body2: { fontSize: '0.9375rem' },
  },
  transitions: {
    duration: {
      shortest: 150,
      shorter: 150,
      short: 160,
      standard: 180,
      complex: 200,
      enteringScreen: 180,
      leavingScreen: 150,
    },
  },
  components: {
    MuiCssBaseline: {
      styleOverrides: {
        // What is scrolled to, a field with focus first of all, keeps clear of the rail at the bottom of a phone.
        html: {
          height: '100%',
          scrollPaddingBottom: 96,
          '&[data-text="larger"]': { fontSize: '112.5%' },
          '&[data-text="largest"]': { fontSize: '125%' },
        },
        body: {
          minHeight: '100%',
          fontVariantNumeric: 'tabular-nums',
          // A name of one long word breaks rather than widening the page.
          overflowWrap: 'break-word',
          backgroundColor: 'var(--ulu-palette-frame-main)',
        },
        '#root': { minHeight: '100vh' },
        ':focus-visible': { outline: '3px solid var(--ulu-palette-brass-main)', outlineOffset: '2px' },
        // On paper only the page is left, black on white; what is tapped is not printed.
        '@page': { margin: '14mm' },
        '@media print': {
          html: { fontSize: '75%' },
          'header, nav, button, [role="button"], [data-not-printed]': { display: 'none !important' },
          'main, main *': { background: 'none !important', color: 'black !important', boxShadow: 'none !important' },
          main: { padding: '0 !important', borderRadius: '0 !important' },
          'section, li': { breakInside: 'avoid' },
          // What has a shape of its own on paper stands there in it alone.
          '[data-on-paper] ~ *': { display: 'none !important' },
        },
        '@media (prefers-reduced-motion: reduce)': {
          '*': { transition: 'none !important', animation: 'none !important' },
        },
      },
    },
    MuiButton: {
      defaultProps: { disableElevation: true, disableRipple: true },
      styleOverrides: { root: { minHeight: 44, borderRadius: 10 }, sizeLarge: { minHeight: 56, fontSize: '1rem' } },
      variants: [
        {
          // What can be tapped looks so, on paper and on the frame alike: a soft ground of its own ink.
          props: { variant: 'text' },
          style: {
            padding: '6px 12px',
            backgroundColor: 'color-mix(in srgb, currentColor 6%, transparent)',
            '&:hover': { backgroundColor: 'color-mix(in srgb, currentColor 12%, transparent)' },
            '&.Mui-disabled': { backgroundColor: 'transparent' },
          },
        },
        {
          // The next action of a screen: brass yellow with an ink outline, and a rim that gives way under the finger.
          props: { variant: 'brass' },
          style: {
            backgroundColor: 'var(--ulu-palette-brass-main)',
            color: 'var(--ulu-palette-brass-ink)',
            border: '2px solid var(--ulu-palette-brass-ink)',
            padding: '6px 24px',
            minHeight: 56,
            fontSize: '1.125rem',
            boxShadow: '0 3px 0 var(--ulu-palette-brass-ink)',
            '&:hover': { backgroundColor: 'var(--ulu-palette-brass-main)', filter: 'brightness(1.06)' },
            '&:active': { transform: 'translateY(2px)', boxShadow: '0 1px 0 var(--ulu-palette-brass-ink)' },
            '&.Mui-disabled': {
              backgroundColor: 'var(--ulu-palette-well-deep)',
              color: 'var(--ulu-palette-text-secondary)',
              borderColor: 'var(--ulu-palette-divider)',
              boxShadow: 'none',
            },
          },
        },
      ],
    },
    // A name of one long word breaks wherever it stands.
    MuiTypography: { styleOverrides: { root: { overflowWrap: 'anywhere' } } },
    MuiCheckbox: { styleOverrides: { root: { width: 48, height: 48 } } },
    MuiChip: { styleOverrides: { clickable: { minHeight: 44, borderRadius: 12, fontSize: '1rem' } } },
    // Why a field cannot be filled in is read, too.
    MuiFormHelperText: {
      styleOverrides: { root: { '&.Mui-disabled': { color: 'var(--ulu-palette-text-secondary)' } } },
    },
    MuiListSubheader: { styleOverrides: { root: { lineHeight: 2 } } },
    MuiFormControlLabel: { styleOverrides: { root: { minHeight: 44 } } },
    // The label of a field at the top stands on its rim.
    MuiDialogContent: { styleOverrides: { root: { '.MuiDialogTitle-root + &': { paddingTop: 8 } } } },
    // At the finger's size, wherever they stand.
    MuiMenuItem: { styleOverrides: { root: { minHeight: 44, whiteSpace: 'normal' } } },
    MuiToggleButton: {
      styleOverrides: {
        root: {
          minHeight: 48,
          padding: '6px 8px',
          textTransform: 'none',
          fontSize: '1rem',
          color: 'var(--ulu-palette-text-primary)',
          '&.Mui-selected': { fontWeight: 700 },
          // Where the device chooses the colours, what is chosen is told by a second line.
          '@media (forced-colors: active)': { '&.Mui-selected': { outline: '3px solid', outlineOffset: -6 } },
        },
      },
    },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiIconButton: { styleOverrides: { root: { minWidth: 44, minHeight: 44 } } },
    MuiDialog: {
      styleOverrides: {
        paper: {
          // A dialog is a compartment like the others, in the dark as well: no grey veil over it.
          backgroundImage: 'none',
          '@media (max-width: 600px)': { margin: 12, width: 'calc(100% - 24px)' },
        },
      },
    },
    // Room for both buttons at the finger's size: a long name ends before them.
    MuiAutocomplete: {
      styleOverrides: {
        root: {
          '&.MuiAutocomplete-hasPopupIcon.MuiAutocomplete-hasClearIcon .MuiOutlinedInput-root': { paddingRight: 96 },
        },
        input: { textOverflow: 'ellipsis' },
      },
    },
  },
});
