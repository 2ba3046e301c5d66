import { createTheme, type Theme } from '@mui/material/styles';

/** The three grounds of the application: daylight indoors, night, and full sun in the field. */
export const SCHEMES = ['day', 'night', 'sun'] as const;
export type Scheme = (typeof SCHEMES)[number];

interface Tokens {
  readonly ground: string;
  readonly paper: string;
  readonly ink: string;
  readonly faint: string;
  readonly rule: string;
  readonly teal: string;
  readonly onTeal: string;
  readonly ochre: string;
  readonly ochreGround: string;
  readonly stop: string;
  readonly stopGround: string;
  readonly pass: string;
  readonly passGround: string;
}

const TOKENS: Readonly<Record<Scheme, Tokens>> = {
  day: {
    ground: '#F3F0E9',
    paper: '#FFFFFF',
    ink: '#1D2B33',
    faint: '#55636B',
    rule: '#CFC9BB',
    teal: '#0F6670',
    onTeal: '#FFFFFF',
    ochre: '#8A5C00',
    ochreGround: '#FBF3D9',
    stop: '#A33B20',
    stopGround: '#F9E7E1',
    pass: '#3F6B3A',
    passGround: '#E8F0E3',
  },
  night: {
    ground: '#12191D',
    paper: '#1B252B',
    ink: '#E9E5DA',
    faint: '#A3AEB3',
    rule: '#3A474F',
    teal: '#5FC1CB',
    onTeal: '#0B1215',
    ochre: '#E8BC5A',
    ochreGround: '#3A3018',
    stop: '#F0927A',
    stopGround: '#43221A',
    pass: '#9CCB93',
    passGround: '#20331F',
  },
  sun: {
    ground: '#FFFFFF',
    paper: '#FFFFFF',
    ink: '#000000',
    faint: '#2B3439',
    rule: '#4A4A4A',
    teal: '#00474F',
    onTeal: '#FFFFFF',
    ochre: '#6B4700',
    ochreGround: '#FFF0B8',
    stop: '#7F2208',
    stopGround: '#FFE0D6',
    pass: '#204A1B',
    passGround: '#DDF0D6',
  },
};

export const MONO = '"Spline Sans Mono", ui-monospace, monospace';
export const TEXT = '"Atkinson Hyperlegible Next", system-ui, sans-serif';

/** The one theme of the application, in one of its schemes. */
export function themeOf(scheme: Scheme): Theme {
  const t = TOKENS[scheme];
  return createTheme({
    palette: {
      mode: scheme === 'night' ? 'dark' : 'light',
      background: { default: t.ground, paper: t.paper },
      text: { primary: t.ink, secondary: t.faint },
      divider: t.rule,
      primary: { main: t.teal, contrastText: t.onTeal },
      secondary: { main: t.ink, contrastText: t.ground },
      warning: { main: t.ochre, light: t.ochreGround },
      error: { main: t.stop, light: t.stopGround },
      success: { main: t.pass, light: t.passGround },
      info: { main: t.teal },
    },
    shape: { borderRadius: 3 },
    // A thin rule sets a sheet off from its ground, never a shadow.
    shadows: Array.from({ length: 25 }, () => 'none') as Theme['shadows'],
    typography: {
      fontFamily: TEXT,
      fontSize: 14,
      h1: { fontSize: '1.6rem', fontWeight: 700, lineHeight: 1.2 },
      h2: { fontSize: '1.1rem', fontWeight: 700, lineHeight: 1.3 },
      h3: { fontSize: '0.95rem', fontWeight: 700, lineHeight: 1.3 },
      button: { textTransform: 'none', fontWeight: 700 },
      overline: { textTransform: 'none', letterSpacing: 0, fontSize: '0.8rem', lineHeight: 1.4 },
    },
    components: {
      MuiCssBaseline: {
        styleOverrides: {
          body: { fontVariantNumeric: 'lining-nums' },
          // Twice, so that it stands against the family that each text brings along.
          '.mono.mono': { fontFamily: MONO, fontVariantNumeric: 'tabular-nums' },
          // Who asks their device for less motion gets none that only pleases.
          '@media (prefers-reduced-motion: reduce)': {
            '*, *::before, *::after': {
              animationDuration: '0.01ms !important',
              animationIterationCount: '1 !important',
              transitionDuration: '0.01ms !important',
            },
          },
          '@media print': { '.no-print': { display: 'none !important' }, body: { background: '#fff' } },
        },
      },
      MuiPaper: {
        defaultProps: { elevation: 0 },
        styleOverrides: { root: { backgroundImage: 'none', border: `1px solid ${t.rule}` } },
      },
      MuiButton: {
        defaultProps: { disableElevation: true },
        styleOverrides: {
          root: { minHeight: 40, paddingInline: 16 },
          sizeLarge: { minHeight: 56, fontSize: '1.05rem' },
        },
      },
      // A grey blob under the focus reads as a choice already made; a ring does not.
      MuiToggleButton: {
        defaultProps: { disableFocusRipple: true },
        styleOverrides: {
          root: {
            color: t.ink,
            '&.Mui-focusVisible': { outline: `3px solid ${t.faint}`, outlineOffset: -4 },
          },
        },
      },
      MuiTextField: { defaultProps: { variant: 'outlined', size: 'small' } },
      MuiTableCell: {
        styleOverrides: {
          root: { borderColor: t.rule, padding: '8px 10px' },
          head: { color: t.faint, fontWeight: 400 },
        },
      },
      MuiChip: { styleOverrides: { root: { borderRadius: 3 } } },
      MuiTooltip: { defaultProps: { arrow: true } },
      MuiLink: { styleOverrides: { root: { textDecorationColor: 'currentcolor' } } },
      MuiDialog: { styleOverrides: { paper: { border: `1px solid ${t.rule}` } } },
    },
  });
}
