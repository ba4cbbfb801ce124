import { Blocked } from '../../shell/Blocked';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { ClearanceAnswer, ClearanceFacts } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { typedText } from '../../entry/typed';
import { NumberFact } from '../../entry/NumberFact';
import { RemoveButton } from '../../entry/RemoveButton';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Ghost } from '../../shell/Ghost';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { Why } from '../../shell/Why';

type Sized = 'arm' | 'mover' | 'from' | 'to' | 'x' | 'y' | 'other_size' | 'doubt' | 'least';

/** Will it clear? What moves, over its whole travel, beside what it must not touch. */
export function Clearance({ clearance, answer }: { clearance: ClearanceFacts; answer: ClearanceAnswer }) {
    const { save, before } = useJob();
    const { say, typing } = useSettings();
    const store = (fact: Partial<ClearanceFacts>) => save('clearances', clearance.id, fact);
    const old = before?.clearances.find((c) => c.id === clearance.id);
    const { travel, other } = clearance;
    const size = (which: Sized, label: string, signed = false) => (
        <LengthField
            key={which}
            signed={signed}
            label={label}
            value={typedText(clearance[which], typing)}
            unit={typing}
            store={(typed) => store({ [which]: { typed, unit: typing } })}
            clear={() => store({ [which]: null })}
        />
    );
    const deg = (which: 'from_deg' | 'to_deg', label: string) => (
        <NumberFact
            key={which}
            label={label}
            value={clearance[which]}
            store={(value) => store({ [which]: value })}
        />
    );
    return (
        <>
            <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: 'minmax(0, 1fr) 2.75rem', mb: 0.5 }}>
                <TextFact label="Will it clear?" value={clearance.name} store={(name) => store({ name })} />
                <RemoveButton name={clearance.name} remove={() => save('clearances', clearance.id, null)} />
            </Box>
            {answer.blocked && <Blocked>{say(answer.blocked)}</Blocked>}
            {answer.room && (
                <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
                    <Typography>least room</Typography>
                    <Ghost was={old?.room} now={answer.room} />
                    <Typography variant="bigSize" component="p">
                        {say(answer.room)}
                    </Typography>
                    <Typography color="textSecondary">
                        ± {answer.doubt && say(answer.doubt)} {answer.at && `at ${say(answer.at)}`}
                    </Typography>
                    {answer.sure && <Verdict kind={answer.sure.kind}>{answer.sure.says}</Verdict>}
                </Box>
            )}
            <Notes notes={answer.notes} />
            {answer.ways.length > 0 && (
                <Box component="section" aria-label="What would make room" sx={{ my: 1 }}>
                    {answer.ways.map((way, i) => (
                        <Typography key={i} variant="said" sx={{ fontWeight: i === 0 ? 650 : 400 }}>
                            {say(way)}
                        </Typography>
                    ))}
                </Box>
            )}
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.5,
                    gridTemplateColumns: {
                        xs: 'minmax(0, 1fr)',
                        sm: answer.picture ? '1fr 21.25rem' : '1fr',
                    },
                    alignItems: 'start',
                    mt: 1,
                }}
            >
                {answer.picture && (
                    <Framed pad={0.25}>
                        <DrawingView drawing={answer.picture} />
                    </Framed>
                )}
                <Box
                    sx={{
                        display: 'grid',
                        gap: 1.25,
                        gridTemplateColumns: answer.picture
                            ? '1fr 1fr'
                            : {
                                  xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                                  sm: 'repeat(4, 1fr)',
                              },
                        alignItems: 'start',
                    }}
                >
                    <TextField
                        select
                        label="It moves"
                        value={travel}
                        onChange={(event) =>
                            void store({ travel: event.target.value as ClearanceFacts['travel'] })
                        }
                    >
                        <MenuItem value="still">not, or it turns on the spot</MenuItem>
                        <MenuItem value="swing">round a pivot</MenuItem>
                        <MenuItem value="slide">along a line</MenuItem>
                    </TextField>
                    <TextField
                        select
                        label="Beside it is"
                        value={other}
                        onChange={(event) =>
                            void store({ other: event.target.value as ClearanceFacts['other'] })
                        }
                    >
                        <MenuItem value="wall">a wall</MenuItem>
                        <MenuItem value="round">something round</MenuItem>
                    </TextField>
                    {size('mover', '⌀ of what moves')}
                    {travel === 'swing' && size('arm', 'Pivot to its middle')}
                    {travel === 'slide' && size('arm', 'At height', true)}
                    {travel === 'swing' && [deg('from_deg', 'From, °'), deg('to_deg', 'To, °')]}
                    {travel === 'slide' && [size('from', 'From', true), size('to', 'To', true)]}
                    {size('x', other === 'wall' ? 'Wall at, across' : 'Its middle, across', true)}
                    {size('y', other === 'wall' ? 'or at, up' : 'Its middle, up', true)}
                    {other === 'round' && size('other_size', '⌀ of it')}
                    {size('doubt', 'Each measured to ±')}
                    {size('least', 'Room wanted, at least')}
                </Box>
            </Box>
            <Typography variant="body2" color="textSecondary" sx={{ mt: 1 }}>
                Across and up are counted from the {travel === 'swing' ? 'pivot' : 'middle of what turns'}.
            </Typography>
            <Why steps={answer.working} label="Why this room" />
        </>
    );
}
