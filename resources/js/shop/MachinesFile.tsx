import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { client, orRefuse } from '../api/client';
import type { operations } from '../api/schema';
import type { Machine } from '../api/types';
import { LinkButton } from '../shell/LinkButton';

type Read = operations['readMachines']['responses'][200]['content']['application/json'];

/** Machines out of a table: looked at, then taken beside those that are there. */
export function MachinesFile({ take }: { take: (machines: Machine[]) => void }) {
    const input = useRef<HTMLInputElement>(null);
    const [read, setRead] = useState<Read | null>(null);
    const [refused, setRefused] = useState<string | null>(null);
    const open = async (file: File) => {
        setRefused(null);
        try {
            const text = await file.text();
            setRead(orRefuse(await client.POST('/api/shop/machines', { body: { text } })));
        } catch (error) {
            setRefused(`${file.name}: ${error instanceof Error ? error.message : 'not read.'}`);
        }
    };
    return (
        <>
            <input
                ref={input}
                type="file"
                accept=".csv,.txt"
                hidden
                aria-label="File of machines"
                onChange={(event) => {
                    const file = event.target.files?.[0];
                    event.target.value = '';
                    if (file) {
                        void open(file);
                    }
                }}
            />
            <LinkButton onClick={() => input.current?.click()}>From a CSV file</LinkButton>
            <Button color="inherit" href="/api/shop/machines">
                As CSV
            </Button>
            {refused !== null && (
                <Typography variant="body2" color="error" role="alert">
                    {refused}
                </Typography>
            )}
            <Dialog open={read !== null} onClose={() => setRead(null)} aria-label="Machines in the file">
                {read && (
                    <>
                        <DialogContent>
                            <Typography variant="outcome">
                                {read.machines.length} machines: {read.machines.map((m) => m.name).join(', ')}
                            </Typography>
                            {read.refused.map((row) => (
                                <Typography key={row.line} color="error">
                                    Line {row.line}: {row.says}
                                </Typography>
                            ))}
                        </DialogContent>
                        <DialogActions>
                            <Button color="inherit" onClick={() => setRead(null)}>
                                Leave it
                            </Button>
                            <Button
                                variant="contained"
                                disabled={read.machines.length === 0}
                                onClick={() => {
                                    take(read.machines);
                                    setRead(null);
                                }}
                            >
                                Take them beside those that are there
                            </Button>
                        </DialogActions>
                    </>
                )}
            </Dialog>
        </>
    );
}
