import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { Joint } from '../../api/types';
import { useJob } from '../../job/JobContext';

/** Where both sides are cut: which is made first, and measured for the other. */
export function MadeFirst({ joint }: { joint: Joint }) {
    const { facts, save } = useJob();
    const name = (id: string) => facts.surfaces.find((s) => s.id === id)?.name ?? '';
    return (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mb: 1.25 }}>
            <Typography variant="body2">Both are cut. Made first, and the other to it:</Typography>
            <ToggleButtonGroup
                exclusive
                value={joint.first ?? 'either'}
                aria-label="Made first"
                onChange={(_, first: string | null) =>
                    first !== null &&
                    void save('joints', joint.id, { first: first === 'either' ? null : first })
                }
            >
                <ToggleButton value="either">either</ToggleButton>
                <ToggleButton value="inner">{name(joint.inner)}</ToggleButton>
                <ToggleButton value="outer">{name(joint.outer)}</ToggleButton>
            </ToggleButtonGroup>
        </Box>
    );
}
