import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '../../api/client';
import { useCatalogue } from '../../api/queries';
import type { Joint, Surface } from '../../api/types';
import { RemoveButton } from '../../entry/RemoveButton';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';

const GRID = {
    display: 'grid',
    gap: 1.25,
    gridTemplateColumns: {
        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
        sm: '1.1fr 1fr 1fr 1.1fr 2.75rem',
    },
    alignItems: 'start',
};

/** Which surface meets which, and for what purpose. */
export function Joints() {
    const { facts } = useJob();
    return (
        <Box component="section" aria-label="Joints" sx={{ mt: 2 }}>
            <Typography variant="h2" sx={{ mb: 1.25 }}>
                What meets what
            </Typography>
            <Box sx={{ display: 'grid', gap: 1.25 }}>
                {facts.joints.map((joint) => (
                    <JointRow key={joint.id} joint={joint} />
                ))}
            </Box>
            <AddJoint />
        </Box>
    );
}

function JointRow({ joint }: { joint: Joint }) {
    const { save } = useJob();
    const store = (changes: Partial<Joint>) => save('joints', joint.id, changes);
    return (
        <Box sx={GRID}>
            <TextFact label="Joint" value={joint.name} store={(name) => store({ name })} />
            <SurfaceChoice label="Inside" value={joint.inner} choose={(inner) => void store({ inner })} />
            <SurfaceChoice label="Outside" value={joint.outer} choose={(outer) => void store({ outer })} />
            <PurposeChoice
                value={joint.purpose}
                choose={(purpose) => void store({ purpose, school: null, least: null, most: null })}
            />
            <RemoveButton name={joint.name} remove={() => save('joints', joint.id, null)} />
        </Box>
    );
}

function AddJoint() {
    const { facts, save } = useJob();
    const [open, setOpen] = useState(false);
    const [inner, setInner] = useState('');
    const [outer, setOuter] = useState('');
    const [purpose, setPurpose] = useState('hand-fit');
    const [refused, setRefused] = useState<string | null>(null);
    const name = (id: string) => facts.surfaces.find((s) => s.id === id)?.name ?? '';
    const join = () => {
        if (inner === '' || outer === '' || inner === outer) {
            setRefused('Choose two surfaces: the inside one and the one round it.');
            return;
        }
        save('joints', newId(), {
            name: `${name(inner)} in ${name(outer).toLowerCase()}`,
            inner,
            outer,
            purpose,
        }).then(
            () => {
                setOpen(false);
                setInner('');
                setOuter('');
                setRefused(null);
            },
            (error: Error) => setRefused(error.message),
        );
    };
    if (!open) {
        return (
            <Button variant="outlined" color="inherit" sx={{ mt: 1.25 }} onClick={() => setOpen(true)}>
                Join two surfaces
            </Button>
        );
    }
    return (
        <Box
            component="form"
            onSubmit={(event) => {
                event.preventDefault();
                join();
            }}
            sx={{
                ...GRID,
                mt: 1.5,
                gridTemplateColumns: {
                    xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                    sm: '1fr 1fr 1fr auto auto',
                },
            }}
        >
            <SurfaceChoice label="Inside" value={inner} choose={setInner} />
            <SurfaceChoice label="Outside" value={outer} choose={setOuter} />
            <PurposeChoice value={purpose} choose={setPurpose} />
            <Button type="submit" variant="contained">
                Join
            </Button>
            <Button color="inherit" onClick={() => setOpen(false)}>
                Not now
            </Button>
            {refused !== null && (
                <Typography variant="body2" color="error" role="alert" sx={{ gridColumn: '1 / -1' }}>
                    {refused}
                </Typography>
            )}
        </Box>
    );
}

function SurfaceChoice({
    label,
    value,
    choose,
}: {
    label: string;
    value: string;
    choose: (id: string) => void;
}) {
    const { facts } = useJob();
    const part = (surface: Surface) => facts.parts.find((p) => p.id === surface.part)?.name ?? '';
    return (
        <TextField select label={label} value={value} onChange={(event) => choose(event.target.value)}>
            {facts.surfaces.map((surface) => (
                <MenuItem key={surface.id} value={surface.id}>
                    {surface.name.toLowerCase().startsWith(part(surface).toLowerCase())
                        ? surface.name
                        : `${part(surface)}: ${surface.name.toLowerCase()}`}
                </MenuItem>
            ))}
        </TextField>
    );
}

function PurposeChoice({ value, choose }: { value: string; choose: (code: string) => void }) {
    const catalogue = useCatalogue();
    return (
        <TextField
            select
            label="Purpose"
            value={catalogue.data ? value : ''}
            onChange={(event) => choose(event.target.value)}
        >
            {catalogue.data?.purposes.map((purpose) => (
                <MenuItem key={purpose.code} value={purpose.code}>
                    {purpose.name}
                </MenuItem>
            ))}
        </TextField>
    );
}
