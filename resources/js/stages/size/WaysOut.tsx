import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useNavigate } from '../../shell/router';
import { newId } from '../../api/client';
import type { Joint, WayOut } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { usePrinting } from '../../shell/usePrinting';

const NAME: Record<WayOut['code'], string> = {
    'read-again': 'Go and read it',
    'check-gauge': 'Go and read it',
    'other-gauge': 'Go and read it',
    'other-fit': 'Take it',
    'hold-closer': 'Into the plan',
    'sneak-up': 'Into the plan',
    ream: 'Into the plan',
    widen: 'Widen it',
    bond: 'Bond it',
    'change-the-mate': 'Into the plan',
};

/** The others help less; a single one more is shown as well. */
const SHOWN = 3;

interface Props {
    joint: Joint;
    ways: WayOut[];
    title?: string;
}

/** What to do where the size can't be made as asked: each way with its numbers, and one tap to take it. */
export function WaysOut({ joint, ways, title }: Props) {
    const { facts, save } = useJob();
    const { say } = useSettings();
    const navigate = useNavigate();
    const [all, setAll] = useState(false);
    const printing = usePrinting();
    if (ways.length === 0) {
        return null;
    }
    const planned = (way: WayOut) =>
        way.operation !== null && facts.operations.some((operation) => operation.name === way.operation);
    const take = (way: WayOut) => {
        if (way.measure !== null) {
            void navigate(`/job/${facts.id}/measure?at=${way.measure}`);
        } else if (way.operation !== null) {
            void save('operations', newId(), { name: way.operation });
        } else if (way.joint !== null) {
            void save('joints', joint.id, way.joint);
        }
    };
    return (
        <Box
            component="section"
            aria-label={title ?? 'Ways out'}
            sx={{
                border: 1,
                borderColor:
                    title !== undefined || ways.every((way) => way.code === 'ream')
                        ? 'divider'
                        : 'overlap.main',
                bgcolor: 'background.paper',
                mt: 1.25,
            }}
        >
            <Typography variant="h3" component="h2" sx={{ px: 1.5, pt: 1 }}>
                {title ?? (ways.every((way) => way.code === 'ream') ? 'Another way to make it' : 'Ways out')}
            </Typography>
            {(all || printing || ways.length <= SHOWN + 1 ? ways : ways.slice(0, SHOWN)).map((way) => (
                <Box
                    key={`${way.code}${way.says.mm}`}
                    sx={{
                        display: 'flex',
                        gap: 2,
                        alignItems: 'center',
                        px: 1.5,
                        py: 0.75,
                        borderTop: 1,
                        borderColor: 'divider',
                        mt: 0.5,
                    }}
                >
                    <Typography sx={{ flex: 1, minWidth: 0 }}>{say(way.says)}</Typography>
                    <Button
                        variant="outlined"
                        color="inherit"
                        disabled={planned(way)}
                        onClick={() => take(way)}
                        sx={{ flex: 'none' }}
                    >
                        {planned(way) ? 'In the plan' : NAME[way.code]}
                    </Button>
                </Box>
            ))}
            {ways.length > SHOWN + 1 && !all && (
                <Button
                    color="inherit"
                    onClick={() => setAll(true)}
                    sx={{ px: 1.5, '@media print': { display: 'none' } }}
                >
                    {`${ways.length - SHOWN} more ways`}
                </Button>
            )}
        </Box>
    );
}
