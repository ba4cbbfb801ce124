import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';

export interface Doing {
    name: string;
    /** What is done, or a file that is fetched. */
    to: string | (() => void);
}

/** What is seldom wanted, behind one button. */
export function More({ name, doings, id }: { name: string; doings: Doing[]; id?: string }) {
    const [anchor, setAnchor] = useState<HTMLElement | null>(null);
    const close = () => setAnchor(null);
    return (
        <>
            <Button
                id={id}
                variant="outlined"
                color="inherit"
                aria-haspopup="menu"
                aria-expanded={anchor !== null}
                onClick={(event) => setAnchor(event.currentTarget)}
            >
                {name}
            </Button>
            <Menu anchorEl={anchor} open={anchor !== null} onClose={close}>
                {doings.map(({ name: does, to }) =>
                    typeof to === 'string' ? (
                        <MenuItem key={does} component="a" href={to} download onClick={close}>
                            {does}
                        </MenuItem>
                    ) : (
                        <MenuItem
                            key={does}
                            onClick={() => {
                                close();
                                to();
                            }}
                        >
                            {does}
                        </MenuItem>
                    ),
                )}
            </Menu>
        </>
    );
}
