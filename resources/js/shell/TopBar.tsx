import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useColorScheme } from '@mui/material/styles';
import { Suspense, useState, type ReactNode } from 'react';
import { Link, useNavigate, useSearchParams } from './router';
import type { Units } from '../api/types';
import { here } from '../people/me';
import { Mark } from './Mark';
import { SaveMark } from './SaveMark';
import { later } from './later';
import { useKey } from './keys';
import { useSettings } from './settings';

const FindDialog = later(async () => (await import('./FindDialog')).FindDialog);
const KeysDialog = later(async () => (await import('./KeysDialog')).KeysDialog);
const PersonChip = later(async () => (await import('../people/PersonChip')).PersonChip);
const UnitsChoice = later(async () => (await import('./UnitsChoice')).UnitsChoice);
const WordsDialog = later(async () => (await import('./WordsDialog')).WordsDialog);

interface Props {
    title: string;
    subtitle: string;
    jobId?: string;
    temperature?: ReactNode;
}

const NEXT: Record<Units, Units> = { in: 'mm', mm: 'both', both: 'in' };

export function TopBar({ title, subtitle, jobId, temperature }: Props) {
    const { units, setUnits } = useSettings();
    const { mode, setMode } = useColorScheme();
    const [finding, setFinding] = useState(false);
    const [keys, setKeys] = useState(false);
    const night = mode === 'dark';
    const navigate = useNavigate();
    const [params, setParams] = useSearchParams();
    const word = params.get('word');
    const asked = (what: 'word' | 'history', to: string | null) =>
        setParams(
            (now) => {
                now.delete(what);
                if (to !== null) {
                    now.set(what, to);
                }
                return now;
            },
            { replace: true },
        );
    const turn = () => setMode(night ? 'light' : 'dark');
    useKey('u', () => setUnits(NEXT[units]));
    useKey('n', turn);
    useKey('/', () => setFinding(true));
    useKey('?', () => setKeys(true));
    const begin = () => void navigate('/?new=1');
    useKey('j', begin);
    return (
        <Box
            component="header"
            sx={{
                gridArea: 'top',
                display: 'flex',
                alignItems: 'center',
                gap: { xs: 0.5, sm: 1 },
                minHeight: 56,
                pr: 1.5,
                borderBottom: 1,
                borderColor: 'strong.main',
                bgcolor: 'background.paper',
                flexWrap: { xs: 'wrap', md: 'nowrap' },
                pl: { xs: 1, md: 0 },
                pb: { xs: 0.5, md: 0 },
            }}
        >
            <Box
                component={Link}
                to="/"
                aria-label="Oldpart Fit, to the bench"
                sx={{
                    width: { xs: 56, md: 92 },
                    height: { xs: 44, md: 55 },
                    ml: { xs: -1, md: 0 },
                    flexShrink: 0,
                    display: 'grid',
                    placeItems: 'center',
                    borderRight: 1,
                    borderColor: 'strong.main',
                }}
            >
                <Mark />
            </Box>
            <Box sx={{ flex: { xs: '1 1 calc(100% - 64px)', md: '1 1 7.5rem' }, minWidth: 0, pl: 1 }}>
                <Typography variant="h2" component="h1">
                    {title}
                </Typography>
                <Typography variant="body2" color="textSecondary">
                    {subtitle}
                </Typography>
            </Box>
            <SaveMark />
            <Button variant="outlined" color="inherit" onClick={() => setFinding(true)} aria-keyshortcuts="/">
                Find&nbsp;<b>/</b>
            </Button>
            {temperature}
            <Suspense>{here() !== null && <PersonChip />}</Suspense>
            {/* Its place is kept, so that nothing moves when it comes. */}
            <Box sx={{ minWidth: 148, minHeight: 44, '@media print': { display: 'none' } }}>
                <Suspense>
                    <UnitsChoice />
                </Suspense>
            </Box>
            <Button
                variant="outlined"
                color="inherit"
                onClick={turn}
                aria-pressed={night}
                aria-keyshortcuts="n"
                sx={{ px: { xs: 1, sm: 2 }, minWidth: 44 }}
            >
                {night ? 'Day' : 'Night'}
            </Button>
            <Button
                variant="outlined"
                color="inherit"
                onClick={() => setKeys(true)}
                aria-label="All keys"
                sx={{ minWidth: 44, px: 0 }}
            >
                ?
            </Button>
            <Suspense>
                {finding && (
                    <FindDialog
                        open
                        close={() => setFinding(false)}
                        bar={{
                            jobId,
                            night,
                            begin,
                            turn,
                            units: setUnits,
                            keys: () => setKeys(true),
                            word: (one) => asked('word', one),
                            history: () => asked('history', '1'),
                        }}
                    />
                )}
                {word !== null && <WordsDialog word={word} close={() => asked('word', null)} />}
                {keys && <KeysDialog open close={() => setKeys(false)} />}
            </Suspense>
        </Box>
    );
}
