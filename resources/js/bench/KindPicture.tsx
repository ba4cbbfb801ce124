import { useTheme } from '@mui/material/styles';
import { useId } from 'react';

/** The little section picture of a bush in its housing. */
export function KindPicture({ width = 76 }: { width?: number }) {
    const theme = useTheme();
    const id = useId();
    const { found, make, text } = (theme.vars ?? theme).palette;
    return (
        <svg viewBox="0 0 76 56" width={width} height={(width * 56) / 76} aria-hidden>
            <defs>
                <pattern
                    id={`${id}f`}
                    width="7"
                    height="7"
                    patternUnits="userSpaceOnUse"
                    patternTransform="rotate(45)"
                >
                    <rect width="7" height="7" fill={found.tint} />
                    <line y2="7" stroke={found.main} strokeWidth="1.6" />
                </pattern>
                <pattern
                    id={`${id}m`}
                    width="7"
                    height="7"
                    patternUnits="userSpaceOnUse"
                    patternTransform="rotate(-45)"
                >
                    <rect width="7" height="7" fill={make.tint} />
                    <line y2="7" stroke={make.main} strokeWidth="1.6" />
                </pattern>
            </defs>
            <g strokeWidth="1.2">
                <path d="M2 4H74V18H2ZM2 38H74V52H2Z" fill={`url(#${id}f)`} stroke={found.main} />
                <path d="M2 18H74V25H2ZM2 31H74V38H2Z" fill={`url(#${id}m)`} stroke={make.main} />
                <path d="M0 28H76" stroke={text.primary} strokeDasharray="8 2 2 2" strokeWidth="0.9" />
            </g>
        </svg>
    );
}
