import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { Fragment, useState } from 'react';
import type { PlanStep as Step } from '../../api/types';
import { TextFact } from '../../entry/TextFact';
import { LinkButton } from '../../shell/LinkButton';
import { Notes } from '../../shell/Notes';
import { Words } from '../../shell/Words';
import { useSettings } from '../../shell/settings';

/** Large enough for a thumb. */
const TAP = { width: 44, height: 44 };

/** One step of the order of work: carried to another place with the mouse, or moved with its arrows. */
export function PlanStep({
    step,
    number,
    last,
    carried,
    carry,
    put,
    up,
    down,
    drop,
    own,
    reword,
    remark,
    say: noted,
}: {
    step: Step;
    number: number;
    last: number;
    carried: boolean;
    carry: (code: string | null) => void;
    put: () => void;
    up: () => void;
    down: () => void;
    drop: () => void;
    /** Its words where it is a step of the person's own. */
    own: string | null;
    reword: (text: string) => Promise<unknown>;
    /** What the person has to say at it. */
    remark: string;
    say: (text: string) => Promise<unknown>;
}) {
    const { say } = useSettings();
    const name = `step ${number}`;
    const [writing, setWriting] = useState(false);
    const [how, setHow] = useState(false);
    return (
        <Box
            component="li"
            draggable
            onDragStart={() => carry(step.code)}
            onDragEnd={() => carry(null)}
            onDragOver={(event) => event.preventDefault()}
            onDrop={(event) => {
                event.preventDefault();
                put();
            }}
            sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '2.75rem minmax(0, 1fr)', sm: '2.75rem 1fr auto' },
                borderBottom: 1,
                borderColor: 'divider',
                py: 1.1,
                opacity: carried ? 0.5 : 1,
            }}
        >
            <Typography variant="midSize" component="span" color="make" sx={{ cursor: 'grab' }}>
                {number}
            </Typography>
            <Box>
                <Typography variant="said" sx={{ fontWeight: 600 }}>
                    <Words text={say(step.do)} />
                </Typography>
                <Typography variant="body2" color="textSecondary">
                    <Words text={step.why} />
                </Typography>
                <Notes notes={step.notes} />
                {step.how.length > 0 && (
                    <LinkButton size="small" aria-expanded={how} onClick={() => setHow(!how)}>
                        How it is held and cut
                    </LinkButton>
                )}
                {how && (
                    <Box
                        component="dl"
                        sx={{
                            m: 0,
                            mb: 1,
                            display: 'grid',
                            gridTemplateColumns: 'auto 1fr',
                            columnGap: 1.5,
                            rowGap: 0.25,
                        }}
                    >
                        {step.how.map((one) => (
                            <Fragment key={one.name}>
                                <Typography component="dt" variant="body2" color="textSecondary">
                                    {one.name}
                                </Typography>
                                <Typography component="dd" variant="body2" sx={{ m: 0 }}>
                                    {say(one.says)}
                                </Typography>
                            </Fragment>
                        ))}
                    </Box>
                )}
                {writing && (
                    <Box sx={{ display: 'grid', gap: 1, my: 1 }}>
                        {own !== null && (
                            <TextFact label={`Words of ${name}`} value={own} store={reword} multiline />
                        )}
                        <TextFact
                            autoFocus
                            label={`To mind at ${name}`}
                            value={remark}
                            store={noted}
                            multiline
                            slotProps={{ htmlInput: { maxLength: 1000 } }}
                        />
                    </Box>
                )}
            </Box>
            <Box
                sx={{
                    display: 'flex',
                    flexWrap: { xs: 'wrap', sm: 'nowrap' },
                    alignItems: 'start',
                    gridColumn: { xs: '2', sm: 'auto' },
                }}
            >
                <IconButton
                    sx={TAP}
                    aria-label={`Write at ${name}`}
                    aria-expanded={writing}
                    onClick={() => setWriting(!writing)}
                >
                    ✎
                </IconButton>
                <IconButton sx={TAP} aria-label={`Move ${name} up`} disabled={number === 1} onClick={up}>
                    ↑
                </IconButton>
                <IconButton
                    sx={TAP}
                    aria-label={`Move ${name} down`}
                    disabled={number === last}
                    onClick={down}
                >
                    ↓
                </IconButton>
                <IconButton sx={TAP} aria-label={`Leave ${name} out`} onClick={drop}>
                    ×
                </IconButton>
            </Box>
        </Box>
    );
}
