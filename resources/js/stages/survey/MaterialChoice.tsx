import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useCatalogue } from '../../api/queries';
import type { Part } from '../../api/types';
import { useJob } from '../../job/JobContext';

export function MaterialChoice({ part }: { part: Part }) {
    const { save } = useJob();
    const catalogue = useCatalogue();
    const material = catalogue.data?.materials.find((m) => m.name === part.material);
    return (
        <TextField
            select
            label={`${part.name} is made of`}
            value={catalogue.data && part.material !== null ? part.material : ''}
            helperText={material?.remark ?? ' '}
            onChange={(event) =>
                void save('parts', part.id, {
                    material: event.target.value === '' ? null : event.target.value,
                })
            }
        >
            <MenuItem value="">not known yet</MenuItem>
            {catalogue.data?.materials.map((m) => (
                <MenuItem key={m.name} value={m.name}>
                    {m.name}
                </MenuItem>
            ))}
        </TextField>
    );
}
