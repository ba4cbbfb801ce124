import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import { Away } from '../offline/Away';
import { TopBar } from './TopBar';

interface Props {
    title: string;
    subtitle: string;
    /** What the browser's tab is called, where that is not the title. */
    tab?: string;
    strip: ReactNode;
    card?: ReactNode;
    jobId?: string;
    temperature?: ReactNode;
    children: ReactNode;
}

/** Top bar, strip, page and make card. On an upright tablet the strip lies below and the card folds to one line above. */
export function Frame({ title, subtitle, tab, strip, card, jobId, temperature, children }: Props) {
    const cardWidth = card ? '19.75rem' : '0px';
    return (
        <Box
            sx={{
                height: '100dvh',
                // Where bar, card and strip would leave nothing between them, the whole page scrolls.
                '@media print': { display: 'flex', flexDirection: 'column', height: 'auto' },
                '@media (max-height: 30em)': { height: 'auto', minHeight: '100dvh' },
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: `5.75rem minmax(0, 1fr) ${cardWidth}` },
                gridTemplateRows: {
                    xs: 'auto auto auto minmax(0, 1fr) auto',
                    md: 'auto auto minmax(0, 1fr)',
                },
                gridTemplateAreas: {
                    xs: '"top" "away" "card" "main" "strip"',
                    md: '"top top top" "away away away" "strip main card"',
                },
                bgcolor: 'background.default',
                color: 'text.primary',
            }}
        >
            <title>{`${tab ?? title} · Oldpart Fit`}</title>
            <TopBar title={title} subtitle={subtitle} jobId={jobId} temperature={temperature} />
            <Away />
            {strip}
            <Box
                component="main"
                sx={{
                    gridArea: 'main',
                    order: 1,
                    overflow: 'auto',
                    px: { xs: 1.5, md: 2.25 },
                    py: 1.75,
                }}
            >
                {children}
            </Box>
            {card}
        </Box>
    );
}
