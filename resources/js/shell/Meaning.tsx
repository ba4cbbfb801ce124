import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import type { Glossary } from '../api/types';

/** What a word means, beside it. */
export function Meaning({ at, word, close }: { at: HTMLElement; word: Glossary[number]; close: () => void }) {
    return (
        <Popover
            open
            anchorEl={at}
            onClose={close}
            anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
            slotProps={{
                paper: {
                    role: 'dialog',
                    'aria-label': word.word,
                    sx: { border: 1, borderColor: 'strong.main' },
                },
            }}
        >
            <Box sx={{ p: 1.5, maxWidth: '26rem' }}>
                <Typography variant="label">{word.word}</Typography>
                <Typography sx={{ my: 0.5 }}>{word.says}</Typography>
                <Button autoFocus size="small" variant="outlined" color="inherit" onClick={close}>
                    Close
                </Button>
            </Box>
        </Popover>
    );
}
