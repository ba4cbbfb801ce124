import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Part, PartAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { Notes } from '../../shell/Notes';
import { HardnessFields } from './HardnessFields';
import { MaterialChoice } from './MaterialChoice';
import { Tests } from './MetalTests';

/** What it is made of and what that allows; a few simple tests where nobody knows. */
export function Metal({ part, answer }: { part: Part; answer: PartAnswer }) {
    const [testing, setTesting] = useState<'no' | 'before' | 'now'>(
        Object.keys(part.tests).length > 0 ? 'before' : 'no',
    );
    return (
        <Box component="section" aria-label="Metal" sx={{ mt: 2.5 }}>
            <Typography variant="h2" sx={{ mb: 1.25 }}>
                Metal
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1fr 1fr' },
                    alignItems: 'start',
                }}
            >
                <Box>
                    <MaterialChoice part={part} />
                    <HardnessFacts part={part} answer={answer} />
                </Box>
                <Box>
                    <Notes notes={answer.notes} />
                </Box>
            </Box>
            {testing !== 'no' ? (
                <Tests part={part} answer={answer} begun={testing === 'now'} />
            ) : (
                <Button variant="outlined" color="inherit" onClick={() => setTesting('now')} sx={{ mt: 1 }}>
                    Find out what it is
                </Button>
            )}
        </Box>
    );
}

function HardnessFacts({ part, answer }: { part: Part; answer: PartAnswer }) {
    const { save } = useJob();
    const shown = answer.hardness;
    const say = (value: number | null, unit: string, digits = 0) =>
        value === null ? null : `${value.toFixed(digits)} ${unit}`;
    const others = shown
        ? [
              say(shown.hrc, 'HRC', 1),
              say(shown.hb, 'HB'),
              say(shown.hv, 'HV'),
              shown.tensile_mpa === null ? null : `about ${shown.tensile_mpa.toFixed(0)} MPa`,
          ].filter((text) => text !== null)
        : [];
    return (
        <>
            <HardnessFields
                given={part.hardness}
                store={(hardness) => save('parts', part.id, { hardness })}
            />
            {others.length > 0 && (
                <Typography variant="body2" sx={{ mt: 0.75 }}>
                    {others.join(' · ')} <span>(ISO 18265, plain and low-alloy steel)</span>
                </Typography>
            )}
        </>
    );
}
