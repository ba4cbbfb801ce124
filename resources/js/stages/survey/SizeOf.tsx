import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { useJob } from '../../job/JobContext';
import { LinkButton } from '../../shell/LinkButton';

/** A size from a picture, noted of a surface with where it comes from and how sure it is. */
export function SizeOf({ name, mm, u95 }: { name: string; mm: number; u95: number }) {
    const { facts, save } = useJob();
    const [anchor, setAnchor] = useState<HTMLElement | null>(null);
    const [noted, setNoted] = useState<string | null>(null);
    const sized = facts.surfaces.filter((s) => !['face', 'angle'].includes(s.kind));
    return (
        <>
            <LinkButton
                aria-label={`${name}: note it of a surface`}
                onClick={(event) => setAnchor(event.currentTarget)}
                sx={{ fontWeight: 400 }}
            >
                {noted === null ? 'Note it of a surface' : `Noted of ${noted}`}
            </LinkButton>
            <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
                {sized.map((surface) => (
                    <MenuItem
                        key={surface.id}
                        onClick={() => {
                            setAnchor(null);
                            void save('surfaces', surface.id, {
                                size: { typed: mm.toFixed(2), unit: 'mm' },
                                sure: { typed: u95.toFixed(2), unit: 'mm' },
                                source: 'picture',
                            }).then(() => setNoted(surface.name));
                        }}
                    >
                        {surface.name}
                    </MenuItem>
                ))}
            </Menu>
        </>
    );
}
