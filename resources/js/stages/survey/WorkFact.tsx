import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Surface } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { typedText } from '../../entry/typed';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';

/** What is done to a surface of a part that is there: it stays, or is cut again; and how sure a typed size is. */
export function WorkFact({ surface }: { surface: Surface }) {
    const { save } = useJob();
    const { typing } = useSettings();
    const work = surface.work ?? null;
    return (
        <Box
            sx={{
                display: 'grid',
                gap: 1.5,
                mt: 1.5,
                gridTemplateColumns: {
                    xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                    sm: '1.4fr 1.2fr 1fr',
                },
            }}
        >
            <TextField
                select
                label="What is done to it"
                value={work ?? ''}
                slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
                onChange={(event) =>
                    void save('surfaces', surface.id, {
                        work: event.target.value === '' ? null : event.target.value,
                    })
                }
            >
                <MenuItem value="">nothing: it stays as it is</MenuItem>
                <MenuItem value="cut">cut again: bored, turned, faced</MenuItem>
                <MenuItem value="built up">built up first, then cut</MenuItem>
            </TextField>
            {work === null && surface.size !== null && (
                <LengthField
                    small
                    label="Typed size is sure to ±"
                    value={typedText(surface.sure ?? null, typing)}
                    unit={typing}
                    store={(typed) => save('surfaces', surface.id, { sure: { typed, unit: typing } })}
                    clear={() => save('surfaces', surface.id, { sure: null })}
                />
            )}
        </Box>
    );
}
