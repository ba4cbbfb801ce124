import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useColorScheme } from '@mui/material/styles';
import { Suspense, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Units } from '../api/types';
import { Mark } from './Mark';
import { SaveMark } from './SaveMark';
import { later } from './later';
import { useKey } from './keys';
import { useSettings } from './settings';

const FindDialog = later(async () => (await import('./FindDialog')).FindDialog);
const KeysDialog = later(async () => (await import('./KeysDialog')).KeysDialog);

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
    const turn = () => setMode(night ? 'light' : 'dark');
    useKey('u', () => setUnits(NEXT[units]));
    useKey('n', turn);
    useKey('/', () => setFinding(true));
    useKey('?', () => setKeys(true));
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
                flexWrap: { xs: 'wrap', sm: 'nowrap' },
            }}
        >
            <Box
                component={Link}
                to="/"
                aria-label="Oldpart Fit, to the bench"
                sx={{
                    width: { xs: 64, md: 92 },
                    height: 55,
                    flexShrink: 0,
                    display: 'grid',
                    placeItems: 'center',
                    borderRight: 1,
                    borderColor: 'strong.main',
                }}
            >
                <Mark />
            </Box>
            <Box sx={{ flex: '1 1 7.5rem', minWidth: 0, pl: 1 }}>
                <Typography variant="h2" component="p">
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
            <ToggleButtonGroup
                exclusive
                size="small"
                value={units}
                aria-label="Units"
                onChange={(_, next: Units | null) => next && setUnits(next)}
            >
                <ToggleButton value="in">in</ToggleButton>
                <ToggleButton value="mm">mm</ToggleButton>
                <ToggleButton value="both">both</ToggleButton>
            </ToggleButtonGroup>
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
                {finding && <FindDialog open close={() => setFinding(false)} jobId={jobId} />}
                {keys && <KeysDialog open close={() => setKeys(false)} />}
            </Suspense>
        </Box>
    );
}
