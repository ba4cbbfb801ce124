import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import type { FitRow } from '../api/types';
import { useSettings } from '../shell/settings';

/** A fit to go to, with what it gives. */
export function FitButton({ row, chosen, take }: { row: FitRow; chosen: boolean; take: () => void }) {
    const { say } = useSettings();
    return (
        <ButtonBase
            onClick={take}
            aria-pressed={chosen}
            sx={{
                display: 'block',
                textAlign: 'left',
                fontFamily: 'inherit',
                border: chosen ? 2 : 1,
                borderColor: chosen ? 'primary.main' : 'strong.main',
                bgcolor: 'background.paper',
                px: 1.25,
                py: 0.5,
                minHeight: 44,
                borderRadius: 0.25,
            }}
        >
            <Typography component="span" sx={{ display: 'block', fontWeight: 700 }}>
                {row.label}
            </Typography>
            <Typography
                component="span"
                variant="body2"
                sx={{ color: row.tight ? 'overlap.main' : 'text.secondary' }}
            >
                {say(row.range)}
            </Typography>
        </ButtonBase>
    );
}
