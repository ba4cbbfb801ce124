import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRef, useState, type KeyboardEvent, type MouseEvent } from 'react';
import { newId } from '../../api/client';
import type { Photo, Reckoned, ReckoningFacts } from '../../api/types';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Value } from '../../sums/Outcome';
import { SizeOf } from './SizeOf';
import { KINDS, TAPS, tapped, tappedText, type Tapped, type What } from './taps';

const SUM = 'from-picture';

const ARROWS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
};

/** Sizes from a photograph: taps on it, a known length, and what follows, each with its doubt. */
export function PictureSizes({ photo, close }: { photo: Photo; close: () => void }) {
    const { facts, answers, save, edit } = useJob();
    const { typing } = useSettings();
    const [what, setWhat] = useState<What>('known');
    const [pending, setPending] = useState<[number, number][]>([]);
    const reckoning = (facts.reckonings ?? []).find((r) => r.sum === SUM && r.given.photo === photo.id);
    const answer = answers.reckoned.find((r) => r.id === reckoning?.id);
    const all = tapped(reckoning?.given ?? {});
    // Begun, though it may not have arrived: the next tap goes on top of it.
    const begun = useRef<string | null>(null);
    const put = (kind: What, next: (now: Tapped[]) => Tapped[]): Promise<unknown> => {
        const id = reckoning?.id ?? begun.current;
        if (id !== null) {
            return edit('reckonings', id, (now) => {
                const given = (now as ReckoningFacts).given;
                return { given: { ...given, [kind]: tappedText(kind, next(tapped(given))) } };
            });
        }
        begun.current = newId();
        return save('reckonings', begun.current, {
            sum: SUM,
            name: photo.note === '' ? 'From a photograph' : photo.note,
            unit: typing,
            given: { photo: photo.id, [kind]: tappedText(kind, next([])) },
        });
    };
    const click = (event: MouseEvent<SVGSVGElement>) => {
        const inside = event.currentTarget.getScreenCTM()?.inverse();
        if (!inside) {
            return;
        }
        const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(inside);
        tap(x, y);
    };
    const tap = (x: number, y: number) => {
        if (x < 0 || y < 0 || x > photo.width || y > photo.height) {
            return;
        }
        const point: [number, number] = [x, y];
        const points = [...pending, point];
        if (points.length < TAPS[what].points) {
            setPending(points);
            return;
        }
        setPending([]);
        void put(what, (now) => {
            const before = now.filter((one) => one.what === what).length;
            const name = `${TAPS[what].label} ${before + 1}`;
            return [...now, { what, at: before, name, size: '', points }];
        });
    };
    return (
        <Dialog open onClose={close} maxWidth="xl" fullWidth aria-label="Sizes from the photograph">
            <DialogContent sx={{ p: 1.5 }}>
                <Box
                    sx={{
                        display: 'grid',
                        gap: 2,
                        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) 22.5rem' },
                    }}
                >
                    <Box>
                        <ToggleButtonGroup
                            exclusive
                            value={what}
                            aria-label="What is tapped"
                            onChange={(_, next: What | null) => {
                                if (next) {
                                    setWhat(next);
                                    setPending([]);
                                }
                            }}
                            sx={{ mb: 0.75, flexWrap: 'wrap' }}
                        >
                            {KINDS.map((kind) => (
                                <ToggleButton key={kind} value={kind} sx={{ minHeight: 44 }}>
                                    {TAPS[kind].label}
                                </ToggleButton>
                            ))}
                        </ToggleButtonGroup>
                        <Typography sx={{ mb: 0.75 }}>
                            {TAPS[what].says} Or with the arrow keys and Enter; Shift moves finely.
                            {pending.length > 0 && ` ${pending.length} of ${TAPS[what].points}`}
                        </Typography>
                        <Marked
                            photo={photo}
                            all={all}
                            answer={answer}
                            pending={pending}
                            click={click}
                            tap={tap}
                        />
                    </Box>
                    <Found all={all} answer={answer} put={put} />
                </Box>
            </DialogContent>
            <DialogActions>
                <Button variant="outlined" color="inherit" onClick={close}>
                    Close
                </Button>
            </DialogActions>
        </Dialog>
    );
}

function Marked({
    photo,
    all,
    answer,
    pending,
    click,
    tap,
}: {
    photo: Photo;
    all: Tapped[];
    answer: Reckoned | undefined;
    pending: [number, number][];
    click: (event: MouseEvent<SVGSVGElement>) => void;
    tap: (x: number, y: number) => void;
}) {
    const { facts } = useJob();
    const [cross, setCross] = useState<[number, number] | null>(null);
    const unit = Math.max(photo.width, photo.height) / 100;
    const key = (event: KeyboardEvent<SVGSVGElement>) => {
        const way = ARROWS[event.key];
        const at = cross ?? [photo.width / 2, photo.height / 2];
        if (way) {
            event.preventDefault();
            const step = event.shiftKey ? unit / 8 : unit * 2;
            setCross([
                Math.min(photo.width, Math.max(0, at[0] + way[0] * step)),
                Math.min(photo.height, Math.max(0, at[1] + way[1] * step)),
            ]);
        } else if (event.key === 'Enter' || event.key === ' ') {
            event.preventDefault();
            tap(at[0], at[1]);
        }
    };
    const perPixel = answer?.result?.mm_per_pixel as number | undefined;
    const round = (answer?.result?.circles ?? []) as { x: number; y: number; mm: number }[];
    const label = (one: Tapped): [number, number] => {
        const circle = one.what === 'circles' ? round[one.at] : undefined;
        const [a, b] = one.points;
        return circle
            ? [circle.x, circle.y + unit * 4]
            : one.what === 'angles'
              ? [a?.[0] ?? 0, (a?.[1] ?? 0) + unit * 3]
              : [((a?.[0] ?? 0) + (b?.[0] ?? 0)) / 2, ((a?.[1] ?? 0) + (b?.[1] ?? 0)) / 2 - unit];
    };
    const colour = (what: What) =>
        what === 'known' ? 'var(--mui-palette-found-main)' : 'var(--mui-palette-make-main)';
    return (
        <Box
            component="svg"
            viewBox={`0 0 ${photo.width} ${photo.height}`}
            onClick={click}
            tabIndex={0}
            onKeyDown={key}
            onFocus={(event) => {
                if (event.currentTarget.matches(':focus-visible')) {
                    setCross((now) => now ?? [photo.width / 2, photo.height / 2]);
                }
            }}
            onBlur={() => setCross(null)}
            role="application"
            aria-label="The photograph: tap on it"
            sx={{
                width: 1,
                maxHeight: '70dvh',
                display: 'block',
                cursor: 'crosshair',
                bgcolor: 'background.paper',
            }}
        >
            <image
                href={`/api/jobs/${facts.id}/pictures/${photo.id}`}
                width={photo.width}
                height={photo.height}
            />
            {all.map((one) => (
                <g
                    key={`${one.what}${one.at}`}
                    stroke={colour(one.what)}
                    fill="none"
                    strokeWidth={unit * 0.35}
                >
                    {one.what === 'angles' ? (
                        <polyline
                            points={[one.points[1], one.points[0], one.points[2]]
                                .map((p) => p?.join(','))
                                .join(' ')}
                        />
                    ) : one.what === 'circles' ? null : (
                        <line
                            x1={one.points[0]?.[0]}
                            y1={one.points[0]?.[1]}
                            x2={one.points[1]?.[0]}
                            y2={one.points[1]?.[1]}
                        />
                    )}
                    {one.points.map(([x, y], i) => (
                        <circle key={i} cx={x} cy={y} r={unit * 0.8} />
                    ))}
                    <text
                        x={label(one)[0]}
                        y={label(one)[1]}
                        textAnchor="middle"
                        fontSize={unit * 2.4}
                        fill={colour(one.what)}
                        stroke="var(--mui-palette-background-paper)"
                        strokeWidth={unit * 0.5}
                        paintOrder="stroke"
                    >
                        {one.name}
                    </text>
                </g>
            ))}
            {perPixel !== undefined &&
                round.map((circle, i) => (
                    <circle
                        key={i}
                        cx={circle.x}
                        cy={circle.y}
                        r={circle.mm / perPixel / 2}
                        fill="none"
                        stroke={colour('circles')}
                        strokeWidth={unit * 0.25}
                    />
                ))}
            {cross && (
                <path
                    d={`M${cross[0] - unit * 3} ${cross[1]}h${unit * 6}M${cross[0]} ${cross[1] - unit * 3}v${unit * 6}`}
                    stroke="var(--mui-palette-overlap-main)"
                    strokeWidth={unit * 0.25}
                />
            )}
            {pending.map(([x, y], i) => (
                <circle
                    key={i}
                    cx={x}
                    cy={y}
                    r={unit}
                    fill="none"
                    stroke="var(--mui-palette-overlap-main)"
                    strokeWidth={unit * 0.4}
                />
            ))}
        </Box>
    );
}

interface Row {
    mm?: number;
    u95_mm?: number;
    angle_deg?: number;
    other_side_deg?: number;
    u95_deg?: number;
}

function Found({
    all,
    answer,
    put,
}: {
    all: Tapped[];
    answer: Reckoned | undefined;
    put: (what: What, next: (now: Tapped[]) => Tapped[]) => Promise<unknown>;
}) {
    const change = (one: Tapped, part: Partial<Tapped>) =>
        put(one.what, (now) =>
            now.map((other) =>
                other.what === one.what && other.at === one.at ? { ...other, ...part } : other,
            ),
        );
    const drop = (one: Tapped) =>
        void put(one.what, (now) => now.filter((o) => o.what !== one.what || o.at !== one.at));
    return (
        <Box
            component="section"
            aria-label="What it comes to"
            sx={{ display: 'grid', gap: 1, alignContent: 'start' }}
        >
            {answer?.refused && (
                <Box sx={{ borderLeft: 5, borderColor: 'overlap.main', pl: 1.5 }}>
                    <Typography>{answer.refused.message}</Typography>
                </Box>
            )}
            {all.map((one) => {
                const row = (answer?.result?.[one.what] as Row[] | undefined)?.[one.at];
                return (
                    <Box
                        key={`${one.what}${one.at}`}
                        role="group"
                        aria-label={one.name}
                        sx={{ borderBottom: 1, borderColor: 'divider', pb: 0.75 }}
                    >
                        <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: '1fr 1fr 2.25rem' }}>
                            <TextFact
                                label="Name"
                                value={one.name}
                                store={(name) => change(one, { name: name.replace(/[;\n]/g, ' ') })}
                            />
                            {one.what === 'known' ? (
                                <TextFact
                                    label="It is"
                                    value={one.size}
                                    store={(size) => change(one, { size: size.replace(/[;\n]/g, ' ') })}
                                />
                            ) : (
                                <Typography variant="smallSize" component="p" sx={{ alignSelf: 'center' }}>
                                    {row?.mm !== undefined && (
                                        <>
                                            <Value value={row.mm} unit="mm" /> ±
                                            <Value value={row.u95_mm} unit="mm" />
                                        </>
                                    )}
                                    {row?.angle_deg !== undefined &&
                                        `${row.angle_deg.toFixed(1)}° ±${row.u95_deg?.toFixed(1)}°, ${row.other_side_deg?.toFixed(1)}° from the other side`}
                                </Typography>
                            )}
                            <Button
                                color="inherit"
                                aria-label={`Remove ${one.name}`}
                                onClick={() => drop(one)}
                                sx={{ minWidth: 36, px: 0 }}
                            >
                                ×
                            </Button>
                        </Box>
                        {row?.mm !== undefined && row.u95_mm !== undefined && (
                            <SizeOf name={one.name} mm={row.mm} u95={row.u95_mm} />
                        )}
                    </Box>
                );
            })}
            {all.length === 0 && (
                <Typography color="textSecondary">
                    Nothing tapped yet. Begin with a length you know, as long as the picture has.
                </Typography>
            )}
            <Notes notes={answer?.result?.notes ?? []} />
        </Box>
    );
}
