import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { HeldBy, Joint } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { KINDS, type Fastening } from './fastenings';
import { Row } from './HeldRow';

/** What holds the joint beside its fit, and what of it all counts. */
export function Held({ joint, held }: { joint: Joint; held: HeldBy | null }) {
    const { edit } = useJob();
    const { say } = useSettings();
    const list = joint.held ?? [];
    const store = (next: (now: Fastening[]) => Fastening[]) =>
        edit('joints', joint.id, (now) => ({ held: next(now.held ?? []) }));
    return (
        <Box component="section" aria-label="What else holds it" sx={{ mt: 1.25 }}>
            {held?.counts && (
                <Typography variant="said">
                    {say(held.counts)}{' '}
                    {held.says && (
                        <Verdict kind={held.enough === true ? 'good' : 'bad'}>{say(held.says)}</Verdict>
                    )}
                </Typography>
            )}
            {list.map((fastening, i) => (
                <Row
                    key={`${i}${fastening.kind}`}
                    fastening={fastening}
                    row={held?.rows[i]}
                    picture={held?.picture ?? null}
                    change={(part) => store((now) => now.map((f, k) => (k === i ? { ...f, ...part } : f)))}
                    remove={() => store((now) => now.filter((_, k) => k !== i))}
                />
            ))}
            <TextField
                select
                label="What else holds it"
                value=""
                onChange={(event) =>
                    void store((now) => [
                        ...now,
                        {
                            kind: event.target.value as Fastening['kind'],
                            size: null,
                            size2: null,
                            long: null,
                            circle: null,
                            count: 1,
                            tighten_nm: null,
                            half_angle_deg: null,
                            material: null,
                        },
                    ])
                }
                sx={{ width: 250, mt: 1 }}
            >
                {Object.entries(KINDS).map(([code, { name }]) => (
                    <MenuItem key={code} value={code}>
                        {name}
                    </MenuItem>
                ))}
            </TextField>
        </Box>
    );
}
