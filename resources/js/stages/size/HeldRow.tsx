import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useCatalogue } from '../../api/queries';
import type { HeldBy } from '../../api/types';
import { LengthField } from '../../entry/LengthField';
import { NumberFact } from '../../entry/NumberFact';
import { typedText } from '../../entry/typed';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Why } from '../../shell/Why';
import { KINDS, type Fastening, type Sized } from './fastenings';

export function Row({
    fastening,
    row,
    picture,
    change,
    remove,
}: {
    fastening: Fastening;
    row: HeldBy['rows'][number] | undefined;
    picture: HeldBy['picture'];
    change: (part: Partial<Fastening>) => Promise<unknown>;
    remove: () => Promise<unknown>;
}) {
    const { typing, say } = useSettings();
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
                {row?.tighten && (
                    <Typography color="make" sx={{ fontWeight: 650 }}>
                        tighten to {say(row.tighten)}
                    </Typography>
                )}
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
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        sm: 'repeat(4, 1fr)',
                    },
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
                {kind.tighten && fastening.tighten_nm === null && (
                    <>
                        <TextField
                            select
                            label="Mark on its head"
                            value={fastening.grade ?? ''}
                            onChange={(event) =>
                                void change({
                                    grade:
                                        event.target.value === ''
                                            ? null
                                            : (event.target.value as Fastening['grade']),
                                })
                            }
                        >
                            <MenuItem value="">not said</MenuItem>
                            {catalogue.data?.bolt_classes.map((one) => (
                                <MenuItem key={one.code} value={one.code}>
                                    {one.name}
                                </MenuItem>
                            ))}
                        </TextField>
                        <TextField
                            select
                            label="Turns"
                            value={fastening.turns ?? 'dry'}
                            onChange={(event) =>
                                void change({ turns: event.target.value as Fastening['turns'] })
                            }
                        >
                            {['dry', 'oiled', 'paste'].map((one) => (
                                <MenuItem key={one} value={one}>
                                    {one}
                                </MenuItem>
                            ))}
                        </TextField>
                    </>
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
            <Why steps={row?.working ?? []} label="Why it holds so" picture={picture} />
        </Box>
    );
}
