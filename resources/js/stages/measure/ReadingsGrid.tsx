import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useEffect, useImperativeHandle, useState, type Ref } from 'react';
import { newId } from '../../api/client';
import type { Surface, SurfaceAnswer, Unit } from '../../api/types';
import { isOf } from './useSurface';
import { useKept } from '../../entry/useKept';
import { typedText } from '../../entry/typed';
import { ofField, type Understood } from '../../entry/understood';
import { useJob } from '../../job/JobContext';
import { useSingleKeys } from '../../shell/keys';
import { useSettings } from '../../shell/settings';
import { CellInput } from './CellInput';
import { SpotReadings } from './SpotReadings';
import { Cell } from './ReadingCell';

interface Spot {
    station: string;
    angle: string;
}

interface Props {
    surface: Surface;
    /** Which dimension of it; and of a surface that is cut, what it is like as it is read. */
    of: Pick<SurfaceAnswer, 'state' | 'what'>;
    stations: string[];
    angles: string[];
    instrument: string;
    partC: number | null;
    /** Where one more reading tells most once all were taken. */
    tellsMost: Spot | null;
    /** Of the places that decide. */
    decides: (station: string, angle: string) => boolean;
    /** Tells where the next reading belongs. */
    moved: (held: { along: number; angle: number }) => void;
    /** To the next surface that is to be measured. */
    onward: () => void;
    /** Asked for by T in an empty cell; null where no gauge is in use. */
    onTake: (() => void) | null;
    ref: Ref<GridHandle>;
}

export interface GridHandle {
    /** Stores a reading where the cursor is, and goes on. */
    take: (typed: string, unit: Unit) => void;
}

/** Typed and on its way to the store, or refused by it; shown in its cell until it is stored. */
interface Pending extends Spot {
    typed: string;
    refused: string | null;
}

const same = (a: Spot, b: Spot) => a.station === b.station && a.angle === b.angle;

/** The keyboard on a screen that is touched has neither. */
const WHERE_THERE_ARE_KEYS = { '@media (pointer: coarse)': { display: 'none' } };

/** Stations along, angles round. Enter stores and goes on at once, Shift+Enter stores and stays for a repeat. */
export function ReadingsGrid({
    surface,
    of,
    stations,
    angles,
    instrument,
    partC,
    tellsMost,
    decides,
    moved,
    onTake,
    onward,
    ref,
}: Props) {
    const { facts, save, preview } = useJob();
    const { typing } = useSettings();
    const singleKeys = useSingleKeys();
    const spots = stations.flatMap((station) => angles.map((angle) => ({ station, angle })));
    const readings = facts.readings.filter((r) => r.surface === surface.id && isOf(r, of));
    const counted = (spot: Spot) => readings.filter((r) => r.set_aside === null && same(r, spot));
    const [active, setActive] = useState<Spot>(
        () => spots.find((spot) => counted(spot).length === 0) ?? spots[0] ?? { station: '1', angle: '0' },
    );
    const [turn, setTurn] = useState(0);
    const [repeating, setRepeating] = useState(false);
    const [text, setText] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const [freshId, setFreshId] = useState(newId);
    // Only what was refused waits here for the next visit; what was on its way is the saver's to bring in.
    const [pending, setPending] = useKept<Record<string, Pending>>(
        `readings:${surface.id}${of.what}${of.state === null || of.state === 'before' ? '' : of.state}`,
        {},
        (kept) => Object.fromEntries(Object.entries(kept).filter(([, p]) => p.refused !== null)),
    );
    const [understood, setUnderstood] = useState<Understood | null>(null);

    const waiting = (spot: Spot) =>
        Object.entries(pending)
            .filter(([, p]) => same(p, spot))
            .at(-1);
    const before = repeating ? undefined : waiting(active);
    const existing = repeating ? undefined : counted(active).at(-1);
    const id = before?.[0] ?? existing?.id ?? freshId;
    const initial = before?.[1].typed ?? typedText(existing?.value ?? null, typing);
    const wrongHere =
        (understood?.text === text ? understood.refused : null) ??
        (text === '' || refused !== null ? before?.[1].refused : null) ??
        null;
    // What was refused may stand in another cell: it is said, but this one is not marked for it.
    const complaint = refused ?? wrongHere;

    const fact = (typed: string): Record<string, unknown> => ({
        ...(existing
            ? {}
            : {
                  surface: surface.id,
                  station: active.station,
                  angle: active.angle,
                  ...(of.state === null ? {} : { state: of.state }),
                  ...(of.what === '' ? {} : { what: of.what }),
              }),
        // A number that is typed anew was read anew.
        taken_at: new Date().toISOString(),
        value: { typed, unit: typing },
        instrument,
        part_c: partC,
    });
    /** Shows what it would come to, and says what was understood. */
    const tell = async (typed: string, nothing: boolean) => {
        const said = await preview('readings', id, nothing ? null : fact(typed), ['surfaces']);
        if (nothing || said !== null) {
            setUnderstood(said === null ? null : { text: typed, ...ofField(said, 'value') });
        }
    };
    const turnTo = (spot: Spot, again: boolean) => {
        setActive(spot);
        setRepeating(again);
        setText('');
        setRefused(null);
        setFreshId(newId());
        setTurn((n) => n + 1);
    };
    const choose = (station: string, angle: string) => turnTo({ station, angle }, false);
    const after = (spot: Spot) => spots[spots.findIndex((s) => same(s, spot)) + 1] ?? spot;
    /** Once each place was read, where one more reading tells most. */
    const goOn = (spot: Spot) => {
        const open = spots.filter((s) => !same(s, spot) && counted(s).length === 0);
        const place = spots.findIndex((s) => same(s, spot));
        const next = open.find((s) => spots.findIndex((t) => same(s, t)) > place) ?? open[0];
        if (next === undefined && existing === undefined && tellsMost === null) {
            onward();
        } else if (next !== undefined || existing !== undefined || tellsMost === null) {
            turnTo(next !== undefined && existing === undefined ? next : after(spot), false);
        } else {
            turnTo(tellsMost, true);
        }
    };
    const store = (typed: string, then: 'next' | 'stay' | 'leave'): boolean => {
        if (understood?.text === typed && understood.refused !== null) {
            const complaint = understood.refused;
            setRefused(complaint);
            setPending((all) => ({ ...all, [id]: { ...active, typed, refused: complaint } }));
            return false;
        }
        const spot = active;
        setPending((all) => ({ ...all, [id]: { ...spot, typed, refused: null } }));
        save('readings', id, fact(typed)).then(
            () => setPending((all) => Object.fromEntries(Object.entries(all).filter(([key]) => key !== id))),
            (error: Error) => {
                setPending((all) => ({ ...all, [id]: { ...spot, typed, refused: error.message } }));
                setRefused(`${spot.station}, ${spot.angle}°: ${error.message}`);
            },
        );
        if (then === 'stay') {
            turnTo(spot, true);
        }
        if (then === 'next') {
            goOn(spot);
        }
        return true;
    };

    useImperativeHandle(ref, () => ({
        take: (typed, unit) => {
            store(unit === typing ? typed : `${typed} ${unit}`, 'next');
        },
    }));
    const along = stations.length > 1 ? stations.indexOf(active.station) / (stations.length - 1) : 0.5;
    const angle = Number(active.angle);
    useEffect(() => {
        moved({ along: Math.max(0, along), angle: Number.isFinite(angle) ? angle : 0 });
    }, [moved, along, angle]);

    return (
        <>
            <Box
                sx={{ border: 1, borderColor: 'strong.main', bgcolor: 'background.paper', overflowX: 'auto' }}
            >
                <Table
                    aria-label={`Readings of ${surface.name}`}
                    sx={{ tableLayout: 'fixed', minWidth: 120 + angles.length * 120 }}
                >
                    {angles.length > 1 && (
                        <TableHead>
                            <TableRow>
                                <TableCell sx={{ width: 120, py: 0.75 }}>place</TableCell>
                                {angles.map((angle) => (
                                    <TableCell key={angle} sx={{ fontWeight: 700, py: 0.75 }}>
                                        {angle}°
                                    </TableCell>
                                ))}
                            </TableRow>
                        </TableHead>
                    )}
                    <TableBody>
                        {stations.map((station) => (
                            <TableRow key={station}>
                                <TableCell component="th" scope="row" sx={{ fontWeight: 700, width: 120 }}>
                                    {station === '1' && stations.length === 1 ? 'here' : station}
                                </TableCell>
                                {angles.map((angle) => {
                                    const spot = { station, angle };
                                    const label = `${surface.name}, ${station}, ${angle}°`;
                                    return same(spot, active) ? (
                                        <CellInput
                                            key={`${station}|${angle}|${turn}`}
                                            label={label}
                                            initial={initial}
                                            refused={wrongHere !== null}
                                            typing={(typed) => {
                                                setText(typed);
                                                setRefused(null);
                                                const nothing =
                                                    typed.trim() === '' || typed === existing?.value.typed;
                                                void tell(typed, nothing);
                                            }}
                                            store={store}
                                            onTake={onTake}
                                            next={() =>
                                                existing === undefined && readings.length > 0
                                                    ? onward()
                                                    : turnTo(after(active), false)
                                            }
                                        />
                                    ) : (
                                        <Cell
                                            key={angle}
                                            label={label}
                                            station={station}
                                            angle={angle}
                                            count={counted(spot).length}
                                            value={
                                                waiting(spot)?.[1].typed ??
                                                typedText(counted(spot).at(-1)?.value ?? null, typing)
                                            }
                                            refused={(waiting(spot)?.[1].refused ?? null) !== null}
                                            decides={decides(station, angle)}
                                            choose={choose}
                                        />
                                    );
                                })}
                            </TableRow>
                        ))}
                    </TableBody>
                </Table>
            </Box>
            <Box role="status" sx={{ minHeight: 26, mt: 0.5 }}>
                {complaint !== null ? (
                    <Typography variant="body2" color="error">
                        {complaint}
                    </Typography>
                ) : (
                    <Typography variant="body2" color="textSecondary">
                        {text !== '' && understood?.text === text && understood.shown
                            ? `${understood.shown.both} · `
                            : ''}
                        Enter keeps it and goes on, in an empty place to the next surface
                        <Box component="span" sx={WHERE_THERE_ARE_KEYS}>
                            {' · Shift+Enter keeps it and stays'}
                            {singleKeys && <span> · Esc leaves the cell, then 1 to 8 are the steps</span>}
                        </Box>
                        {instrument === 'pins' && ' · both pins in one: 12.675 go 12.700'}
                    </Typography>
                )}
            </Box>
            <SpotReadings
                readings={readings.filter((r) => same(r, active))}
                spot={`${active.station}, ${active.angle}°`}
            />
        </>
    );
}
