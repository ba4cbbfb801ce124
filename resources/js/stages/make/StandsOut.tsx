import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { client, orRefuse } from '../../api/client';
import type { Note, Say } from '../../api/types';
import { TypedField } from '../../entry/TypedField';
import { useKept } from '../../entry/useKept';
import { useUnderstood } from '../../entry/useUnderstood';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';

/** A taper cut by trial: how far its mate still stands out says what is to come off. */
export function StandsOut({ surface, oneIn }: { surface: string; oneIn: number }) {
    const { say, typing } = useSettings();
    const [now, setNow] = useKept(`stands-out:${surface}`, '');
    const [wanted, setWanted] = useKept(`stands-out-wanted:${surface}`, '0');
    const readNow = useUnderstood(now, typing);
    const readWanted = useUnderstood(wanted, typing);
    const asked = { gap_now_mm: now, gap_wanted_mm: wanted, ratio: oneIn.toPrecision(9) };
    const answer = useQuery({
        queryKey: ['taper-trial', asked, typing],
        enabled: now.trim() !== '' && wanted.trim() !== '',
        queryFn: async () =>
            orRefuse(
                await client.POST('/api/sums/{name}/typed', {
                    params: { path: { name: 'taper-trial' } },
                    body: { given: asked, unit: typing },
                }),
            ) as unknown as { steps: Say[]; notes: Note[] },
        placeholderData: keepPreviousData,
        retry: false,
    });
    const shown = now.trim() === '' || answer.error ? undefined : answer.data;
    return (
        <Box component="section" aria-label="By trial in its mate" sx={{ mt: 1.5 }}>
            <Typography variant="h2">By trial in its mate</Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    mt: 0.75,
                    alignItems: 'start',
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        sm: '11.875rem 11.875rem 1fr',
                    },
                }}
            >
                <TypedField label="Stands out now" value={now} typed={setNow} understood={readNow} />
                <TypedField
                    label="Is to stand out"
                    value={wanted}
                    typed={setWanted}
                    understood={readWanted}
                    says="0: home"
                />
                <Box aria-live="polite">
                    {shown?.steps.map((step, i) => (
                        <Typography key={i} variant="outcome" color="make">
                            {say(step)}
                        </Typography>
                    ))}
                    <Notes notes={shown?.notes ?? []} />
                </Box>
            </Box>
        </Box>
    );
}
