import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { newId } from '../../api/client';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { useSums } from '../../sums/useSums';

/** Begins a sum of the job, found by a word. */
export function WorkOut({ begun }: { begun: (id: string) => void }) {
    const { save, whatIf } = useJob();
    const { typing } = useSettings();
    const sums = useSums();
    return (
        <Autocomplete
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
                    const id = newId();
                    void save('reckonings', id, { sum: sum.name, name: sum.title, unit: typing }).then(() =>
                        begun(id),
                    );
                }
            }}
            renderInput={(params) => <TextField {...params} label="Work something out" autoFocus />}
            openOnFocus
            sx={{ maxWidth: 480, mb: 1.25 }}
            slotProps={{ popper: { style: { width: 480 }, placement: 'bottom-start' } }}
        />
    );
}
