import { day } from '../../entry/day';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, orRefuse } from '../../api/client';
import { useKept } from '../../entry/useKept';
import { useJob } from '../../job/JobContext';
import { whoIsHere } from '../../people/me';
import { useSettings } from '../../shell/settings';

/** Sheets that were issued, each frozen as it was; a later one says what changed. */
export function Issues() {
    const { facts } = useJob();
    const { typing } = useSettings();
    const queries = useQueryClient();
    const [by, setBy] = useKept('issued-by', whoIsHere.now().person?.name ?? '');
    const [refused, setRefused] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const path = { job: facts.id };
    const key = ['issues', facts.id];
    const issues = useQuery({
        queryKey: key,
        queryFn: async () =>
            orRefuse(await client.GET('/api/jobs/{job}/issues', { params: { path } })).issues,
    });
    const issue = async () => {
        setBusy(true);
        setRefused(null);
        try {
            orRefuse(
                await client.POST('/api/jobs/{job}/issues', { params: { path }, body: { by, unit: typing } }),
            );
            await queries.invalidateQueries({ queryKey: key });
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'It was not issued: try again.');
        }
        setBusy(false);
    };
    return (
        <Box component="section" aria-label="Issued sheets" sx={{ mt: 2 }}>
            <Typography variant="h2">Issued sheets</Typography>
            {(issues.data ?? []).map((sheet) => (
                <Typography key={sheet.number} sx={{ my: 0.5 }}>
                    <a
                        href={`/api/jobs/${facts.id}/issues/${sheet.number}`}
                        target="_blank"
                        rel="noreferrer"
                        style={{ color: 'inherit' }}
                    >
                        Sheet {sheet.number}
                    </a>
                    , {day(sheet.at)}, by {sheet.by}, checksum {sheet.checksum.slice(0, 16)}
                </Typography>
            ))}
            <Box sx={{ display: 'flex', gap: 1.25, mt: 0.75, flexWrap: 'wrap', alignItems: 'flex-start' }}>
                <TextField
                    label="Issued by"
                    // Whoever is signed in answers for it.
                    disabled={whoIsHere.now().person !== null}
                    value={by}
                    error={refused !== null}
                    helperText={refused ?? 'It stays as it is now, whatever changes later.'}
                    onChange={(event) => setBy(event.target.value)}
                    sx={{ width: 300 }}
                />
                <Button variant="outlined" color="inherit" disabled={busy} onClick={() => void issue()}>
                    Issue sheet {(issues.data?.at(-1)?.number ?? 0) + 1}
                </Button>
            </Box>
        </Box>
    );
}
