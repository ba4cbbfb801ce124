import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useEffect, useId, useState } from 'react';
import { newId } from '../../api/client';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { useSums } from '../../sums/useSums';

interface Props {
    begun: (id: string) => void;
    giveUp: () => void;
}

/** Begins a sum of the job, found by a word; Escape gives it up. */
export function WorkOut({ begun, giveUp }: Props) {
    const { save, whatIf } = useJob();
    const { typing } = useSettings();
    const sums = useSums();
    const [open, setOpen] = useState(false);
    const id = useId();
    // The menu it was chosen in gives the focus back to its button first.
    useEffect(() => document.getElementById(id)?.focus(), [id]);
    return (
        <Autocomplete
            id={id}
            open={open}
            onOpen={() => setOpen(true)}
            onClose={() => setOpen(false)}
            onKeyDown={(event) => {
                if (event.key === 'Escape' && !open) {
                    giveUp();
                }
            }}
            options={sums.data ?? []}
            value={null}
            blurOnSelect
            clearOnBlur
            disabled={whatIf.on}
            getOptionLabel={(sum) => `${sum.title}: ${sum.says}`}
            getOptionKey={(sum) => sum.name}
            noOptionsText="No sum has that word in it."
            onChange={(_, sum) => {
                if (sum) {
                    const fresh = newId();
                    void save('reckonings', fresh, { sum: sum.name, name: sum.title, unit: typing }).then(
                        () => begun(fresh),
                    );
                }
            }}
            renderInput={(params) => <TextField {...params} label="Work something out" />}
            openOnFocus
            sx={{ maxWidth: 480, mb: 1.25 }}
            slotProps={{ popper: { style: { width: 480 }, placement: 'bottom-start' } }}
        />
    );
}
