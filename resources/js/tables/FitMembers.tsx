import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { FitLook } from '../api/types';
import { useSettings } from '../shell/settings';

export function Members({ look }: { look: FitLook }) {
    const { say } = useSettings();
    const member = (name: string, m: FitLook['hole_shown']) => (
        <Box sx={{ px: 1.5, py: 1, borderLeft: 1, borderColor: 'divider' }}>
            <Typography variant="body2" color="textSecondary">
                {name} {m.class}
            </Typography>
            <Typography variant="midSize" color="make">
                {say(m.lower)} … {say(m.upper)}
            </Typography>
            <Typography variant="body2">
                {say(m.under)} to {say(m.over)}, {say(m.width)} wide
            </Typography>
        </Box>
    );
    return (
        <Box
            sx={{
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' },
                border: 1,
                borderColor: 'strong.main',
                bgcolor: 'background.paper',
                mt: 1.25,
            }}
        >
            {member('Hole', look.hole_shown)}
            {member('Shaft', look.shaft_shown)}
        </Box>
    );
}
