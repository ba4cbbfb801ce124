import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useLayoutEffect, useRef, useState } from 'react';
import { newId } from '../../api/client';
import type { PlanFacts } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';
import { useSettings } from '../../shell/settings';
import { PlanRecipes } from './PlanRecipes';
import { PlanStep } from './PlanStep';
import { Times } from './Times';

const NOTHING: PlanFacts = { order: [], dropped: [], own: [], remarks: {} };

/** The order of work, each step with the reason it stands there; moved, left out and added to as the person wants. */
export function Plan() {
    const { answers, facts, editHead } = useJob();
    const { say } = useSettings();
    const [carried, setCarried] = useState<string | null>(null);
    const [own, setOwn] = useState('');
    const list = useRef<HTMLOListElement>(null);
    const lost = useRef<number | null>(null);
    const plan = facts.plan ?? NOTHING;
    const codes = answers.plan.map((step) => step.code);
    const store = (of: (now: PlanFacts) => PlanFacts) =>
        editHead((now) => {
            const next = of(now.plan ?? NOTHING);
            const isEmpty =
                next.order.length + next.dropped.length + next.own.length === 0 &&
                Object.keys(next.remarks ?? {}).length === 0;
            return { plan: isEmpty ? null : next };
        });
    // Built on what still waits to be stored: two quick moves both count.
    const move = (code: string, to: (order: string[]) => number) =>
        void store((now) => {
            const kept = now.order.filter((one) => codes.includes(one));
            const order = [...kept, ...codes.filter((one) => !kept.includes(one))];
            const others = order.filter((one) => one !== code);
            const place = Math.max(0, Math.min(others.length, to(order)));
            return { ...now, order: [...others.slice(0, place), code, ...others.slice(place)] };
        });
    // What had the focus may be gone once the plan is another: then it goes to what stands there now.
    useLayoutEffect(() => {
        if (lost.current === null || document.activeElement !== document.body) {
            return;
        }
        const ways = list.current?.querySelectorAll<HTMLElement>('[aria-label^="Leave step"]') ?? [];
        ways[Math.max(0, Math.min(ways.length - 1, lost.current))]?.focus();
        lost.current = null;
    });
    const storeFrom = (at: number, of: (now: PlanFacts) => PlanFacts) => {
        lost.current = at;
        void store(of);
    };
    const drop = (code: string) =>
        storeFrom(codes.indexOf(code), (now) =>
            now.own.some((step) => step.code === code)
                ? {
                      ...now,
                      own: now.own.filter((step) => step.code !== code),
                      order: now.order.filter((one) => one !== code),
                  }
                : { ...now, dropped: [...now.dropped.filter((one) => one !== code), code] },
        );
    const add = (texts: string[]) => {
        const steps = texts.map((text) => ({ code: `own-${newId()}`, do: text }));
        void store((now) => ({
            ...now,
            own: [...now.own, ...steps],
            order: now.order.length > 0 ? [...now.order, ...steps.map((step) => step.code)] : [],
        }));
    };
    const remark = (code: string, text: string) =>
        store((now) => {
            const rest = Object.fromEntries(Object.entries(now.remarks ?? {}).filter(([of]) => of !== code));
            return { ...now, remarks: text.trim() === '' ? rest : { ...rest, [code]: text } };
        });
    const reword = (code: string, text: string) =>
        text.trim() === ''
            ? Promise.reject(new Error('A step needs words. Leave it out with × where it is not needed.'))
            : store((now) => ({
                  ...now,
                  own: now.own.map((step) => (step.code === code ? { ...step, do: text } : step)),
              }));
    if (answers.plan.length === 0 && facts.plan == null) {
        return (
            <Box>
                <Typography variant="h1" component="h2" sx={{ mb: 1 }}>
                    Order of work
                </Typography>
                <Typography>
                    The order follows from the sizes: the wall decides what is cut first.{' '}
                    {say(answers.next.says)}.
                </Typography>
            </Box>
        );
    }
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Typography variant="h1" component="h2" sx={{ mb: 1 }}>
                Order of work
            </Typography>
            {answers.plan[0]?.rule === 'as quoted' && (
                <Typography sx={{ mb: 1 }}>As quoted at Take in, in the order it stands there.</Typography>
            )}
            <Box
                component="ol"
                ref={list}
                sx={{ listStyle: 'none', m: 0, p: 0, borderTop: 1, borderColor: 'divider' }}
            >
                {answers.plan.map((step, i) => (
                    <PlanStep
                        key={step.code}
                        step={step}
                        number={i + 1}
                        last={answers.plan.length}
                        carried={carried === step.code}
                        carry={setCarried}
                        put={() => {
                            if (carried !== null && carried !== step.code) {
                                move(carried, (order) => order.indexOf(step.code));
                            }
                            setCarried(null);
                        }}
                        up={() => move(step.code, (order) => order.indexOf(step.code) - 1)}
                        down={() => move(step.code, (order) => order.indexOf(step.code) + 1)}
                        drop={() => drop(step.code)}
                        own={plan.own.find((one) => one.code === step.code)?.do ?? null}
                        reword={(text) => reword(step.code, text)}
                        remark={plan.remarks?.[step.code] ?? ''}
                        say={(text) => remark(step.code, text)}
                    />
                ))}
            </Box>
            <Box
                component="form"
                onSubmit={(event) => {
                    event.preventDefault();
                    add([own.trim()]);
                    setOwn('');
                }}
                sx={{ display: 'flex', gap: 1.5, my: 1.5, flexWrap: 'wrap' }}
            >
                <TextField
                    label="A step of your own"
                    value={own}
                    onChange={(event) => setOwn(event.target.value)}
                    slotProps={{ htmlInput: { maxLength: 1000 } }}
                    sx={{ flex: '1 1 18.75rem' }}
                />
                <Button type="submit" variant="outlined" color="inherit" disabled={own.trim() === ''}>
                    Add it
                </Button>
            </Box>
            <PlanRecipes own={plan.own.map((step) => step.do)} put={add} />
            {plan.dropped.length > 0 && (
                <LinkButton onClick={() => storeFrom(0, (now) => ({ ...now, dropped: [] }))}>
                    Put back what was left out ({plan.dropped.length})
                </LinkButton>
            )}
            {plan.order.length > 0 && (
                <LinkButton onClick={() => storeFrom(0, (now) => ({ ...now, order: [] }))}>
                    Back to the order that is worked out
                </LinkButton>
            )}
            <Times />
        </Box>
    );
}
