import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Debrief } from '../api/types';
import { useSettings } from '../shell/settings';
import { mono } from '../theme/theme';

/** The marks of one practice, by skill. */
export function Marks({ scores }: { scores: Debrief['scores'] }) {
    const { say } = useSettings();
    return (
        <Box component="section" aria-label="Marks" sx={{ display: 'grid', gap: 0.75 }}>
            {scores.map((score) => (
                <Box
                    key={score.skill}
                    sx={{
                        display: 'grid',
                        gap: 1.5,
                        alignItems: 'center',
                        gridTemplateColumns: {
                            xs: 'minmax(0, 1fr) auto',
                            sm: '10rem 3rem 10rem 1fr',
                        },
                    }}
                >
                    <Typography>{score.label}</Typography>
                    <Typography sx={{ fontFamily: mono, fontWeight: 700, textAlign: 'right' }}>
                        {score.points === null ? '–' : String(score.points)}
                    </Typography>
                    <Box
                        aria-hidden
                        sx={{
                            display: { xs: 'none', sm: 'block' },
                            height: 12,
                            border: 1,
                            borderColor: 'strong.main',
                        }}
                    >
                        <Box
                            sx={{
                                height: '100%',
                                width: `${score.points ?? 0}%`,
                                bgcolor: (score.points ?? 0) >= 75 ? 'good.main' : 'found.main',
                            }}
                        />
                    </Box>
                    <Typography
                        variant="body2"
                        color="textSecondary"
                        sx={{ gridColumn: { xs: '1 / -1', sm: 'auto' } }}
                    >
                        {say(score.why)}
                    </Typography>
                </Box>
            ))}
        </Box>
    );
}
