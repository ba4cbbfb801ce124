import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { JointAnswer } from '../../api/types';
import { useSettings } from '../../shell/settings';

type TileList = NonNullable<JointAnswer['press']>['tiles'];
const TONE = { plain: 'text.secondary', good: 'good.main', bad: 'overlap.main' };
const SIGN = { plain: '', good: '✓ ', bad: '✕ ' };

/** The few numbers of a press fit that decide. */
export function Tiles({ tiles }: { tiles: TileList }) {
    const { say } = useSettings();
    return (
        <Box
            sx={{
                display: 'grid',
                gridTemplateColumns: {
                    xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                    lg: `repeat(${tiles.length}, 1fr)`,
                },
                mt: 1.25,
                border: 1,
                borderColor: 'strong.main',
                bgcolor: 'background.paper',
            }}
        >
            {tiles.map((tile) => (
                <Box
                    key={tile.label}
                    sx={{ px: 1.5, py: 1, borderLeft: 1, borderColor: 'divider', minWidth: 0 }}
                >
                    <Typography variant="body2" color="textSecondary">
                        {tile.label}
                    </Typography>
                    <Typography variant="smallSize" component="p">
                        {say(tile.value)}
                    </Typography>
                    <Typography variant="body2" sx={{ color: TONE[tile.tone] }}>
                        {SIGN[tile.tone]}
                        {say(tile.remark)}
                    </Typography>
                </Box>
            ))}
        </Box>
    );
}
