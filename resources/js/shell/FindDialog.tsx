import Box from '@mui/material/Box';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListSubheader from '@mui/material/ListSubheader';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { useDeferredValue, useState, type KeyboardEvent } from 'react';
import { useNavigate } from 'react-router';
import { jobKey, useBench, useFind } from '../api/queries';
import type { Finds, JobState } from '../api/types';
import { useSettings } from './settings';
import { STAGES } from './stages';

interface Place {
    label: string;
    detail: string;
    group: string;
    to: string;
}

/** How far off a size may be, in mm; said in both units on the buttons. */
const WITHIN = [
    { mm: 0.05, says: '±0.002 in' },
    { mm: 0.2, says: '±0.008 in' },
    { mm: 1, says: '±0.04 in' },
];

/** Finds jobs and materials by a word, surfaces by a size, and places to go. */
export function FindDialog({ open, close, jobId }: { open: boolean; close: () => void; jobId?: string }) {
    return (
        <Dialog open={open} onClose={close} fullWidth maxWidth="sm" aria-label="Find">
            {open && <Finder close={close} jobId={jobId} />}
        </Dialog>
    );
}

function Finder({ close, jobId }: { close: () => void; jobId?: string }) {
    const navigate = useNavigate();
    const { say } = useSettings();
    const [text, setText] = useState('');
    const [within, setWithin] = useState(0.2);
    const [at, setAt] = useState(0);
    const found = useFind(useDeferredValue(text), within);
    const near = usePlaces(jobId, text);
    const places = text.trim() === '' ? near : [...near, ...remote(found.data, say)];
    const chosen = Math.min(at, Math.max(0, places.length - 1));
    const go = (place: Place | undefined) => {
        if (place) {
            close();
            void navigate(place.to);
        }
    };
    const onKey = (event: KeyboardEvent) => {
        if (event.key === 'ArrowDown' || event.key === 'ArrowUp') {
            event.preventDefault();
            const by = event.key === 'ArrowDown' ? 1 : -1;
            setAt((chosen + by + places.length) % Math.max(1, places.length));
        }
        if (event.key === 'Enter') {
            go(places[chosen]);
        }
    };
    return (
        <DialogContent sx={{ minHeight: 460 }}>
            <TextField
                autoFocus
                label="Find a job, a material, a surface, a size such as 1.060"
                value={text}
                onChange={(event) => {
                    setText(event.target.value);
                    setAt(0);
                }}
                onKeyDown={onKey}
                role="combobox"
                aria-expanded
                aria-controls="found"
                slotProps={{
                    htmlInput: {
                        autoComplete: 'off',
                        'aria-activedescendant': places.length > 0 ? `found-${chosen}` : undefined,
                    },
                }}
            />
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mt: 1 }}>
                <Typography variant="body2">A size within</Typography>
                <ToggleButtonGroup
                    exclusive
                    size="small"
                    value={within}
                    aria-label="How far off a size may be"
                    onChange={(_, next: number | null) => next !== null && setWithin(next)}
                >
                    {WITHIN.map((w) => (
                        <ToggleButton key={w.mm} value={w.mm} sx={{ textTransform: 'none' }}>
                            {w.says} · {w.mm} mm
                        </ToggleButton>
                    ))}
                </ToggleButtonGroup>
            </Box>
            <List id="found" role="listbox" aria-label="Found" sx={{ mt: 0.5 }}>
                {places.map((place, i) => (
                    <Found
                        key={`${place.group}${place.to}${place.label}`}
                        id={`found-${i}`}
                        place={place}
                        headed={place.group !== places[i - 1]?.group}
                        chosen={i === chosen}
                        go={() => go(place)}
                    />
                ))}
            </List>
            {text.trim() !== '' && found.isSuccess && places.length === 0 && (
                <Typography sx={{ mt: 1 }}>
                    Nothing is called that, and no surface is near that size.
                </Typography>
            )}
        </DialogContent>
    );
}

function Found({
    id,
    place,
    headed,
    chosen,
    go,
}: {
    id: string;
    place: Place;
    headed: boolean;
    chosen: boolean;
    go: () => void;
}) {
    return (
        <>
            {headed && (
                <ListSubheader role="presentation" disableGutters sx={{ lineHeight: '30px', mt: 0.5 }}>
                    {place.group}
                </ListSubheader>
            )}
            <ListItemButton
                id={id}
                role="option"
                aria-selected={chosen}
                selected={chosen}
                onClick={go}
                sx={{ minHeight: 44, gap: 2, justifyContent: 'space-between' }}
            >
                <Typography>{place.label}</Typography>
                <Typography variant="body2" color="textSecondary" sx={{ textAlign: 'right' }}>
                    {place.detail}
                </Typography>
            </ListItemButton>
        </>
    );
}

/** What is at hand: this job's surfaces, joints and stages, the jobs on the bench, the places. */
function usePlaces(jobId: string | undefined, text: string): Place[] {
    const bench = useBench();
    const queries = useQueryClient();
    const state = jobId === undefined ? undefined : queries.getQueryData<JobState>(jobKey(jobId));
    const places: Place[] = [];
    if (state && jobId !== undefined) {
        for (const surface of state.facts.surfaces) {
            const part = state.facts.parts.find((p) => p.id === surface.part);
            places.push({
                label: surface.name,
                detail: part?.name ?? '',
                group: 'Surfaces of this job',
                to: part?.origin === 'make' ? `/job/${jobId}/make` : `/job/${jobId}/measure?at=${surface.id}`,
            });
        }
        for (const joint of state.facts.joints) {
            places.push({
                label: joint.name,
                detail: '',
                group: 'Joints of this job',
                to: `/job/${jobId}/size?at=${joint.id}`,
            });
        }
        for (const stage of STAGES) {
            places.push({
                label: stage.name,
                detail: '',
                group: 'Stages',
                to: `/job/${jobId}/${stage.code}`,
            });
        }
    }
    if (text.trim() === '') {
        for (const row of bench.data?.jobs ?? []) {
            places.push({
                label: `${row.machine}: ${row.part}`,
                detail: '',
                group: 'Jobs',
                to: `/job/${row.id}/${row.next.stage}`,
            });
        }
    }
    places.push(
        { label: 'Bench', detail: '', group: 'Places', to: '/' },
        { label: 'Shop', detail: '', group: 'Places', to: '/shop' },
    );
    const word = text.trim().toLowerCase();
    return places.filter((place) => place.label.toLowerCase().includes(word));
}

function remote(found: Finds | undefined, say: ReturnType<typeof useSettings>['say']): Place[] {
    return [
        ...(found?.surfaces ?? []).map((s) => ({
            label: `${say(s.size)} · ${s.name}`,
            detail: `${s.machine}${s.part === s.name ? '' : `, ${s.part.toLowerCase()}`}`,
            group: 'Sizes',
            to: s.made ? `/job/${s.job}/make` : `/job/${s.job}/measure?at=${s.surface}`,
        })),
        ...(found?.jobs ?? []).map((job) => ({
            label: `${job.machine}: ${job.part}`,
            detail: job.state === 'done' ? 'done' : say(job.next.says),
            group: 'Jobs',
            to: `/job/${job.id}/${job.next.stage}`,
        })),
    ];
}
