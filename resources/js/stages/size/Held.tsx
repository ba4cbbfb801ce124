import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useCatalogue } from '../../api/queries';
import type { HeldBy, Joint } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { NumberFact } from '../../entry/NumberFact';
import { typedText } from '../../entry/typed';
import { useJob } from '../../job/JobContext';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { Why } from '../../shell/Why';

type Fastening = NonNullable<Joint['held']>[number];
type Sized = 'size' | 'size2' | 'long' | 'circle';

/** Each kind with what is asked of it. */
const KINDS: Record<
    Fastening['kind'],
    {
        name: string;
        sizes: Partial<Record<Sized, string>>;
        count?: string;
        tighten?: boolean;
        angle?: boolean;
        own?: boolean;
    }
> = {
    key: { name: 'a key', sizes: { size: 'Width', size2: 'Height', long: 'Length' }, own: true },
    'cross-pin': { name: 'a pin across', sizes: { size: '⌀' }, count: 'How many', own: true },
    dowels: {
        name: 'dowels',
        sizes: { size: '⌀', long: 'Length, along the joint', circle: 'or on a circle of' },
        count: 'How many',
        own: true,
    },
    'set-screws': { name: 'set screws', sizes: { size: 'Thread ⌀' }, count: 'How many', tighten: true },
    bolts: {
        name: 'bolts that clamp',
        sizes: { size: 'Thread ⌀', circle: 'On a circle of' },
        count: 'How many',
        tighten: true,
    },
    weld: { name: 'a weld round it', sizes: { size: 'Leg left' }, count: 'Sides' },
    'taper-bush': {
        name: 'a split taper bush',
        sizes: { size: 'Screw ⌀' },
        count: 'Screws',
        tighten: true,
        angle: true,
    },
    knurl: { name: 'a knurl', sizes: {} },
};

/** What holds the joint beside its fit, and what of it all counts. */
export function Held({ joint, held }: { joint: Joint; held: HeldBy | null }) {
    const { save } = useJob();
    const { say } = useSettings();
    const list = joint.held ?? [];
    const store = (next: Fastening[]) => save('joints', joint.id, { held: next });
    return (
        <Box component="section" aria-label="What else holds it" sx={{ mt: 1.25 }}>
            {held?.counts && (
                <Typography sx={{ fontSize: 18 }}>
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
                    change={(part) => store(list.map((f, k) => (k === i ? { ...f, ...part } : f)))}
                    remove={() => store(list.filter((_, k) => k !== i))}
                />
            ))}
            <TextField
                select
                label="What else holds it"
                value=""
                onChange={(event) =>
                    void store([
                        ...list,
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

function Row({
    fastening,
    row,
    change,
    remove,
}: {
    fastening: Fastening;
    row: HeldBy['rows'][number] | undefined;
    change: (part: Partial<Fastening>) => Promise<unknown>;
    remove: () => Promise<unknown>;
}) {
    const { typing } = useSettings();
    const catalogue = useCatalogue();
    const kind = KINDS[fastening.kind];
    return (
        <Box
            role="group"
            aria-label={kind.name}
            sx={{ borderBottom: 1, borderColor: 'divider', py: 1, display: 'grid', gap: 1 }}
        >
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
                <Typography sx={{ fontWeight: 650 }}>{kind.name}</Typography>
                {row?.holds && <Typography>holds {row.holds}</Typography>}
                {row?.along && <Typography>along the axis {row.along}</Typography>}
                {row?.gives !== '' && <Typography color="textSecondary">{row?.gives} first</Typography>}
                {row?.blocked && <Typography color="overlap">{row.blocked}</Typography>}
                <Button
                    color="inherit"
                    onClick={() => void remove()}
                    sx={{ textDecoration: 'underline', ml: 'auto' }}
                >
                    Take out
                </Button>
            </Box>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1,
                    gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
                    alignItems: 'start',
                }}
            >
                {(Object.entries(kind.sizes) as [Sized, string][]).map(([which, label]) => (
                    <LengthField
                        key={which}
                        label={label}
                        value={typedText(fastening[which], typing)}
                        unit={typing}
                        store={(typed) => change({ [which]: { typed, unit: typing } } as Partial<Fastening>)}
                        clear={() => change({ [which]: null })}
                    />
                ))}
                {kind.count && (
                    <NumberFact
                        label={kind.count}
                        value={fastening.count}
                        store={(count) => change({ count: count ?? 1 })}
                    />
                )}
                {kind.tighten && (
                    <NumberFact
                        label="Each tightened to, N·m"
                        value={fastening.tighten_nm}
                        store={(tighten_nm) => change({ tighten_nm })}
                    />
                )}
                {kind.angle && (
                    <NumberFact
                        label="Half its angle, °"
                        value={fastening.half_angle_deg}
                        store={(half_angle_deg) => change({ half_angle_deg })}
                    />
                )}
                {kind.own && (
                    <TextField
                        select
                        label="Of what metal"
                        value={catalogue.data ? (fastening.material ?? '') : ''}
                        onChange={(event) =>
                            void change({
                                material: event.target.value === '' ? null : event.target.value,
                            })
                        }
                    >
                        <MenuItem value="">low-carbon steel, cold drawn</MenuItem>
                        {catalogue.data?.materials.map((m) => (
                            <MenuItem key={m.name} value={m.name}>
                                {m.name}
                            </MenuItem>
                        ))}
                    </TextField>
                )}
            </Box>
            <Notes notes={row?.notes ?? []} />
            <Why steps={row?.working ?? []} label="Why it holds so" />
        </Box>
    );
}
