import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useRef, useState, type ReactNode } from 'react';
import { useNavigate } from '../../shell/router';
import { useCatalogue, useGauge, useGauges } from '../../api/queries';
import type { GaugeReading, Surface, SurfaceAnswer } from '../../api/types';
import { readNumber } from '../../entry/number';
import { NumberPad } from '../../entry/NumberPad';
import { useJob } from '../../job/JobContext';
import { useKey } from '../../shell/keys';
import { LinkButton } from '../../shell/LinkButton';
import { More } from '../../shell/More';
import { FoundCard } from './FoundCard';
import { WrongNumber } from '../size/WrongNumber';
import { GaugeLine } from './GaugeLine';
import { Indirect } from './Indirect';
import { ReadingsGrid, type GridHandle } from './ReadingsGrid';
import { Slips } from './Slips';
import { TableDialog } from './TableDialog';
import { SERIAL } from './useSerial';
import { isOf, useSurface } from './useSurface';
import { Pictures } from './FoundPictures';

/** Readings in, found size out. */
export function Measure() {
    const { surface, answer, all, go, step } = useSurface();
    const { facts } = useJob();
    const navigate = useNavigate();
    const [unfolded, setUnfolded] = useState(false);
    const [other, setOther] = useState(false);
    useKey('[', () => step(-1));
    useKey(']', () => step(1));
    if (!surface || !answer) {
        return <Typography>Nothing here is to be measured.</Typography>;
    }
    const part = facts.parts.find((p) => p.id === surface.part);
    /** To what has to be measured still, or, where nothing has, to what comes of it. */
    const onward = () => {
        const place = all.indexOf(answer);
        const open = all.filter((a) => a.found === null && a.asks.must && a.id !== answer.id);
        const next = open.find((a) => all.indexOf(a) > place) ?? open[0];
        if (next) {
            go(next.id);
        } else {
            void navigate(`/job/${facts.id}/size`);
        }
    };
    const wholes = all.filter((a) => a.what === '');
    const folded = wholes.filter((a) => a.folded);
    const of = (a: SurfaceAnswer) => a.surface === answer.surface && a.state === answer.state;
    const here = wholes.find(of) ?? answer;
    const shown = wholes.filter((a) => !a.folded || unfolded || a.id === here.id);
    const dimensions = all.filter(of);
    // A shape may be read in many ways; those nobody took wait behind a link.
    const usual = dimensions.filter(
        (a, i) => other || dimensions.length <= 5 || i < 3 || a.found !== null || a.id === answer.id,
    );
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5, mb: 1.25 }}>
                <ToggleButtonGroup
                    exclusive
                    value={here.id}
                    aria-label="Surface"
                    onChange={(_, id: string | null) => id !== null && go(id)}
                    sx={{ flexWrap: 'wrap' }}
                >
                    {shown.map((a) => (
                        <ToggleButton key={a.id} value={a.id}>
                            {a.name}
                        </ToggleButton>
                    ))}
                </ToggleButtonGroup>
                {folded.length > 0 && (
                    <LinkButton aria-expanded={unfolded} onClick={() => setUnfolded(!unfolded)}>
                        {unfolded
                            ? 'Only what is asked for'
                            : `The old one of what is made (${folded.length})`}
                    </LinkButton>
                )}
            </Box>
            {dimensions.length > 1 && (
                <Box
                    sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5, mb: 1.25 }}
                >
                    <ToggleButtonGroup
                        exclusive
                        size="small"
                        value={answer.id}
                        aria-label="What is read of it"
                        onChange={(_, id: string | null) => id !== null && go(id)}
                        sx={{ flexWrap: 'wrap' }}
                    >
                        {usual.map((a) => (
                            <ToggleButton key={a.id} value={a.id}>
                                {a.found === null ? '' : '✓ '}
                                {a.what_says}
                            </ToggleButton>
                        ))}
                    </ToggleButtonGroup>
                    {usual.length < dimensions.length && (
                        <LinkButton onClick={() => setOther(true)}>
                            Other ways to read it ({dimensions.length - usual.length})
                        </LinkButton>
                    )}
                </Box>
            )}
            <Entry
                key={answer.id}
                surface={surface}
                answer={answer}
                material={part?.material ?? null}
                onward={onward}
            >
                <Box sx={{ display: { xs: 'block', md: 'none' }, mt: 1 }}>
                    <FoundCard />
                </Box>
                <Slips slips={answer.slips} />
                <Pictures answer={answer} partId={surface.part} />
            </Entry>
        </Box>
    );
}

function Entry({
    surface,
    answer,
    material,
    onward,
    children,
}: {
    surface: Surface;
    answer: SurfaceAnswer;
    material: string | null;
    onward: () => void;
    children: ReactNode;
}) {
    const { asks } = answer;
    const catalogue = useCatalogue();
    const { facts } = useJob();
    const fits = (catalogue.data?.instruments ?? []).filter((tool) => tool.fits.includes(asks.measured_as));
    const last = facts.readings.filter((r) => r.surface === surface.id && isOf(r, answer)).at(-1);
    const [tool, setTool] = useState<string | null>(null);
    const [warm, setWarm] = useState('');
    const [gauge, setGauge] = useState('');
    const [held, setHeld] = useState({ along: 0.5, angle: 0 });
    const grid = useRef<GridHandle>(null);
    const gauges = useGauges();
    const latest = useGauge(gauge === SERIAL ? '' : gauge, held);
    // What it showed before it fell silent is no reading.
    const live = gauge === '' || latest.isError ? undefined : latest.data;
    const take = (reading: GaugeReading) => {
        if (reading.celsius !== null) {
            setWarm(String(reading.celsius));
        } else if (reading.typed !== null && reading.unit !== null) {
            grid.current?.take(reading.typed, reading.unit);
        }
    };
    const useThis = (code: string) => {
        setGauge(code);
        const own = gauges.data?.find((g) => g.code === code)?.instrument;
        if (own) {
            setTool(own);
        }
    };
    const [pad, setPad] = useState(false);
    const [several, setSeveral] = useState(false);
    const [table, setTable] = useState(false);
    const [wrong, setWrong] = useState(false);
    const instrument = tool ?? last?.instrument ?? asks.instrument;
    const known = fits.some((f) => f.code === instrument);
    return (
        <>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        sm: '20rem 11.875rem minmax(0, 1fr)',
                    },
                    alignItems: 'center',
                    mb: 1.25,
                }}
            >
                <TextField
                    select
                    label="Read with"
                    value={known ? instrument : ''}
                    onChange={(event) => setTool(event.target.value)}
                >
                    {fits.map((f) => (
                        <MenuItem key={f.code} value={f.code}>
                            {f.name}
                        </MenuItem>
                    ))}
                </TextField>
                <TextField
                    label={`Part, °C (empty: ${facts.shop.temperature_c})`}
                    value={warm}
                    onChange={(event) => setWarm(event.target.value)}
                    error={'refused' in readNumber(warm)}
                    helperText={warmSays(warm)}
                    slotProps={{ htmlInput: { inputMode: 'decimal' } }}
                />
                <Typography variant="body2" color="found" sx={{ display: { xs: 'none', sm: 'block' } }}>
                    <b>{surface.criticality}</b>: {asks.says}
                    {material === null ? '' : ` · ${material}`}
                </Typography>
            </Box>
            <ReadingsGrid
                surface={surface}
                of={answer}
                stations={asks.stations}
                angles={asks.angles}
                instrument={instrument}
                partC={temperature(warm)}
                tellsMost={answer.next_reading}
                decides={(station, angle) =>
                    (answer.found?.count ?? 0) > 1 &&
                    (answer.found?.deciding ?? []).some((s) => s.station === station && s.angle === angle)
                }
                moved={setHeld}
                onward={onward}
                onTake={live === undefined ? null : () => take(live)}
                ref={grid}
            />
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5 }}>
                <Button
                    variant="outlined"
                    color="inherit"
                    aria-pressed={pad}
                    onPointerDown={(event) => event.preventDefault()}
                    onMouseDown={(event) => event.preventDefault()}
                    onClick={() => setPad(!pad)}
                >
                    {pad ? 'Close the number pad' : 'Number pad'}
                </Button>
                <Button
                    variant="outlined"
                    color="inherit"
                    aria-pressed={several}
                    onClick={() => setSeveral(!several)}
                >
                    Made of several
                </Button>
                <Button
                    variant="outlined"
                    color="inherit"
                    disabled={answer.found === null}
                    onClick={() => setWrong(true)}
                >
                    It was wrong
                </Button>
                <More
                    name="Tables …"
                    doings={[
                        ...(answer.what === '' && (answer.state === null || answer.state === 'before')
                            ? [{ name: 'Bring in a table', to: () => setTable(true) }]
                            : []),
                        {
                            name: 'These readings as CSV',
                            to: `/api/jobs/${facts.id}/readings.csv?surface=${surface.id}`,
                        },
                        { name: 'All readings of the job as CSV', to: `/api/jobs/${facts.id}/readings.csv` },
                    ]}
                />
            </Box>
            {wrong && (
                <WrongNumber
                    name={surface.name}
                    about={{ surface: surface.id }}
                    was={answer.found?.size ?? null}
                    close={() => setWrong(false)}
                />
            )}
            {pad && <NumberPad />}
            {several && <Indirect store={(typed, unit) => grid.current?.take(typed, unit)} />}
            {table && <TableDialog surface={surface} instrument={instrument} close={() => setTable(false)} />}
            {children}
            {/* In practice the gauges stand in its own panel. */}
            {!facts.practice && (
                <GaugeLine gauge={gauge} use={useThis} kind={asks.measured_as} held={held} take={take} />
            )}
        </>
    );
}

function temperature(text: string): number | null {
    const read = readNumber(text);
    return 'refused' in read ? null : read.value;
}

function warmSays(text: string): string | null {
    const read = readNumber(text);
    return 'refused' in read ? `${read.refused} Until then the shop’s counts.` : read.says;
}
