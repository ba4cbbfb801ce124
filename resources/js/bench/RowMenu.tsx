import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from '../shell/router';
import { client, newId, orRefuse, outlives } from '../api/client';
import { whole } from '../api/held';
import { jobKey } from '../api/queries';
import type { Shelf } from '../api/types';

const ELSEWHERE: { to: Shelf; says: string }[] = [
    { to: 'bench', says: 'Put it on the bench' },
    { to: 'archive', says: 'Put it in the archive' },
    { to: 'bin', says: 'Put it in the bin' },
];

/** What else can be done with a job of the bench. */
export function RowMenu({
    job,
    anchor,
    close,
    shelf,
    move,
}: {
    job: string;
    anchor: HTMLElement;
    close: () => void;
    shelf: Shelf;
    move: (id: string, to: Shelf) => void;
}) {
    const navigate = useNavigate();
    const queries = useQueryClient();
    const [id] = useState(newId);
    const copy = async () => {
        close();
        const state = orRefuse(
            await client.POST('/api/jobs/{job}/copy', {
                ...outlives,
                params: { path: { job } },
                body: { id },
            }),
        );
        queries.setQueryData(jobKey(id), await whole(id, state));
        await queries.invalidateQueries({ queryKey: ['bench'] });
        void navigate(`/job/${id}/take-in`);
    };
    return (
        <Menu anchorEl={anchor} open onClose={close}>
            <MenuItem onClick={() => void copy()}>Start another like it</MenuItem>
            {ELSEWHERE.filter(({ to }) => to !== shelf).map(({ to, says }) => (
                <MenuItem
                    key={to}
                    onClick={() => {
                        close();
                        move(job, to);
                    }}
                >
                    {says}
                </MenuItem>
            ))}
        </Menu>
    );
}
