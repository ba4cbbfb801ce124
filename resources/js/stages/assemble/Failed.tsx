import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '../../api/client';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';
import { useAssembly } from './useAssembly';

/** A step that was done and is not right: the reason is kept, and the job goes back to Make with it. */
export function Failed({ code, name, failed }: { code: string; name: string; failed: string | null }) {
    const { facts, save } = useJob();
    const { change } = useAssembly();
    const [writing, setWriting] = useState(false);
    const [why, setWhy] = useState('');
    const tick = facts.ticks.find((one) => one.code === code);
    if (failed !== null) {
        return (
            <Box sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.25, my: 0.5, flexBasis: '100%' }}>
                <Typography variant="body2">
                    <b>Not right:</b> {failed}
                </Typography>
                <LinkButton size="small" onClick={() => tick && void save('ticks', tick.id, null)}>
                    It is mended: to do again
                </LinkButton>
            </Box>
        );
    }
    if (!writing) {
        return (
            <LinkButton
                size="small"
                aria-label={`Not right: ${name}`}
                onClick={() => setWriting(true)}
                sx={{ ml: 'auto', fontWeight: 400, color: 'text.secondary' }}
            >
                Not right
            </LinkButton>
        );
    }
    return (
        <Box
            component="form"
            onSubmit={(event) => {
                event.preventDefault();
                if (why.trim() === '') {
                    return;
                }
                const at = new Date().toISOString();
                const said = why.trim();
                // The record stays when it is mended.
                void change((now) => ({
                    setbacks: [...(now.setbacks ?? []), { step: name, why: said, at }],
                }));
                void save('ticks', tick?.id ?? newId(), { code, failed: true, remark: said, at }).then(() =>
                    setWriting(false),
                );
            }}
            sx={{ display: 'flex', gap: 1, my: 0.5, flexWrap: 'wrap', flexBasis: '100%' }}
        >
            <TextField
                autoFocus
                label="What is wrong"
                value={why}
                slotProps={{ htmlInput: { maxLength: 1000 } }}
                onChange={(event) => setWhy(event.target.value)}
                sx={{ flex: '1 1 13.75rem' }}
            />
            <Button type="submit" variant="outlined" color="inherit">
                Back to Make
            </Button>
            <Button color="inherit" onClick={() => setWriting(false)}>
                Not now
            </Button>
        </Box>
    );
}
