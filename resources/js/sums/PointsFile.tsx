import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { client, orRefuse } from '../api/client';
import type { operations } from '../api/schema';
import type { Unit } from '../api/types';
import { LinkButton } from '../shell/LinkButton';

type Read = operations['readPoints']['responses'][200]['content']['application/json'];

/** Places out of a DXF or a table: looked at, then taken. */
export function PointsFile({
    unit,
    there,
    take,
}: {
    unit: Unit;
    /** Rows that are there already. */
    there: number;
    take: (rows: string[][]) => void;
}) {
    const input = useRef<HTMLInputElement>(null);
    const [read, setRead] = useState<{ name: string; read: Read } | null>(null);
    const [refused, setRefused] = useState<string | null>(null);
    const open = async (file: File) => {
        setRefused(null);
        try {
            const text = await file.text();
            setRead({
                name: file.name,
                read: orRefuse(await client.POST('/api/points', { body: { text, unit } })),
            });
        } catch (error) {
            setRefused(`${file.name}: ${error instanceof Error ? error.message : 'not read.'}`);
        }
    };
    const size = (mm: number) => `${Number((unit === 'in' ? mm / 25.4 : mm).toFixed(5))}`;
    const found = read?.read;
    return (
        <>
            <input
                ref={input}
                type="file"
                accept=".dxf,.csv,.txt"
                hidden
                aria-label="File of places"
                onChange={(event) => {
                    const file = event.target.files?.[0];
                    event.target.value = '';
                    if (file) {
                        void open(file);
                    }
                }}
            />
            <LinkButton sx={{ justifySelf: 'start' }} onClick={() => input.current?.click()}>
                From a DXF or CSV file
            </LinkButton>
            {refused !== null && (
                <Typography variant="body2" color="error" role="alert">
                    {refused}
                </Typography>
            )}
            <Dialog open={found !== undefined} onClose={() => setRead(null)} aria-label="What the file holds">
                {found && read && (
                    <>
                        <DialogContent>
                            <Typography variant="outcome">
                                {found.points.length} places in {read.name}
                            </Typography>
                            <Typography>
                                {found.said
                                    ? `The file says ${found.unit === 'in' ? 'inches' : 'millimetres'}.`
                                    : `Taken as ${unit === 'in' ? 'inches' : 'millimetres'}: the file does not say.`}
                                {found.others > 0 && ` ${found.others} other things in it are left out.`}
                                {found.numbered && ' Its first column is taken for the names of the holes.'}
                            </Typography>
                            {found.refused.map((row) => (
                                <Typography key={row.line} color="error">
                                    Line {row.line}: {row.says}
                                </Typography>
                            ))}
                            <Box
                                component="ul"
                                sx={{ m: 0, mt: 1, pl: 2.5, maxHeight: 260, overflowY: 'auto' }}
                            >
                                {found.points.map((point, i) => (
                                    <li key={i}>
                                        {size(point.x)}, {size(point.y)}
                                        {point.diameter !== null && `, ⌀ ${size(point.diameter)}`}
                                    </li>
                                ))}
                            </Box>
                        </DialogContent>
                        <DialogActions>
                            <Button color="inherit" onClick={() => setRead(null)}>
                                Leave it
                            </Button>
                            <Button
                                variant="contained"
                                onClick={() => {
                                    take(found.points.map((point) => [size(point.x), size(point.y)]));
                                    setRead(null);
                                }}
                            >
                                {there === 0
                                    ? 'Take them'
                                    : `Take them instead of the ${there} that are there`}
                            </Button>
                        </DialogActions>
                    </>
                )}
            </Dialog>
        </>
    );
}
