import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { Joint, Seat } from '../../api/types';
import { NumberFact } from '../../entry/NumberFact';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';

type Facts = NonNullable<Joint['bearing']>;

const FRESH: Facts = {
    designation: null,
    bore_mm: null,
    outside_mm: null,
    width_mm: null,
    turning: 'inner',
    load: 'normal',
    housing: 'solid',
    inner_warmer_k: 0,
};

/** Which bearing sits here and what it has to do; its seats, and what they leave of its clearance. */
export function BearingSeat({ joint, seat }: { joint: Joint; seat: Seat | null }) {
    const { edit, save } = useJob();
    const { say } = useSettings();
    const bearing = joint.bearing ?? FRESH;
    const store = (change: Partial<Facts>) =>
        edit('joints', joint.id, (now) => ({ bearing: { ...(now.bearing ?? FRESH), ...change } }));
    const choice = <K extends 'turning' | 'load' | 'housing'>(
        label: string,
        field: K,
        choices: [Facts[K], string][],
    ) => (
        <Box>
            <Typography variant="body2" sx={{ fontWeight: 650, mb: 0.5 }}>
                {label}
            </Typography>
            <ToggleButtonGroup
                exclusive
                value={bearing[field]}
                aria-label={label}
                disabled={joint.bearing == null}
                onChange={(_, value: Facts[K] | null) => value !== null && void store({ [field]: value })}
            >
                {choices.map(([code, says]) => (
                    <ToggleButton key={code} value={code}>
                        {says}
                    </ToggleButton>
                ))}
            </ToggleButtonGroup>
        </Box>
    );
    return (
        <Box
            component="section"
            aria-label="The bearing"
            sx={{ border: 1, borderColor: 'strong.main', bgcolor: 'background.paper', p: 1.5, mt: 1.25 }}
        >
            <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'flex-end' }}>
                <Box sx={{ width: 220 }}>
                    <TextFact
                        label="Stamped on the bearing"
                        value={bearing.designation ?? ''}
                        store={(designation) =>
                            designation.trim() === ''
                                ? save('joints', joint.id, { bearing: null })
                                : store({ designation })
                        }
                    />
                </Box>
                {choice('The load stands still, so this turns against it', 'turning', [
                    ['inner', 'the inner ring'],
                    ['outer', 'the outer ring'],
                ])}
                {choice('Load', 'load', [
                    ['light', 'light'],
                    ['normal', 'normal'],
                    ['heavy', 'heavy or shocks'],
                ])}
                {choice('Housing', 'housing', [
                    ['solid', 'solid'],
                    ['split', 'split'],
                    ['thin', 'thin'],
                ])}
                {joint.bearing != null && (
                    <Box sx={{ width: 220 }}>
                        <NumberFact
                            label="Inner ring warmer by, K"
                            value={bearing.inner_warmer_k}
                            store={(k) => store({ inner_warmer_k: k ?? 0 })}
                        />
                    </Box>
                )}
            </Box>
            {seat && (
                <Box sx={{ mt: 1.25 }}>
                    <Typography variant="outcome">
                        {seat.bearing}: shaft {seat.shaft_class}, housing {seat.housing_class}
                    </Typography>
                    <Typography>
                        On the shaft {say(seat.on_shaft)}; in the housing {say(seat.in_housing)}.
                    </Typography>
                    <Typography>
                        The seats take {say(seat.loss)} of its clearance
                        {seat.warm_loss && `, the heat ${say(seat.warm_loss)} more`}
                        {seat.left && `; ${say(seat.left)} is left of Normal`}.
                    </Typography>
                    {seat.shoulder && (
                        <Typography variant="body2" color="textSecondary">
                            {say(seat.shoulder)}
                        </Typography>
                    )}
                </Box>
            )}
        </Box>
    );
}
