import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, useSyncExternalStore } from 'react';
import { client, newId, orRefuse } from '../api/client';
import type { Person } from '../api/types';
import { day } from '../entry/day';
import { whoIsHere } from '../people/me';
import { LinkButton } from '../shell/LinkButton';
import { mono } from '../theme/theme';

type Role = Person['role'];

const ROLES: Record<Role, string> = {
    owner: 'Owner: lets people in, brings backups back',
    machinist: 'Machinist: everything on a job',
    apprentice: 'Apprentice: measures and cuts; does not accept, issue or delete',
    looker: 'Looks on only',
};

interface Change {
    name?: string;
    role?: Role;
    left?: boolean;
}

/** Who signs in, what they may do, and a code for whoever needs a new PIN. */
export function People() {
    const me = useSyncExternalStore(whoIsHere.subscribe, whoIsHere.now);
    const queries = useQueryClient();
    const owns = me.signs_in && me.may.includes('own');
    const people = useQuery({
        queryKey: ['people'],
        queryFn: async () => orRefuse(await client.GET('/api/people')).people,
        enabled: owns,
    });
    const [name, setName] = useState('');
    const [role, setRole] = useState<Role>('machinist');
    const [refused, setRefused] = useState<string | null>(null);
    const [code, setCode] = useState<{ name: string; code: string } | null>(null);
    if (!me.signs_in) {
        return (
            <Typography color="textSecondary">
                Nobody signs in on the shop’s own machine. With bin/start --network tablets and other machines
                reach the shop, and everybody signs in with a name and a PIN.
            </Typography>
        );
    }
    if (!owns) {
        return (
            <Typography color="textSecondary">
                The owner lets people in and changes what they may do.
            </Typography>
        );
    }
    const told = async (
        send: () => Promise<{
            data?: { person: Person; code: string | null };
            error?: unknown;
            response: Response;
        }>,
    ) => {
        setRefused(null);
        try {
            const done = orRefuse(await send());
            if (done.code !== null) {
                setCode({ name: done.person.name, code: done.code });
            }
            await queries.invalidateQueries({ queryKey: ['people'] });
            return true;
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'It was not stored: try again.');
            return false;
        }
    };
    const put = (id: string, body: Change) =>
        told(() => client.PUT('/api/people/{person}', { params: { path: { person: id } }, body }));
    const add = async () => {
        if (await put(newId(), { name, role })) {
            setName('');
        }
    };
    return (
        <Box component="section" aria-label="People">
            {code !== null && (
                <Alert severity="success" variant="outlined" onClose={() => setCode(null)} sx={{ mb: 1.5 }}>
                    <Box component="span" sx={{ fontFamily: mono, fontSize: '1.375rem', fontWeight: 700 }}>
                        {code.code}
                    </Box>
                    <Typography>
                        The code for {code.name}, to choose a PIN with. It is said this once and holds seven
                        days.
                    </Typography>
                </Alert>
            )}
            {refused !== null && (
                <Alert severity="warning" variant="outlined" sx={{ mb: 1.5 }}>
                    {refused}
                </Alert>
            )}
            {(people.data ?? []).map((person) => (
                <Box
                    key={person.id}
                    sx={{
                        display: 'grid',
                        gap: 1,
                        alignItems: 'center',
                        gridTemplateColumns: { xs: '1fr', md: '12rem minmax(0, 26rem) auto' },
                        py: 1,
                        borderTop: 1,
                        borderColor: 'divider',
                    }}
                >
                    <Box>
                        <Typography sx={{ fontWeight: 700 }}>{person.name}</Typography>
                        <Typography variant="body2" color="textSecondary">
                            {state(person)}
                        </Typography>
                    </Box>
                    {person.left_at === null ? (
                        <TextField
                            select
                            size="small"
                            label="Part in the shop"
                            value={person.role}
                            onChange={(event) => void put(person.id, { role: event.target.value as Role })}
                        >
                            {roles()}
                        </TextField>
                    ) : (
                        <span />
                    )}
                    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
                        {person.left_at === null && (
                            <LinkButton
                                onClick={() =>
                                    void told(() =>
                                        client.POST('/api/people/{person}/code', {
                                            params: { path: { person: person.id } },
                                            body: {},
                                        }),
                                    )
                                }
                            >
                                New code
                            </LinkButton>
                        )}
                        <LinkButton onClick={() => void put(person.id, { left: person.left_at === null })}>
                            {person.left_at === null ? 'Signs in no more' : 'Signs in again'}
                        </LinkButton>
                    </Box>
                </Box>
            ))}
            <Box
                component="form"
                onSubmit={(event) => {
                    event.preventDefault();
                    void add();
                }}
                sx={{
                    display: 'grid',
                    gap: 1,
                    gridTemplateColumns: { xs: '1fr', md: '12rem minmax(0, 26rem) auto' },
                    justifyItems: 'start',
                    py: 1,
                    borderTop: 1,
                    borderColor: 'divider',
                }}
            >
                <TextField
                    size="small"
                    label="Another name"
                    value={name}
                    onChange={(event) => setName(event.target.value)}
                />
                <TextField
                    select
                    fullWidth
                    size="small"
                    label="Part in the shop"
                    value={role}
                    onChange={(event) => setRole(event.target.value as Role)}
                >
                    {roles()}
                </TextField>
                <Button type="submit" variant="outlined" color="inherit">
                    Let in
                </Button>
            </Box>
        </Box>
    );
}

function roles() {
    return Object.entries(ROLES).map(([code, says]) => (
        <MenuItem key={code} value={code}>
            {says}
        </MenuItem>
    ));
}

function state(person: Person): string {
    if (person.left_at !== null) {
        return `signs in no more since ${day(person.left_at)}; the record names them`;
    }
    if (person.locked) {
        return 'closed for a while after wrong PINs; a new code opens it';
    }
    if (person.code_open) {
        return 'has a code, and chooses a PIN with it';
    }
    return person.chosen ? 'has a PIN' : 'needs a new code';
}
