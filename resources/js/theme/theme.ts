import { createTheme } from '@mui/material/styles';

/** One tone of the drawing code: found, make, overlap, good. */
interface Tone {
    main: string;
    tint: string;
}

declare module '@mui/material/styles' {
    interface Palette {
        found: Tone;
        make: Tone;
        overlap: Tone;
        good: Tone;
        sheet: { main: string };
        strong: { main: string };
    }
    interface PaletteOptions {
        found: Tone;
        make: Tone;
        overlap: Tone;
        good: Tone;
        sheet: { main: string };
        strong: { main: string };
    }
    interface TypographyVariants {
        size: React.CSSProperties;
        bigSize: React.CSSProperties;
        hugeSize: React.CSSProperties;
        midSize: React.CSSProperties;
        smallSize: React.CSSProperties;
        said: React.CSSProperties;
        outcome: React.CSSProperties;
        label: React.CSSProperties;
        stop: React.CSSProperties;
        aside: React.CSSProperties;
        formula: React.CSSProperties;
    }
    interface TypographyVariantsOptions {
        size?: React.CSSProperties;
        bigSize?: React.CSSProperties;
        hugeSize?: React.CSSProperties;
        midSize?: React.CSSProperties;
        smallSize?: React.CSSProperties;
        said?: React.CSSProperties;
        outcome?: React.CSSProperties;
        label?: React.CSSProperties;
        stop?: React.CSSProperties;
        aside?: React.CSSProperties;
        formula?: React.CSSProperties;
    }
}

declare module '@mui/material/Typography' {
    interface TypographyPropsVariantOverrides {
        size: true;
        bigSize: true;
        hugeSize: true;
        midSize: true;
        smallSize: true;
        said: true;
        outcome: true;
        label: true;
        stop: true;
        aside: true;
        formula: true;
    }
}

const text = "'Atkinson Hyperlegible Next Variable', sans-serif";
const mono = "'Atkinson Hyperlegible Mono Variable', monospace";
/** Sizes as they stand at the browser's usual 16 px, growing with the reader's own. */
const rem = (px: number) => `${px / 16}rem`;
const tabular = { fontFamily: mono, fontVariantNumeric: 'tabular-nums' as const };

/** The colours on paper: one ink, and tints that a printer can show. */
const onPaper = Object.fromEntries(
    [
        ...['text-primary', 'text-secondary', 'primary-main', 'secondary-main', 'error-main', 'strong-main'],
        ...['found-main', 'make-main', 'overlap-main', 'good-main'],
    ]
        .map((name) => [`--mui-palette-${name}`, '#000'])
        .concat(
            ['background-default', 'background-paper', 'sheet-main'].map((name) => [
                `--mui-palette-${name}`,
                '#fff',
            ]),
            ['found', 'make', 'overlap', 'good'].map((name) => [`--mui-palette-${name}-tint`, '#e8e8e8']),
            [['--mui-palette-divider', '#999']],
        ),
);

export const theme = createTheme({
    cssVariables: { colorSchemeSelector: 'data-shift' },
    colorSchemes: {
        light: {
            palette: {
                background: { default: '#F7F4EC', paper: '#FCFAF5' },
                text: { primary: '#1C2330', secondary: '#565D6B' },
                divider: '#D9D2C0',
                primary: { main: '#27408B', contrastText: '#FCFAF5' },
                secondary: { main: '#85590F', contrastText: '#FCFAF5' },
                error: { main: '#A63A2B' },
                warning: { main: '#85590F' },
                success: { main: '#25715F' },
                found: { main: '#85590F', tint: '#F1E4CB' },
                make: { main: '#27408B', tint: '#E2E7F5' },
                overlap: { main: '#A63A2B', tint: '#F6E1DC' },
                good: { main: '#1F6453', tint: '#DDEEE8' },
                sheet: { main: '#FCFAF5' },
                strong: { main: '#BDB49C' },
            },
        },
        dark: {
            palette: {
                background: { default: '#14171C', paper: '#1B1F26' },
                text: { primary: '#EFE9DA', secondary: '#ABB0A8' },
                divider: '#333A45',
                primary: { main: '#9DB2F2', contrastText: '#14171C' },
                secondary: { main: '#D9A853', contrastText: '#14171C' },
                error: { main: '#EC8B7B' },
                warning: { main: '#D9A853' },
                success: { main: '#7FCBB6' },
                found: { main: '#D9A853', tint: '#33290F' },
                make: { main: '#9DB2F2', tint: '#1E2A4F' },
                overlap: { main: '#EC8B7B', tint: '#3B1E1A' },
                good: { main: '#7FCBB6', tint: '#153029' },
                sheet: { main: '#1B1F26' },
                strong: { main: '#4A5361' },
            },
        },
    },
    // By the width of letters: at twice the text the page is laid out as on half the screen.
    breakpoints: { unit: 'em', values: { xs: 0, sm: 41, md: 56.25, lg: 75, xl: 96 } },
    shape: { borderRadius: 2 },
    typography: {
        fontFamily: text,
        fontSize: 15,
        h1: { fontSize: rem(21), fontWeight: 700 },
        h2: { fontSize: rem(16), fontWeight: 700 },
        h3: { fontSize: rem(15), fontWeight: 700 },
        body1: { fontSize: rem(16), lineHeight: 1.4 },
        body2: { fontSize: rem(14.5), lineHeight: 1.35 },
        button: { textTransform: 'none', fontWeight: 650, fontSize: rem(16) },
        // Words: a thing's name, a sentence that counts, what came out.
        stop: { fontSize: rem(25), fontWeight: 700, lineHeight: 1.2 },
        aside: { fontSize: rem(13), fontWeight: 400, lineHeight: 1.35 },
        formula: { fontFamily: mono, fontSize: rem(13.5) },
        label: { fontSize: rem(15), fontWeight: 550, lineHeight: 1.25 },
        said: { fontSize: rem(18), lineHeight: 1.4 },
        outcome: { fontSize: rem(20), fontWeight: 700, lineHeight: 1.3 },
        // Figures, from those in a table to the one number.
        smallSize: { ...tabular, fontSize: rem(18), fontWeight: 600, lineHeight: 1.2 },
        midSize: { ...tabular, fontSize: rem(26), fontWeight: 700, lineHeight: 1.15 },
        size: { ...tabular, fontSize: rem(20), fontWeight: 600, lineHeight: 1.2 },
        bigSize: { ...tabular, fontSize: rem(36), fontWeight: 620, lineHeight: 1.1, letterSpacing: '-0.5px' },
        hugeSize: {
            ...tabular,
            fontSize: rem(48),
            fontWeight: 640,
            lineHeight: 1.05,
            letterSpacing: '-0.5px',
        },
    },
    // Calm: nothing slides or fades.
    transitions: { create: () => 'none' },
    components: {
        MuiPopover: { defaultProps: { transitionDuration: 0 } },
        MuiMenu: { defaultProps: { transitionDuration: 0 } },
        MuiDialog: { defaultProps: { transitionDuration: 0 } },
        MuiDrawer: { defaultProps: { transitionDuration: 0 } },
        MuiCollapse: { defaultProps: { timeout: 0 } },
        // What is said below a field that waits has to be read all the same.
        MuiFormHelperText: {
            styleOverrides: {
                root: ({ theme }) => ({
                    '&.Mui-disabled': {
                        color: theme.vars?.palette.text.secondary ?? theme.palette.text.secondary,
                    },
                }),
            },
        },
        MuiButtonBase: {
            defaultProps: { disableRipple: true },
            styleOverrides: { root: { fontFamily: text } },
        },
        MuiButton: {
            defaultProps: { disableElevation: true },
            styleOverrides: {
                root: ({ theme }) => ({
                    minHeight: 44,
                    paddingInline: 16,
                    [theme.breakpoints.down('sm')]: { paddingInline: 10 },
                    borderRadius: 2,
                    variants: [
                        {
                            props: { variant: 'outlined', color: 'inherit' },
                            style: { borderColor: 'var(--mui-palette-strong-main)', fontWeight: 550 },
                        },
                    ],
                }),
            },
        },
        MuiPaper: {
            defaultProps: { elevation: 0, square: true },
            styleOverrides: { root: { backgroundImage: 'none' } },
        },
        MuiTextField: {
            defaultProps: { size: 'small', fullWidth: true },
            styleOverrides: { root: { '&.typed input': { ...tabular, fontSize: rem(20) } } },
        },
        // On a narrow page a field's name stands above it and may take two lines: nothing of it is cut off.
        MuiInputLabel: {
            styleOverrides: {
                root: ({ theme }) => ({
                    [theme.breakpoints.down('sm')]: {
                        position: 'static',
                        transform: 'none',
                        maxWidth: '100%',
                        whiteSpace: 'normal',
                        overflow: 'visible',
                        fontSize: rem(14.5),
                        lineHeight: 1.2,
                        marginBottom: 2,
                    },
                }),
            },
        },
        MuiOutlinedInput: {
            styleOverrides: {
                root: { minHeight: 44 },
                notchedOutline: ({ theme }) => ({
                    [theme.breakpoints.down('sm')]: { top: 0, '& legend': { display: 'none' } },
                }),
            },
        },
        MuiSelect: { styleOverrides: { select: { whiteSpace: 'normal' } } },
        MuiToggleButton: {
            styleOverrides: {
                root: {
                    minHeight: 44,
                    minWidth: 44,
                    paddingInline: 12,
                    fontWeight: 550,
                    fontSize: rem(15),
                    textTransform: 'none',
                    color: 'var(--mui-palette-text-primary)',
                    borderColor: 'var(--mui-palette-strong-main)',
                    '&.Mui-selected, &.Mui-selected:hover': {
                        backgroundColor: 'var(--mui-palette-text-primary)',
                        color: 'var(--mui-palette-background-paper)',
                    },
                },
            },
        },
        MuiTableCell: {
            styleOverrides: { root: { borderColor: 'var(--mui-palette-divider)', fontSize: rem(15) } },
        },
        MuiCheckbox: { styleOverrides: { root: { padding: 11 } } },
        MuiTypography: {
            defaultProps: {
                variantMapping: {
                    size: 'span',
                    smallSize: 'span',
                    midSize: 'p',
                    bigSize: 'p',
                    hugeSize: 'p',
                    said: 'p',
                    outcome: 'p',
                    stop: 'p',
                    label: 'p',
                },
            },
        },
        MuiCssBaseline: {
            styleOverrides: {
                body: { WebkitFontSmoothing: 'antialiased', overflowWrap: 'break-word' },
                // Whatever is on the screen prints whole, in black on white; what only acts stays behind.
                '@media print': {
                    'html:root:root': onPaper,
                    '*': { overflow: 'visible !important', maxHeight: 'none !important' },
                    'html:root:root, body': { background: '#fff !important', colorScheme: 'light' },
                    'nav, .MuiButton-root, .MuiIconButton-root, .MuiSnackbar-root': {
                        display: 'none !important',
                    },
                    'svg, tr, li': { breakInside: 'avoid' },
                    'h1, h2, h3': { breakAfter: 'avoid' },
                },
                '@page': { margin: '14mm' },
                // For who asked the system for more contrast, or for its own colours.
                '@media (prefers-contrast: more)': {
                    'html:root:root': {
                        '--mui-palette-text-secondary': 'var(--mui-palette-text-primary)',
                        '--mui-palette-divider': 'var(--mui-palette-text-primary)',
                        '--mui-palette-strong-main': 'var(--mui-palette-text-primary)',
                    },
                },
                '@media (forced-colors: active)': {
                    ':root .Mui-selected, :root [aria-pressed=true], :root [aria-current=page]': {
                        outline: '3px solid Highlight',
                        outlineOffset: -3,
                    },
                },
                // The second is what MUI’s own buttons are called; they take the outline off, so it has to weigh more.
                ':focus-visible, :root .Mui-focusVisible': {
                    outline: '3px solid var(--mui-palette-primary-main)',
                    outlineOffset: 1,
                },
            },
        },
    },
});

export { mono };
