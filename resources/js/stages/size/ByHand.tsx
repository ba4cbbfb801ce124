import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Collapse from '@mui/material/Collapse';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Joint, JointAnswer } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { typedText } from '../../entry/typed';
import { NumberFact } from '../../entry/NumberFact';
import { TextFact } from '../../entry/TextFact';
import { useKept } from '../../entry/useKept';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';

/** Limits typed by hand, what the joint has to carry, and why this fit was taken. */
export function ByHand({ joint, answer }: { joint: Joint; answer: JointAnswer }) {
    const { save, answers, facts } = useJob();
    const { typing } = useSettings();
    const [open, setOpen] = useState(joint.least !== null);
    const [least, setLeast] = useKept(`least:${joint.id}`, typedText(joint.least, typing));
    const limits = (which: 'least' | 'most', typed: string) => {
        const value = { typed, unit: typing };
        const other = which === 'least' ? joint.most : joint.least;
        if (which === 'least') {
            setLeast(typed);
        }
        // Both limits are stored together: one alone is no range.
        if (other === null && which === 'least') {
            return Promise.resolve();
        }
        return save(
            'joints',
            joint.id,
            which === 'least'
                ? { least: value }
                : { least: joint.least ?? { typed: least, unit: typing }, most: value },
        );
    };
    const pressed = answers.make.find((entry) => entry.joint === joint.id && entry.phase !== 'only');
    const isBore = facts.surfaces.find((surface) => surface.id === pressed?.surface)?.kind === 'bore';
    return (
        <Box sx={{ mt: 1 }}>
            <Button color="inherit" variant="outlined" aria-expanded={open} onClick={() => setOpen(!open)}>
                Own limits, load and reason
            </Button>
            <Collapse in={open}>
                <Box
                    sx={{
                        display: 'grid',
                        gap: 1.5,
                        mt: 1.5,
                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' },
                        maxWidth: 720,
                    }}
                >
                    <LengthField
                        signed
                        label="Least clearance (− is tight)"
                        value={joint.least === null ? least : typedText(joint.least, typing)}
                        unit={typing}
                        store={(typed) => limits('least', typed)}
                    />
                    <LengthField
                        signed
                        label="Most clearance (− is tight)"
                        value={typedText(joint.most, typing)}
                        unit={typing}
                        store={(typed) => limits('most', typed)}
                    />
                    {answer.tight && (
                        <NumberFact
                            label="Torque it must hold, N·m"
                            value={joint.needs_torque_nm}
                            store={(needs_torque_nm) => save('joints', joint.id, { needs_torque_nm })}
                        />
                    )}
                    <TextFact
                        label="Why this fit"
                        value={joint.reason}
                        store={(reason) => save('joints', joint.id, { reason })}
                    />
                </Box>
                {pressed && (
                    <FormControlLabel
                        control={
                            <Checkbox
                                checked={joint.finish_in_place === true}
                                onChange={(_, on) =>
                                    void save('joints', joint.id, { finish_in_place: on ? true : null })
                                }
                            />
                        }
                        label={
                            isBore
                                ? 'Bore or ream it in place, after pressing'
                                : 'Turn or grind it once it is pressed on'
                        }
                    />
                )}
                {joint.least !== null && (
                    <Button
                        color="inherit"
                        onClick={() => {
                            setLeast('');
                            void save('joints', joint.id, { least: null, most: null });
                        }}
                    >
                        Back to the tables
                    </Button>
                )}
                {pressed && (
                    <Typography variant="body2" color="textSecondary">
                        A thin wall, or a change that varies more than the band, is finished in place whatever
                        is chosen here.
                    </Typography>
                )}
            </Collapse>
        </Box>
    );
}
