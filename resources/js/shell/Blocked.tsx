import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';

/** What stands in the way, and the way out. */
export function Blocked({ children }: { children: ReactNode }) {
    return (
        <Typography variant="said" sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.5, mb: 1 }}>
            {children}
        </Typography>
    );
}
