import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { PracticeList } from '../api/types';
import { mono } from '../theme/theme';

/** As many of the latest as are drawn. */
const SHOWN = 16;

/** From here on it is well done. */
const WELL = 75;

/** How each skill went from one practice to the next, the latest on the right. */
export function OverTime({ list }: { list: PracticeList }) {
    const ended = list.practices.filter((p) => p.scores !== null).reverse();
    if (ended.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label="How it goes">
            <Typography variant="h2" sx={{ mb: 1 }}>
                How it goes
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 12rem), 1fr))',
                }}
            >
                {list.skills.map((skill) => {
                    const points = ended
                        .flatMap((p) => (p.scores ?? []).filter((s) => s.skill === skill.code))
                        .flatMap((s) => (s.points === null ? [] : [s.points]))
                        .slice(-SHOWN);
                    const mean = points.reduce((sum, p) => sum + p, 0) / Math.max(1, points.length);
                    return (
                        <Box key={skill.code}>
                            <Typography>{skill.name}</Typography>
                            <Typography sx={{ fontFamily: mono, fontWeight: 700 }}>
                                {points.length === 0 ? '–' : String(Math.round(mean))}
                            </Typography>
                            <Box
                                role="img"
                                aria-label={points.join(', ')}
                                sx={{
                                    display: 'flex',
                                    alignItems: 'flex-end',
                                    gap: '3px',
                                    height: 48,
                                    borderBottom: 1,
                                    borderColor: 'strong.main',
                                }}
                            >
                                {points.map((p, i) => (
                                    <Box
                                        key={i}
                                        sx={{
                                            width: 9,
                                            height: `${Math.max(3, p)}%`,
                                            bgcolor: p >= WELL ? 'good.main' : 'found.main',
                                        }}
                                    />
                                ))}
                            </Box>
                        </Box>
                    );
                })}
            </Box>
        </Box>
    );
}
