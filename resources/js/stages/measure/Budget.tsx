import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { SurfaceAnswer } from '../../api/types';
import { useSettings } from '../../shell/settings';

type Lines = NonNullable<SurfaceAnswer['found']>['budget'];

/** The uncertainty budget as bars, the longest first, with what to improve. */
export function Budget({ lines }: { lines: Lines }) {
    const { say } = useSettings();
    const longest = lines[0];
    if (!longest) {
        return null;
    }
    const most = Math.sqrt(longest.share);
    return (
        <>
            {lines.map((line) => (
                <Box
                    key={line.source}
                    sx={{
                        display: 'grid',
                        gridTemplateColumns: {
                            xs: '6rem minmax(1rem, 1fr) minmax(0, 6rem)',
                            sm: '6rem minmax(2.5rem, 1fr) 11.875rem',
                        },
                        gap: 1,
                        alignItems: 'center',
                    }}
                >
                    <Typography variant="body2">{line.source}</Typography>
                    <Box
                        sx={{
                            height: 12,
                            width: `${Math.max(2, (100 * Math.sqrt(line.share)) / most)}%`,
                            bgcolor: 'found.main',
                        }}
                    />
                    <Typography variant="body2" color="textSecondary">
                        {say(line.size)}
                    </Typography>
                </Box>
            ))}
            <Typography variant="body2" sx={{ mt: 0.75 }}>
                {longest.improve}
            </Typography>
        </>
    );
}
