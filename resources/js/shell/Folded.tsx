import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { useId, useState, type ReactNode } from 'react';
import { usePrinting } from './usePrinting';

interface Props {
    title: string;
    /** What is in it, in a few words: the number, where there is one. */
    says: string;
    startOpen?: boolean;
    children: ReactNode;
}

/** A part of a screen that does not decide: its heading says what is in it. On paper it is whole. */
export function Folded({ title, says, startOpen = false, children }: Props) {
    const [open, setOpen] = useState(startOpen);
    const printing = usePrinting();
    const id = useId();
    return (
        <Box component="section" aria-label={title} sx={{ mt: 1.25, borderTop: 1, borderColor: 'divider' }}>
            <ButtonBase
                aria-expanded={open}
                aria-controls={id}
                onClick={() => setOpen(!open)}
                sx={{
                    width: '100%',
                    minHeight: 44,
                    gap: 1.25,
                    justifyContent: 'flex-start',
                    textAlign: 'left',
                    flexWrap: 'wrap',
                    '&:hover': { bgcolor: 'action.hover' },
                }}
            >
                <Typography component="span" aria-hidden sx={{ width: 16, fontWeight: 700 }}>
                    {open ? '−' : '+'}
                </Typography>
                <Typography variant="label" component="h3">
                    {title}
                </Typography>
                <Typography component="span" variant="body2" color="textSecondary">
                    {says}
                </Typography>
            </ButtonBase>
            <Box id={id} sx={{ pb: open || printing ? 1.25 : 0 }}>
                {(open || printing) && children}
            </Box>
        </Box>
    );
}
