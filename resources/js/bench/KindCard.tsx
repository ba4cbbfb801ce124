import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import type { Kind } from '../api/types';
import { DrawingView } from '../pictures/DrawingView';

export function KindCard({ kind, chosen, choose }: { kind: Kind; chosen: boolean; choose: () => void }) {
    return (
        <ButtonBase
            id={`kind-${kind.code}`}
            role="radio"
            aria-checked={chosen}
            aria-label={kind.name}
            tabIndex={chosen ? 0 : -1}
            onClick={choose}
            sx={{
                border: 1,
                borderColor: chosen ? 'primary.main' : 'strong.main',
                outline: chosen ? '2px solid' : 'none',
                outlineColor: (theme) => (theme.vars ?? theme).palette.primary.main,
                outlineOffset: -2,
                bgcolor: 'background.paper',
                p: 1,
                flexDirection: 'column',
                gap: 0.5,
                minHeight: 138,
                justifyContent: 'space-between',
            }}
        >
            {kind.thumb ? (
                <DrawingView drawing={kind.thumb} maxWidth={140} quiet />
            ) : (
                <Typography variant="label" color="textSecondary" sx={{ my: 'auto' }}>
                    lay it out yourself
                </Typography>
            )}
            <Typography variant="label" sx={{ fontWeight: 650 }}>
                {kind.name}
            </Typography>
        </ButtonBase>
    );
}
