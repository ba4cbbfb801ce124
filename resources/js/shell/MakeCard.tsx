import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Drawer from '@mui/material/Drawer';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useTheme } from '@mui/material/styles';
import { useState, type ReactNode } from 'react';
import { useJob } from '../job/JobContext';
import { useSettings } from './settings';
import { usePrinting } from './usePrinting';
import { Entries } from './MakeEntries';

/** What to make, the number first. Always there inside a job; folds to one line on an upright screen. */
export function MakeCard({ above }: { above?: ReactNode }) {
    const { answers } = useJob();
    const across = useMediaQuery(useTheme().breakpoints.up('md'));
    // On paper there is no drawer to open.
    const wide = usePrinting() || across;
    const [open, setOpen] = useState(false);
    const { say } = useSettings();
    if (wide) {
        return (
            <Box
                component="aside"
                aria-label="Make card"
                sx={{
                    gridArea: 'card',
                    borderLeft: 1,
                    borderColor: 'strong.main',
                    bgcolor: 'background.paper',
                    overflow: 'auto',
                    px: 2,
                    py: 1.75,
                }}
            >
                {above}
                <Entries />
            </Box>
        );
    }
    const next = answers.make.filter((entry) => entry.aim !== null && entry.verdict === null);
    const first = next.find((entry) => !entry.rest) ?? next[0] ?? answers.make[0];
    return (
        <Box
            component="aside"
            aria-label="Make card"
            sx={{
                gridArea: 'card',
                borderBottom: 1,
                borderColor: 'strong.main',
                bgcolor: 'background.paper',
                minWidth: 0,
            }}
        >
            <ButtonBase
                onClick={() => setOpen(true)}
                sx={{
                    width: 1,
                    minHeight: 56,
                    px: 1.5,
                    justifyContent: 'flex-start',
                    columnGap: 1.5,
                    flexWrap: { xs: 'wrap', sm: 'nowrap' },
                    textAlign: 'left',
                }}
            >
                <Typography variant="body2" sx={{ flexShrink: 0 }}>
                    {first?.label ?? 'Make card'}
                </Typography>
                {first?.aim ? (
                    <Typography variant="midSize" color="make">
                        {say(first.aim)}
                    </Typography>
                ) : (
                    <Typography variant="body2" color="overlap">
                        {first?.blocked ? say(first.blocked) : ''}
                    </Typography>
                )}
                <Typography variant="body2" color="textSecondary">
                    {first?.limit ? say(first.limit) : ''}
                </Typography>
                <Typography variant="body2" sx={{ ml: 'auto' }}>
                    all
                </Typography>
            </ButtonBase>
            <Drawer anchor="top" open={open} onClose={() => setOpen(false)}>
                <Box sx={{ p: 2, maxHeight: '80dvh', overflow: 'auto' }}>
                    {above}
                    <Entries />
                    <Button fullWidth variant="outlined" onClick={() => setOpen(false)} sx={{ mt: 1 }}>
                        Close
                    </Button>
                </Box>
            </Drawer>
        </Box>
    );
}
