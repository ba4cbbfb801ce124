import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { mono } from '../theme/theme';

/** How far in it is when a press gives no more. */
const STUCK = 0.6;

const STEPS = 20;

/** The gauge of the press while it goes in: the force grows with the depth. */
export function PressCurve({ newtons, stuck }: { newtons: number; stuck: boolean }) {
    const [step, setStep] = useState(0);
    useEffect(() => {
        const still = window.matchMedia('(prefers-reduced-motion)').matches;
        const timer = setInterval(
            () => setStep((now) => (still || now >= STEPS ? STEPS : now + 1)),
            still ? 0 : 60,
        );
        return () => clearInterval(timer);
    }, []);
    const share = step / STEPS;
    const deep = share * (stuck ? STUCK : 1);
    return (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center', mt: 0.5 }}>
            <Box
                sx={{ width: '15rem', maxWidth: '100%', height: 14, border: 1, borderColor: 'strong.main' }}
                aria-hidden
            >
                <Box sx={{ width: `${deep * 100}%`, height: '100%', bgcolor: 'make.main' }} />
            </Box>
            <Typography sx={{ fontFamily: mono, fontWeight: 700 }}>
                {`${((newtons * share) / 1000).toFixed(1)} kN`}
            </Typography>
            <Typography variant="body2" color="textSecondary">
                {stuck ? 'stuck' : 'at full depth'}
            </Typography>
        </Box>
    );
}
