import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { Link } from '../../shell/router';
import { client, orRefuse } from '../../api/client';
import { useJob } from '../../job/JobContext';

/** What was written at the end of earlier jobs like this one. */
export function LastTime() {
    const { facts } = useJob();
    const lessons = useQuery({
        queryKey: ['lessons', facts.id],
        queryFn: async () =>
            orRefuse(await client.GET('/api/jobs/{job}/lessons', { params: { path: { job: facts.id } } }))
                .lessons,
    });
    if (!lessons.data || lessons.data.length === 0) {
        return null;
    }
    return (
        <Box component="section" aria-label="Last time" sx={{ mt: 2 }}>
            <Typography variant="h2">Last time</Typography>
            {lessons.data.map((one) => (
                <Box key={one.job} sx={{ borderLeft: 5, borderColor: 'strong.main', pl: 1.25, my: 0.75 }}>
                    <Typography>{one.says}</Typography>
                    <Typography
                        variant="body2"
                        component={Link}
                        to={`/job/${one.job}/hand-over`}
                        sx={{ color: 'text.secondary', display: 'inline-block', py: 0.75 }}
                    >
                        {one.name}
                    </Typography>
                </Box>
            ))}
        </Box>
    );
}
