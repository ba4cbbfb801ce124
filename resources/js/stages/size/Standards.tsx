import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { JointAnswer } from '../../api/types';
import { useSettings } from '../../shell/settings';

/** The odd size made standard: what can be bought or reamed within what the old part can lose. */
export function Standards({ standards }: { standards: NonNullable<JointAnswer['help']>['standards'] }) {
    const { say } = useSettings();
    if (standards.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label="Made standard" sx={{ mt: 1.25 }}>
            <Typography variant="h3" component="h2" sx={{ mb: 0.25 }}>
                Made standard, if the old part can lose it
            </Typography>
            {standards.map((size) => (
                <Typography key={size.mm} variant="body2">
                    {say(size.says)}
                </Typography>
            ))}
        </Box>
    );
}
