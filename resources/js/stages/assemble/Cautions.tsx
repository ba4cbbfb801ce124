import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import type { Rehearsal } from '../../api/types';
import { useTicked } from '../../offline/useTicked';

/** Cautions to tick where the hand is about to do the thing. */
export function Cautions({
    cautions,
    turn,
}: {
    cautions: Rehearsal['cautions'];
    turn: (code: string, on: boolean) => void;
}) {
    const ticked = useTicked();
    return cautions.map((caution) => (
        <FormControlLabel
            key={caution.code}
            sx={{ alignItems: 'flex-start', mb: 0.25 }}
            control={
                <Checkbox
                    checked={ticked(caution.code, caution.ticked)}
                    onChange={(_, on) => turn(caution.code, on)}
                />
            }
            label={<Typography sx={{ pt: 1.1 }}>{caution.says}</Typography>}
        />
    ));
}
