import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';

/** What to do, one after the other. */
export function Steps({ title, steps }: { title: string; steps: string[] }) {
    if (steps.length === 0) {
        return null;
    }
    return (
        <Box sx={{ mt: 1.5 }}>
            <Typography variant="h2">{title}</Typography>
            <Box component="ol" sx={{ m: 0, mt: 0.5, pl: 3 }}>
                {steps.map((step) => (
                    <Typography key={step} component="li" sx={{ mb: 0.5 }}>
                        {step}
                    </Typography>
                ))}
            </Box>
        </Box>
    );
}
