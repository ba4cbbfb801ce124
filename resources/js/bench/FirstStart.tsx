import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQueryClient } from '@tanstack/react-query';
import { Suspense, useEffect, useRef, useState } from 'react';
import { client, orRefuse } from '../api/client';
import type { Shop } from '../api/types';
import { later } from '../shell/later';
import { LinkButton } from '../shell/LinkButton';

const OwnShop = later(async () => (await import('./OwnShop')).OwnShop);

/** The demo shop says that it is one; one's own is begun with three answers, and undone with one tap. */
export function FirstStart({ shop, empty }: { shop: Shop; empty: boolean }) {
    const queries = useQueryClient();
    const [asking, setAsking] = useState(false);
    const [refused, setRefused] = useState<string | null>(null);
    // What was pressed is gone with the shop it stood in: the keyboard goes on from what is said of the new one.
    const said = useRef<HTMLElement>(null);
    const before = useRef(shop.demo);
    useEffect(() => {
        if (before.current !== shop.demo && said.current) {
            before.current = shop.demo;
            said.current.focus();
        }
    }, [shop.demo, empty]);
    const take = async (next: Promise<Shop>) => {
        try {
            queries.setQueryData(['shop'], await next);
            await queries.invalidateQueries({ queryKey: ['bench'] });
            setAsking(false);
            setRefused(null);
        } catch (error) {
            setRefused(error instanceof Error ? error.message : 'That did not work. Try again.');
        }
    };
    const back = async () => orRefuse(await client.POST('/api/shop/demo', { body: {} }));
    if (shop.demo) {
        return (
            <Box
                component="section"
                aria-label="The demo shop"
                sx={{ borderLeft: 5, borderColor: 'strong.main', pl: 1.5, mb: 1.5 }}
            >
                <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
                    <Typography ref={said} tabIndex={-1}>
                        This is the demo shop: its jobs are invented, try anything.
                    </Typography>
                    <Button variant="outlined" color="inherit" onClick={() => setAsking(true)}>
                        Begin my own shop
                    </Button>
                </Box>
                {asking && (
                    <Suspense>
                        <OwnShop
                            close={() => setAsking(false)}
                            refused={refused}
                            begin={(body) =>
                                take((async () => orRefuse(await client.POST('/api/shop/own', { body })))())
                            }
                        />
                    </Suspense>
                )}
            </Box>
        );
    }
    return shop.from_demo && empty ? (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap', mb: 1.5 }}>
            <Typography ref={said} tabIndex={-1}>
                This is your own shop. Tell it more of itself under Shop whenever you like.
            </Typography>
            <LinkButton onClick={() => void take(back())}>Back to the demo shop</LinkButton>
            {refused !== null && <Typography color="error">{refused}</Typography>}
        </Box>
    ) : null;
}
