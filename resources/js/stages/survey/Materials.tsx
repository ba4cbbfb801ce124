import Box from '@mui/material/Box';
import { useJob } from '../../job/JobContext';
import { MaterialChoice } from './MaterialChoice';

/** What each part is made of, at a glance; the tests for an unknown one are at the part. */
export function Materials() {
    const { facts } = useJob();
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 1.5,
                mt: 2,
                gridTemplateColumns: {
                    xs: 'minmax(0, 1fr)',
                    sm: 'repeat(auto-fill, minmax(min(100%, 15rem), 1fr))',
                },
            }}
        >
            {facts.parts.map((part) => (
                <MaterialChoice key={part.id} part={part} />
            ))}
        </Box>
    );
}
