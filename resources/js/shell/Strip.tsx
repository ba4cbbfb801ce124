import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';
import { Link } from './router';

export interface StripItem {
    to: string;
    name: string;
    says?: string;
    icon?: ReactNode;
    here: boolean;
}

/** The narrow strip of places: at the left on a wide screen, at the bottom on an upright tablet or a phone. */
export function Strip({ items, label }: { items: StripItem[]; label: string }) {
    return (
        <Box
            component="nav"
            aria-label={label}
            sx={{
                gridArea: 'strip',
                bgcolor: 'background.paper',
                display: 'flex',
                flexDirection: { xs: 'row', md: 'column' },
                overflow: 'auto',
                borderRight: { md: 1 },
                borderTop: { xs: 1, md: 0 },
                borderColor: { xs: 'strong.main', md: 'strong.main' },
            }}
        >
            {items.map((item) => (
                <ButtonBase
                    key={item.to}
                    component={Link}
                    to={item.to}
                    aria-current={item.here ? 'page' : undefined}
                    sx={{
                        flex: { xs: '1 0 auto', md: '0 1 5.375rem' },
                        minWidth: { xs: 84, md: 0 },
                        minHeight: { xs: 72, md: 60 },
                        px: 0.5,
                        textAlign: 'center',
                        flexDirection: 'column',
                        typography: 'body2',
                        fontWeight: item.here ? 700 : 450,
                        bgcolor: item.here ? 'background.default' : undefined,
                        borderBottom: { md: 1 },
                        borderRight: { xs: 1, md: 0 },
                        borderColor: { xs: 'divider', md: 'divider' },
                        boxShadow: (theme) => {
                            const blue = (theme.vars ?? theme).palette.primary.main;
                            return item.here
                                ? { xs: `inset 0 5px 0 ${blue}`, md: `inset 5px 0 0 ${blue}` }
                                : 'none';
                        },
                    }}
                >
                    {item.icon}
                    {item.name}
                    {item.says !== undefined && (
                        <Box
                            component="span"
                            sx={{ typography: 'aside', color: 'text.secondary', minHeight: 18 }}
                        >
                            {item.says}
                        </Box>
                    )}
                </ButtonBase>
            ))}
        </Box>
    );
}
