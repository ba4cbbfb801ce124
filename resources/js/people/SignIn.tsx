import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState, useSyncExternalStore, type FormEvent } from 'react';
import { client, orRefuse } from '../api/client';
import { LinkButton } from '../shell/LinkButton';
import { Keypad } from './Keypad';
import { enter, here, whoIsHere } from './me';

/** Who is at this device: a tap on the name, then the PIN. A code of the owner chooses a PIN. */
export function SignIn() {
    const { people, person } = useSyncExternalStore(whoIsHere.subscribe, whoIsHere.now);
    const others = people.filter((one) => one.id !== person?.id);
    const [who, setWho] = useState(person === null ? here() : null);
    const only = others.length === 1 ? others[0]?.id : undefined;
    const chosen = people.find((one) => one.id === (who ?? only));
    if (people.length === 0) {
        return (
            <Typography>
                Nobody has a name here yet. On the shop’s own machine, bin/people makes the owner and says the
                code to sign in with.
            </Typography>
        );
    }
    if (chosen === undefined) {
        return (
            <Box
                role="group"
                aria-label="Names"
                sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}
            >
                {others.map((one, i) => (
                    <Button
                        key={one.id}
                        autoFocus={i === 0}
                        variant="outlined"
                        color="inherit"
                        sx={{ minHeight: 56, justifyContent: 'flex-start', fontSize: '1.125rem' }}
                        onClick={() => setWho(one.id)}
                    >
                        {one.name}
                    </Button>
                ))}
            </Box>
        );
    }
    return (
        <Secret
            key={chosen.id}
            id={chosen.id}
            name={chosen.name}
            first={!chosen.chosen}
            back={others.length > 1 ? () => setWho(null) : null}
        />
    );
}

interface SecretProps {
    id: string;
    name: string;
    /** No PIN was chosen yet. */
    first: boolean;
    back: (() => void) | null;
}

function Secret({ id, name, first, back }: SecretProps) {
    const [coded, setCoded] = useState(first);
    const [code, setCode] = useState('');
    const [secret, setSecret] = useState('');
    const [shown, setShown] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    const [busy, setBusy] = useState(false);
    const field = useRef<HTMLInputElement>(null);
    const go = async (event: FormEvent) => {
        event.preventDefault();
        if (busy) {
            return;
        }
        setBusy(true);
        setRefused(null);
        try {
            enter(
                orRefuse(
                    coded
                        ? await client.POST('/api/me/secret', { body: { person: id, code, secret } })
                        : await client.POST('/api/me', { body: { person: id, secret } }),
                ),
            );
        } catch (error) {
            setRefused(
                error instanceof TypeError || !(error instanceof Error)
                    ? 'The shop does not answer just now. Try again.'
                    : error.message,
            );
            setBusy(false);
            if (!coded) {
                setSecret('');
            }
            field.current?.focus();
        }
    };
    return (
        <Box
            component="form"
            onSubmit={(event) => void go(event)}
            sx={{ display: 'grid', gap: 1.5, maxWidth: 420 }}
        >
            <Typography variant="h2">{name}</Typography>
            {/* For whatever keeps passwords in this browser. */}
            <input type="text" autoComplete="username" value={name} readOnly hidden />
            {coded && (
                <TextField
                    label="The code you were given"
                    value={code}
                    autoFocus
                    autoComplete="one-time-code"
                    onChange={(event) => setCode(event.target.value)}
                />
            )}
            <TextField
                label={coded ? 'A PIN or password of your own' : 'PIN or password'}
                type={shown ? 'text' : 'password'}
                value={secret}
                autoFocus={!coded}
                inputRef={field}
                autoComplete={coded ? 'new-password' : 'current-password'}
                error={refused !== null}
                helperText={
                    refused ?? (coded ? 'at least 6 digits or letters; you sign in with it from now on' : ' ')
                }
                onChange={(event) => setSecret(event.target.value)}
            />
            {!coded && (
                <Keypad
                    press={(digit) => setSecret((now) => now + digit)}
                    back={() => setSecret((now) => now.slice(0, -1))}
                />
            )}
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
                <Button type="submit" variant="contained" aria-disabled={busy} sx={{ minWidth: 120 }}>
                    Sign in
                </Button>
                <LinkButton onClick={() => setShown(!shown)}>{shown ? 'Hide it' : 'Show it'}</LinkButton>
                {!first && (
                    <LinkButton onClick={() => setCoded(!coded)}>
                        {coded ? 'I have a PIN' : 'I have a code'}
                    </LinkButton>
                )}
                {back !== null && <LinkButton onClick={back}>Somebody else</LinkButton>}
            </Box>
        </Box>
    );
}
