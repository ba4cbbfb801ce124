import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useCatalogue } from '../../api/queries';
import type { Part } from '../../api/types';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';

const ORIGIN = { found: 'found', make: 'to make', bought: 'bought' };

/** The parts and what they are made of, with the three of them in half section. */
export function Survey() {
    const { facts, answers } = useJob();
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Typography variant="h1" sx={{ mb: 1.25 }}>
                What meets what
            </Typography>
            {answers.picture && (
                <Framed>
                    <DrawingView drawing={answers.picture} maxWidth={860} />
                </Framed>
            )}
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    mt: 2,
                    gridTemplateColumns: { xs: '1fr', sm: 'repeat(3, 1fr)' },
                }}
            >
                {facts.parts.map((part) => (
                    <PartCard key={part.id} part={part} />
                ))}
            </Box>
        </Box>
    );
}

function PartCard({ part }: { part: Part }) {
    const { save, facts } = useJob();
    const catalogue = useCatalogue();
    const material = catalogue.data?.materials.find((m) => m.name === part.material);
    const surfaces = facts.surfaces.filter((surface) => surface.part === part.id);
    return (
        <Framed>
            <Typography
                variant="body2"
                sx={{ color: part.origin === 'make' ? 'make.main' : 'found.main', fontWeight: 700, mb: 1.25 }}
            >
                {ORIGIN[part.origin]}
            </Typography>
            <TextFact label="Part" value={part.name} store={(name) => save('parts', part.id, { name })} />
            <TextField
                select
                label={`${part.name} is made of`}
                value={part.material ?? ''}
                onChange={(event) =>
                    void save('parts', part.id, {
                        material: event.target.value === '' ? null : event.target.value,
                    })
                }
                sx={{ mt: 1.75 }}
                slotProps={{ select: { native: false } }}
            >
                <MenuItem value="">not known yet</MenuItem>
                {catalogue.data?.materials.map((m) => (
                    <MenuItem key={m.name} value={m.name}>
                        {m.name}
                    </MenuItem>
                ))}
            </TextField>
            <Typography variant="body2" sx={{ mt: 1, minHeight: 20 }}>
                {material ? `${material.name}${material.remark === '' ? '' : `: ${material.remark}`}` : ' '}
            </Typography>
            <Typography variant="body2" color="textSecondary" sx={{ mt: 0.5 }}>
                {surfaces.map((surface) => `${surface.name}: ${surface.role}`).join(' · ')}
            </Typography>
        </Framed>
    );
}
