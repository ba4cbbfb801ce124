import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useSearchParams } from '../../shell/router';
import { useState } from 'react';
import { newId } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import type { Part, Surface } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { RemoveButton } from '../../entry/RemoveButton';
import { SurfaceEditor } from './SurfaceEditor';

/** The surfaces of a part, each with what it is and does; a tap opens it. */
export function Surfaces({ part }: { part: Part }) {
    const { facts, save } = useJob();
    const catalogue = useCatalogue();
    // The address may name the one to open.
    const [params] = useSearchParams();
    const [open, setOpen] = useState<string | null>(params.get('at'));
    const [anchor, setAnchor] = useState<HTMLElement | null>(null);
    const surfaces = facts.surfaces.filter((surface) => surface.part === part.id);
    const add = (kind: string, name: string) => {
        const id = newId();
        setAnchor(null);
        void save('surfaces', id, {
            part: part.id,
            name: `${part.name} ${name}`,
            kind,
        }).then(() => setOpen(id));
    };
    return (
        <Box component="section" aria-label="Surfaces" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ mb: 0.75 }}>
                Surfaces
            </Typography>
            <Box sx={{ borderTop: 1, borderColor: 'divider' }}>
                {surfaces.map((surface) => (
                    <Box
                        key={surface.id}
                        sx={{
                            borderBottom: 1,
                            borderColor: 'divider',
                            display: 'grid',
                            gridTemplateColumns: 'minmax(0, 1fr) auto',
                        }}
                    >
                        <SurfaceRow
                            surface={surface}
                            open={open === surface.id}
                            turn={() => setOpen(open === surface.id ? null : surface.id)}
                        />
                        <RemoveButton
                            says="Not here"
                            name={surface.name}
                            remove={() => save('surfaces', surface.id, null)}
                        />
                        {open === surface.id && (
                            <Box sx={{ gridColumn: '1 / -1' }}>
                                <SurfaceEditor surface={surface} part={part} />
                            </Box>
                        )}
                    </Box>
                ))}
            </Box>
            <Button
                variant="outlined"
                color="inherit"
                aria-haspopup="menu"
                onClick={(event) => setAnchor(event.currentTarget)}
                sx={{ mt: 1.25 }}
            >
                Add a surface
            </Button>
            <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
                {catalogue.data?.surface_kinds.map((kind) => (
                    <MenuItem key={kind.code} onClick={() => add(kind.code, kind.name)}>
                        {kind.name}
                    </MenuItem>
                ))}
            </Menu>
        </Box>
    );
}

function SurfaceRow({ surface, open, turn }: { surface: Surface; open: boolean; turn: () => void }) {
    const catalogue = useCatalogue();
    const kind = catalogue.data?.surface_kinds.find((k) => k.code === surface.kind)?.name ?? surface.kind;
    const says = [
        surface.role,
        surface.criticality,
        surface.condition,
        surface.datum ? 'datum' : null,
        surface.work === null || surface.work === undefined
            ? null
            : surface.work === 'cut'
              ? 'cut again'
              : 'built up and cut',
    ];
    return (
        <ButtonBase
            onClick={turn}
            aria-expanded={open}
            sx={{
                width: 1,
                minHeight: 44,
                px: 1,
                display: 'grid',
                gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: '1.2fr 0.8fr 1.4fr' },
                columnGap: 1.5,
                textAlign: 'left',
                alignItems: 'center',
                fontFamily: 'inherit',
            }}
        >
            <Typography sx={{ fontWeight: open ? 700 : 550 }}>{surface.name}</Typography>
            <Typography variant="body2">{kind}</Typography>
            <Typography variant="body2" color="textSecondary">
                {says.filter((word) => word !== null).join(' · ')}
            </Typography>
        </ButtonBase>
    );
}
