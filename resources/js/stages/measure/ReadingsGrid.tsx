import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '../../api/client';
import type { Reading, Surface } from '../../api/types';
import { useUnderstood } from '../../entry/useUnderstood';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { CellInput } from './CellInput';
import { SpotReadings } from './SpotReadings';

interface Spot {
    station: string;
    angle: string;
}

interface Props {
    surface: Surface;
    instrument: string;
    partC: number | null;
}

const same = (a: Spot, b: Spot) => a.station === b.station && a.angle === b.angle;

/** Stations along, angles round. Enter stores and goes on, Shift+Enter stores and stays for a repeat. */
export function ReadingsGrid({ surface, instrument, partC }: Props) {
    const { facts, save, preview } = useJob();
    const { typing } = useSettings();
    const spots = surface.stations.flatMap((station) => surface.angles.map((angle) => ({ station, angle })));
    const readings = facts.readings.filter((r) => r.surface === surface.id);
    const counted = (spot: Spot) => readings.filter((r) => r.set_aside === null && same(r, spot));
    const [active, setActive] = useState<Spot>(
        () => spots.find((spot) => counted(spot).length === 0) ?? spots[0] ?? { station: '1', angle: '0' },
    );
    const [repeat, setRepeat] = useState(0);
    const [text, setText] = useState('');
    const [refused, setRefused] = useState<string | null>(null);
    const [freshId, setFreshId] = useState(newId);
    const understood = useUnderstood(text, typing);
    const existing = repeat > 0 ? undefined : counted(active).at(-1);
    const id = existing?.id ?? freshId;

    const fact = (typed: string): Record<string, unknown> => ({
        ...(existing
            ? {}
            : {
                  surface: surface.id,
                  station: active.station,
                  angle: active.angle,
                  taken_at: new Date().toISOString(),
              }),
        value: { typed, unit: typing },
        instrument,
        part_c: partC,
    });
    const move = (spot: Spot) => {
        setActive(spot);
        setRepeat(0);
        setText('');
        setRefused(null);
        setFreshId(newId());
        preview('readings', '', null);
    };
    const store = async (typed: string, then: 'next' | 'stay' | 'leave') => {
        try {
            await save('readings', id, fact(typed));
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'This was not stored.');
            return false;
        }
        setRefused(null);
        if (then === 'stay') {
            setFreshId(newId());
            setText('');
            setRepeat(repeat + 1);
        }
        if (then === 'next') {
            const at = spots.findIndex((spot) => same(spot, active));
            const next = spots[at + 1];
            move(next ?? active);
        }
        return true;
    };

    return (
        <>
            <Box
                sx={{ border: 1, borderColor: 'strong.main', bgcolor: 'background.paper', overflowX: 'auto' }}
            >
                <Table
                    aria-label={`Readings of ${surface.name}`}
                    sx={{ tableLayout: 'fixed', minWidth: 120 + surface.angles.length * 120 }}
                >
                    {surface.angles.length > 1 && (
                        <TableHead>
                            <TableRow>
                                <TableCell sx={{ width: 120 }}>place</TableCell>
                                {surface.angles.map((angle) => (
                                    <TableCell key={angle} sx={{ fontWeight: 700 }}>
                                        {angle}°
                                    </TableCell>
                                ))}
                            </TableRow>
                        </TableHead>
                    )}
                    <TableBody>
                        {surface.stations.map((station) => (
                            <TableRow key={station}>
                                <TableCell component="th" scope="row" sx={{ fontWeight: 700, width: 120 }}>
                                    {station === '1' && surface.stations.length === 1 ? 'here' : station}
                                </TableCell>
                                {surface.angles.map((angle) => {
                                    const spot = { station, angle };
                                    const label = `${surface.name}, ${station}, ${angle}°`;
                                    return same(spot, active) ? (
                                        <CellInput
                                            key={`${station}|${angle}|${repeat}`}
                                            label={label}
                                            initial={existing?.value.typed ?? ''}
                                            refused={refused !== null}
                                            typing={(typed) => {
                                                setText(typed);
                                                setRefused(null);
                                                preview(
                                                    'readings',
                                                    id,
                                                    typed.trim() === '' || typed === existing?.value.typed
                                                        ? null
                                                        : fact(typed),
                                                );
                                            }}
                                            store={store}
                                            next={() =>
                                                void move(
                                                    spots[spots.findIndex((s) => same(s, active)) + 1] ??
                                                        active,
                                                )
                                            }
                                        />
                                    ) : (
                                        <Cell
                                            key={angle}
                                            label={label}
                                            readings={counted(spot)}
                                            shown={typing}
                                            choose={() => move(spot)}
                                        />
                                    );
                                })}
                            </TableRow>
                        ))}
                    </TableBody>
                </Table>
            </Box>
            <Box role="status" sx={{ minHeight: 26, mt: 0.5 }}>
                {(refused ?? understood?.refused) ? (
                    <Typography variant="body2" color="error.main">
                        {refused ?? understood?.refused}
                    </Typography>
                ) : (
                    <Typography variant="body2" color="text.secondary">
                        {text !== '' && understood?.shown ? `${understood.shown.both} · ` : ''}Enter keeps it
                        and goes on, Shift+Enter keeps it and stays
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

function Cell({
    label,
    readings,
    shown,
    choose,
}: {
    label: string;
    readings: Reading[];
    shown: string;
    choose: () => void;
}) {
    const last = readings.at(-1);
    const value =
        last === undefined
            ? ''
            : last.value.unit === shown
              ? last.value.typed
              : `${last.value.typed} ${last.value.unit}`;
    return (
        <TableCell sx={{ p: 0 }}>
            <Box
                component="button"
                type="button"
                onClick={choose}
                onFocus={(event: React.FocusEvent) =>
                    event.currentTarget.matches(':focus-visible') && choose()
                }
                aria-label={`${label}: ${value === '' ? 'empty' : value}`}
                sx={{
                    all: 'unset',
                    boxSizing: 'border-box',
                    width: 1,
                    minHeight: 46,
                    px: 1.5,
                    py: 1,
                    cursor: 'text',
                    display: 'block',
                }}
            >
                {value === '' ? (
                    <Typography component="span" color="text.secondary" aria-hidden>
                        · · · ·
                    </Typography>
                ) : (
                    <Typography variant="size" sx={{ fontWeight: 450 }}>
                        {value}
                    </Typography>
                )}
                {readings.length > 1 && (
                    <Typography component="span" variant="body2" color="text.secondary">
                        {' '}
                        ×{readings.length}
                    </Typography>
                )}
            </Box>
        </TableCell>
    );
}
