import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useSearchParams } from '../../shell/router';
import { newId } from '../../api/client';
import { useJob } from '../../job/JobContext';
import { useKey } from '../../shell/keys';
import { PartView } from './PartView';
import { Together } from './Together';

/** What is there: all parts together, or one of them with its surfaces and its metal. */
export function Survey() {
    const { facts, save } = useJob();
    const [params, setParams] = useSearchParams();
    const at = params.get('at');
    const surface = facts.surfaces.find((s) => s.id === at);
    const part = facts.parts.find((p) => p.id === (surface?.part ?? at));
    const go = (id: string | null) => setParams(id === null ? {} : { at: id }, { replace: true });
    const places = [null, ...facts.parts.map((p) => p.id)];
    const step = (by: number) => {
        const at = places.indexOf(part?.id ?? null);
        go(places[(at + by + places.length) % places.length] ?? null);
    };
    useKey('[', () => step(-1));
    useKey(']', () => step(1));
    const add = () => {
        const id = newId();
        void save('parts', id, { name: 'Another part', origin: 'found' }).then(() => go(id));
    };
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Box sx={{ display: 'flex', gap: 1.25, mb: 1.5, flexWrap: 'wrap' }}>
                <ToggleButtonGroup
                    exclusive
                    value={part?.id ?? 'all'}
                    aria-label="Parts"
                    onChange={(_, id: string | null) => id !== null && go(id === 'all' ? null : id)}
                    sx={{ flexWrap: 'wrap' }}
                >
                    <ToggleButton value="all">All together</ToggleButton>
                    {facts.parts.map((p) => (
                        <ToggleButton key={p.id} value={p.id}>
                            {p.name}
                        </ToggleButton>
                    ))}
                </ToggleButtonGroup>
                <Button variant="outlined" color="inherit" onClick={add}>
                    Add a part
                </Button>
            </Box>
            {part ? <PartView key={part.id} part={part} gone={() => go(null)} /> : <Together />}
        </Box>
    );
}
