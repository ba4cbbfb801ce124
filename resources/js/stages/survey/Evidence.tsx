import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '../../api/client';
import type { Evidence as Fact } from '../../api/types';
import { RemoveButton } from '../../entry/RemoveButton';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';

const KINDS: Fact['kind'][] = [
    'original',
    'broken half',
    'mates',
    'sister drawing',
    'similar part',
    'photographs',
];

/** What the part can be known by. */
export function Evidence() {
    const { facts, save } = useJob();
    const [anchor, setAnchor] = useState<HTMLElement | null>(null);
    return (
        <Box component="section" aria-label="Evidence">
            <Typography variant="h2" sx={{ mb: 1.25 }}>
                Evidence
            </Typography>
            <Box sx={{ display: 'grid', gap: 1.25 }}>
                {facts.evidence.map((fact) => (
                    <Box
                        key={fact.id}
                        sx={{
                            display: 'grid',
                            gridTemplateColumns: 'minmax(0, 1fr) 2.75rem',
                            gap: 1,
                            alignItems: 'start',
                        }}
                    >
                        <TextFact
                            label={fact.kind.charAt(0).toUpperCase() + fact.kind.slice(1)}
                            value={fact.note}
                            store={(note) => save('evidence', fact.id, { note })}
                        />
                        <RemoveButton name={fact.kind} remove={() => save('evidence', fact.id, null)} />
                    </Box>
                ))}
            </Box>
            <Button
                variant="outlined"
                color="inherit"
                aria-haspopup="menu"
                onClick={(event) => setAnchor(event.currentTarget)}
                sx={{ mt: facts.evidence.length > 0 ? 1.25 : 0 }}
            >
                Add evidence
            </Button>
            <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
                {KINDS.map((kind) => (
                    <MenuItem
                        key={kind}
                        onClick={() => {
                            setAnchor(null);
                            void save('evidence', newId(), { kind, note: '' });
                        }}
                    >
                        {kind}
                    </MenuItem>
                ))}
            </Menu>
        </Box>
    );
}
