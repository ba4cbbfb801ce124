import Box from '@mui/material/Box';
import type { ReactNode } from 'react';

/** A sheet with a thin rule round it, for a picture or a group of facts. */
export function Framed({
    children,
    pad = 1.25,
    strong = false,
}: {
    children: ReactNode;
    pad?: number;
    strong?: boolean;
}) {
    return (
        <Box
            sx={{
                border: strong ? 2 : 1,
                borderColor: strong ? 'primary.main' : 'strong.main',
                borderRadius: 0.25,
                bgcolor: 'background.paper',
                p: pad,
                minWidth: 0,
            }}
        >
            {children}
        </Box>
    );
}
