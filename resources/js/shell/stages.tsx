import SvgIcon from '@mui/material/SvgIcon';

export interface StageInfo {
    code: string;
    name: string;
    path: string;
}

/** The eight stages in the order the work goes. */
export const STAGES: StageInfo[] = [
    { code: 'take-in', name: 'Take in', path: 'M4 9h16v10H4zM8 9V5h8v4' },
    { code: 'survey', name: 'Survey', path: 'M3 12h18M12 3v18M7 12a5 5 0 1 0 10 0a5 5 0 1 0 -10 0' },
    { code: 'measure', name: 'Measure', path: 'M3 8h18v7H3zM7 8v3M11 8v4M15 8v3M19 8v2' },
    {
        code: 'size',
        name: 'Size',
        path: 'M3 12a9 9 0 1 0 18 0a9 9 0 1 0 -18 0M7.5 12a4.5 4.5 0 1 0 9 0a4.5 4.5 0 1 0 -9 0',
    },
    { code: 'plan', name: 'Plan', path: 'M5 6h3v3H5zM5 15h3v3H5zM11 7.5h9M11 16.5h9M6.5 9v6' },
    { code: 'make', name: 'Make', path: 'M3 17h9l3-5h6M3 7h13v5' },
    { code: 'assemble', name: 'Assemble', path: 'M3 8h7v8H3zM14 8h7v8h-7zM10 12h4' },
    { code: 'hand-over', name: 'Hand over', path: 'M6 3h9l4 4v14H6zM9 12h7M9 16h5' },
];

export function StageIcon({ path }: { path: string }) {
    return (
        <SvgIcon sx={{ fontSize: 26, fill: 'none', stroke: 'currentColor', strokeWidth: 1.6 }} aria-hidden>
            <path d={path} />
        </SvgIcon>
    );
}
