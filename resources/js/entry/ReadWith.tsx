import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useCatalogue } from '../api/queries';

/** Which instrument it was read with, of those that read such a thing. */
export function ReadWith({
    label,
    reads,
    value,
    choose,
}: {
    label: string;
    reads: string;
    value: string;
    choose: (code: string) => void;
}) {
    const fits = (useCatalogue().data?.instruments ?? []).filter((tool) => tool.fits.includes(reads));
    return (
        <TextField
            select
            label={label}
            value={fits.some((f) => f.code === value) ? value : ''}
            onChange={(event) => choose(event.target.value)}
        >
            {fits.map((f) => (
                <MenuItem key={f.code} value={f.code}>
                    {f.name}
                </MenuItem>
            ))}
        </TextField>
    );
}
