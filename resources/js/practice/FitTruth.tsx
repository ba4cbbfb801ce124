import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Debrief } from '../api/types';
import { mono } from '../theme/theme';

const WIDE = 560;

/** Two numbers stand beside each other in so much. */
const BESIDE = 130;

/** Where a joint works, and what it really came to, on one scale. */
export function FitTruth({
    joint,
    size,
    says,
}: {
    joint: Debrief['joints'][number];
    size: (mm: number) => string;
    says: string;
}) {
    const low = Math.min(joint.works.min, joint.is.min);
    const high = Math.max(joint.works.max, joint.is.max);
    const give = Math.max(0.004, (high - low) * 0.15);
    const from = low - give;
    const over = high + give - from;
    const x = (mm: number) => ((mm - from) / over) * WIDE;
    const inside = (mm: number) => Math.min(WIDE - 90, Math.max(90, x(mm)));
    const zero = from < 0 && from + over > 0;
    return (
        <Box sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}>
            <Typography>
                <b>{joint.name}</b> · {joint.purpose} ·{' '}
                <Box
                    component="span"
                    sx={{ fontWeight: 700, color: joint.good ? 'good.main' : 'overlap.main' }}
                >
                    {says}
                </Box>
            </Typography>
            <Box
                component="svg"
                viewBox={`0 0 ${WIDE} 74`}
                role="img"
                aria-label={`Works from ${size(joint.works.min)} to ${size(joint.works.max)}; is ${size(joint.is.min)} to ${size(joint.is.max)}`}
                sx={{ width: '100%', maxWidth: WIDE, display: 'block', fontFamily: mono, fontSize: 13 }}
            >
                <Box
                    component="rect"
                    x={x(joint.works.min)}
                    y={22}
                    width={Math.max(1, x(joint.works.max) - x(joint.works.min))}
                    height={14}
                    sx={{ fill: 'var(--mui-palette-good-tint)', stroke: 'var(--mui-palette-good-main)' }}
                />
                <Box
                    component="rect"
                    x={x(joint.is.min) - 1.5}
                    y={40}
                    width={Math.max(3, x(joint.is.max) - x(joint.is.min))}
                    height={10}
                    sx={{
                        fill: joint.good ? 'var(--mui-palette-make-main)' : 'var(--mui-palette-overlap-main)',
                    }}
                />
                {zero && (
                    <Box
                        component="line"
                        x1={x(0)}
                        x2={x(0)}
                        y1={16}
                        y2={56}
                        sx={{ stroke: 'var(--mui-palette-text-primary)', strokeDasharray: '3 3' }}
                    />
                )}
                {x(joint.works.max) - x(joint.works.min) < BESIDE ? (
                    <Box
                        component="text"
                        x={inside((joint.works.min + joint.works.max) / 2)}
                        y={14}
                        textAnchor="middle"
                        sx={{ fill: 'currentColor' }}
                    >
                        {`${size(joint.works.min)} … ${size(joint.works.max)}`}
                    </Box>
                ) : (
                    <>
                        <Box
                            component="text"
                            x={x(joint.works.min)}
                            y={14}
                            textAnchor="start"
                            sx={{ fill: 'currentColor' }}
                        >
                            {size(joint.works.min)}
                        </Box>
                        <Box
                            component="text"
                            x={x(joint.works.max)}
                            y={14}
                            textAnchor="end"
                            sx={{ fill: 'currentColor' }}
                        >
                            {size(joint.works.max)}
                        </Box>
                    </>
                )}
                <Box
                    component="text"
                    x={inside((joint.is.min + joint.is.max) / 2)}
                    y={68}
                    textAnchor="middle"
                    sx={{ fill: 'currentColor' }}
                >
                    {joint.is.max - joint.is.min < 0.0005
                        ? size(joint.is.min)
                        : `${size(joint.is.min)} … ${size(joint.is.max)}`}
                </Box>
            </Box>
        </Box>
    );
}
