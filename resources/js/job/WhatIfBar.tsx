import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useJob } from './JobContext';

/** While something is only tried out: says so, and lets it be kept or dropped. */
export function WhatIfBar() {
    const { whatIf } = useJob();
    const [refused, setRefused] = useState<string | null>(null);
    if (!whatIf.on) {
        return null;
    }
    const count = whatIf.changed;
    return (
        <Box
            role="status"
            aria-label="What if"
            sx={{
                display: 'flex',
                gap: 1.5,
                alignItems: 'center',
                flexWrap: 'wrap',
                border: 2,
                borderStyle: 'dashed',
                borderColor: 'make.main',
                bgcolor: 'background.paper',
                px: 1.5,
                py: 0.75,
                mb: 1.25,
            }}
        >
            <Typography sx={{ fontWeight: 700 }}>What if</Typography>
            <Typography sx={{ flex: '1 1 16.25rem' }} color={refused === null ? undefined : 'overlap'}>
                {refused ??
                    (count === 0
                        ? 'Change any number: all that depends on it moves, nothing is stored.'
                        : 'Not stored. What it was stands struck out beside what it would be.')}
            </Typography>
            <Button
                variant="contained"
                disabled={count === 0}
                onClick={() =>
                    void whatIf.keep().then(
                        () => setRefused(null),
                        (error: Error) => setRefused(error.message),
                    )
                }
            >
                Keep
            </Button>
            <Button variant="outlined" color="inherit" onClick={whatIf.drop}>
                Drop
            </Button>
        </Box>
    );
}
