import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

/** What did not work on the bench, and why; until it is closed, where it can be. */
export function Refusal({ says, close }: { says: string; close?: () => void }) {
    return (
        <Box
            role="alert"
            sx={{
                display: 'flex',
                alignItems: 'center',
                gap: 1.5,
                borderLeft: 5,
                borderColor: 'error.main',
                pl: 1.5,
                mb: 1.5,
            }}
        >
            <Typography sx={{ flex: 1 }}>{says}</Typography>
            {close && (
                <Button color="inherit" onClick={close}>
                    Close
                </Button>
            )}
        </Box>
    );
}
