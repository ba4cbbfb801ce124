import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

type Kind = 'good' | 'usable' | 'bad' | 'plain' | 'made';

const TONE: Record<Kind, string> = {
    good: 'good.main',
    usable: 'found.main',
    bad: 'overlap.main',
    plain: 'text.secondary',
    made: 'good.main',
};
const SIGN: Record<Kind, string> = { good: '✓', usable: '≈', bad: '✕', plain: '', made: '✓' };

/** A verdict in a word, with a sign and a colour; never the colour alone. */
export function Verdict({ kind, children }: { kind: Kind; children: ReactNode }) {
    return (
        <Box
            component="span"
            sx={{
                display: 'inline-block',
                border: 1,
                borderColor: TONE[kind],
                color: TONE[kind],
                borderRadius: 0.25,
                px: 1,
                py: 0.25,
                typography: 'body2',
            }}
        >
            {SIGN[kind] !== '' && <b aria-hidden>{SIGN[kind]}&nbsp;</b>}
            {children}
        </Box>
    );
}

export function readingKind(verdict: 'good' | 'usable' | 'not-good-enough'): Kind {
    return verdict === 'not-good-enough' ? 'bad' : verdict;
}

export function sizeKind(verdict: string | null): Kind {
    return verdict === 'inside'
        ? 'good'
        : verdict === 'cannot-tell'
          ? 'usable'
          : verdict === null || verdict === 'free'
            ? 'plain'
            : 'bad';
}
