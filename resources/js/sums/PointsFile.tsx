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

type Points = operations['readPoints']['responses'][200]['content']['application/json'];
type Place = Points['points'][number] & { radius?: number };
type Read = Omit<Points, 'points'> & { points: Place[] };

const asPoints = async (text: string, unit: Unit): Promise<Read> =>
    orRefuse(await client.POST('/api/points', { body: { text, unit } }));

const asOutline = async (text: string, unit: Unit): Promise<Read> => {
    const read = orRefuse(await client.POST('/api/outline', { body: { text, unit } }));
    return {
        ...read,
        points: read.corners.map((corner) => ({ ...corner, diameter: null })),
        refused: [],
        others: 0,
        numbered: false,
    };
};

/** Which heads of a table can be filled from a file. */
const HEADS = ['x_mm,y_mm', 'x_mm,y_mm,radius_mm', 'name,x_mm,y_mm,diameter_mm'];

export function comesFromFile(heads: string[]): boolean {
    return HEADS.includes(heads.join());
}

/** Places out of a DXF or a table, or the corners of an outline: looked at, then taken. */
export function PointsFile({
    heads,
    unit,
    there,
    take,
}: {
    heads: string[];
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
                read: await (heads.includes('radius_mm') ? asOutline : asPoints)(text, unit),
            });
        } catch (error) {
            setRefused(`${file.name}: ${error instanceof Error ? error.message : 'not read.'}`);
        }
    };
    const size = (mm: number) => `${Number((unit === 'in' ? mm / 25.4 : mm).toFixed(5))}`;
    const cell = (head: string, point: Place, i: number) => {
        const mm = { x_mm: point.x, y_mm: point.y, radius_mm: point.radius, diameter_mm: point.diameter }[
            head
        ];
        return head === 'name' ? `${i + 1}` : mm === undefined || mm === null ? '' : size(mm);
    };
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
                {heads.includes('radius_mm') ? 'From a DXF file' : 'From a DXF or CSV file'}
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
                                {found.points.length}{' '}
                                {heads.includes('radius_mm') ? 'corners of the outline' : 'places'} in{' '}
                                {read.name}
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
                                        {(point.radius ?? 0) > 0 && `, radius ${size(point.radius ?? 0)}`}
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
                                    take(
                                        found.points.map((point, i) =>
                                            heads.map((head) => cell(head, point, i)),
                                        ),
                                    );
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
