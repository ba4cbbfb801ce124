import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useJob } from '../../job/JobContext';

/** From all goes well to as the risks say: how much longer each of them makes the work. */
export function PriceBar() {
    const { answers } = useJob();
    const { risks, factor } = answers.quote;
    const parts = risks.map((risk, i) => {
        const before = risks.slice(0, i).reduce((product, r) => product * r.factor, 1);
        return { risk, width: ((before * (risk.factor - 1)) / factor) * 100 };
    });
    return (
        <Box sx={{ mt: 1.25 }}>
            <Box
                role="img"
                aria-label={`Hours: the work itself, times ${factor.toFixed(2)} for the risks`}
                sx={{ display: 'flex', height: 22, border: 1, borderColor: 'strong.main' }}
            >
                <Box sx={{ width: `${100 / factor}%`, bgcolor: 'make.main' }} />
                {parts.map(({ risk, width }) => (
                    <Box
                        key={risk.code}
                        sx={{
                            width: `${width}%`,
                            borderLeft: 1,
                            borderColor: 'make.main',
                            backgroundImage: (theme) => {
                                const blue = (theme.vars ?? theme).palette.make.main;
                                return `repeating-linear-gradient(-45deg, ${blue} 0 1.5px, transparent 1.5px 6px)`;
                            },
                        }}
                    />
                ))}
            </Box>
            <Typography variant="body2" color="textSecondary" sx={{ mt: 0.5 }}>
                {risks.length === 0
                    ? 'no risk beyond the work itself'
                    : `the work itself, and ×${factor.toFixed(2)} if all that is listed comes true`}
            </Typography>
        </Box>
    );
}
