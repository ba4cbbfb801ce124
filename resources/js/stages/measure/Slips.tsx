import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { SurfaceAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';

/** Likely slips, each mended or set aside with one tap; the old number stays struck through. */
export function Slips({ slips }: { slips: SurfaceAnswer['slips'] }) {
    const { save } = useJob();
    const { say } = useSettings();
    return (
        <>
            {slips.map((slip) => (
                <Box
                    key={slip.reading}
                    role="group"
                    aria-label="A likely slip"
                    sx={{
                        borderLeft: 5,
                        borderColor: 'overlap.main',
                        pl: 1.25,
                        my: 0.75,
                        display: 'flex',
                        flexWrap: 'wrap',
                        alignItems: 'center',
                        gap: 1,
                    }}
                >
                    <Typography sx={{ flex: '1 1 16.25rem' }}>{say(slip.says)}</Typography>
                    {slip.mend !== null && (
                        <Button
                            variant="outlined"
                            onClick={() => void save('readings', slip.reading, { value: slip.mend })}
                        >
                            It was {slip.mend.typed} {slip.mend.unit}
                        </Button>
                    )}
                    <Button
                        variant="outlined"
                        color="inherit"
                        onClick={() => void save('readings', slip.reading, { set_aside: 'a likely slip' })}
                    >
                        Set it aside
                    </Button>
                </Box>
            ))}
        </>
    );
}
