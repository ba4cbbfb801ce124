import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { Units } from '../api/types';
import { useSettings } from './settings';

export function UnitsChoice() {
    const { units, setUnits } = useSettings();
    return (
        <ToggleButtonGroup
            exclusive
            size="small"
            value={units}
            aria-label="Units"
            onChange={(_, next: Units | null) => next && setUnits(next)}
        >
            <ToggleButton value="in">in</ToggleButton>
            <ToggleButton value="mm">mm</ToggleButton>
            <ToggleButton value="both">both</ToggleButton>
        </ToggleButtonGroup>
    );
}
