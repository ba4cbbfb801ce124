import Autocomplete from '@mui/material/Autocomplete';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import TextField from '@mui/material/TextField';
import { useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { jobKey, useBench } from '../api/queries';
import type { JobState } from '../api/types';
import { STAGES } from './stages';

interface Place {
    label: string;
    group: string;
    to: string;
}

/** Finds a job, a surface or joint of this job, or a stage. */
export function FindDialog({ open, close, jobId }: { open: boolean; close: () => void; jobId?: string }) {
    const navigate = useNavigate();
    const bench = useBench();
    const queries = useQueryClient();
    const state = jobId === undefined ? undefined : queries.getQueryData<JobState>(jobKey(jobId));
    const places: Place[] = [];
    if (state && jobId !== undefined) {
        for (const surface of state.facts.surfaces) {
            const made = state.facts.parts.find((part) => part.id === surface.part)?.origin === 'make';
            places.push({
                label: surface.name,
                group: 'Surfaces',
                to: made ? `/job/${jobId}/make` : `/job/${jobId}/measure?at=${surface.id}`,
            });
        }
        for (const joint of state.facts.joints) {
            places.push({ label: joint.name, group: 'Joints', to: `/job/${jobId}/size?at=${joint.id}` });
        }
        for (const stage of STAGES) {
            places.push({ label: stage.name, group: 'Stages', to: `/job/${jobId}/${stage.code}` });
        }
    }
    for (const row of bench.data ?? []) {
        places.push({
            label: `${row.machine}: ${row.part}`,
            group: 'Jobs',
            to: `/job/${row.id}/${row.next.stage}`,
        });
    }
    places.push(
        { label: 'Bench', group: 'Places', to: '/' },
        { label: 'Shop', group: 'Places', to: '/shop' },
    );
    return (
        <Dialog open={open} onClose={close} fullWidth maxWidth="sm" aria-label="Find">
            <DialogContent sx={{ minHeight: 420 }}>
                <Autocomplete
                    open
                    options={places}
                    groupBy={(place) => place.group}
                    getOptionKey={(place) => place.to + place.label}
                    autoHighlight
                    onChange={(_, place) => {
                        if (place) {
                            close();
                            void navigate(place.to);
                        }
                    }}
                    renderInput={(params) => (
                        <TextField {...params} autoFocus label="Find a job, a surface, a stage" />
                    )}
                />
            </DialogContent>
        </Dialog>
    );
}
