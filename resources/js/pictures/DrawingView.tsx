import { useTheme } from '@mui/material/styles';
import { useId } from 'react';
import type { Drawing } from '../api/types';
import { useSettings } from '../shell/settings';
import { mono } from '../theme/theme';

type Shape = Drawing['shapes'][number];
type ToneName = Shape['tone'];

/** A drawing of the core on the screen: found brass, made blue, overlap red, each with a hatching of its own. */
export function DrawingView({
    drawing,
    maxWidth,
    quiet = false,
    pick,
}: {
    drawing: Drawing;
    maxWidth?: number;
    /** Beside words that say the same: not read out. */
    quiet?: boolean;
    /** Where a name of it leads. */
    pick?: (id: string) => void;
}) {
    const { units, typing, say } = useSettings();
    const theme = useTheme();
    const id = useId();
    const palette = (theme.vars ?? theme).palette;
    const unit = units === 'both' ? typing : units;
    const line = (tone: ToneName): string =>
        ({
            found: palette.found.main,
            make: palette.make.main,
            overlap: palette.overlap.main,
            good: palette.good.main,
            ink: palette.text.primary,
            soft: palette.text.secondary,
            rule: palette.divider,
        })[tone];
    const tint = (tone: ToneName): string =>
        tone === 'found' || tone === 'make' || tone === 'overlap' || tone === 'good'
            ? palette[tone].tint
            : palette.background.paper;
    const hatched = ['found', 'make', 'overlap', 'good'] as const;

    return (
        <svg
            viewBox={`0 0 ${drawing.width} ${drawing.height}`}
            role={quiet ? undefined : pick ? 'group' : 'img'}
            aria-hidden={quiet}
            aria-label={quiet ? undefined : say(drawing.says)}
            style={{ width: '100%', maxWidth: maxWidth ?? drawing.width, height: 'auto', display: 'block' }}
        >
            <defs>
                {hatched.map((tone) => (
                    <pattern
                        key={tone}
                        id={`${id}${tone}`}
                        width={tone === 'overlap' ? 5 : 7}
                        height={tone === 'overlap' ? 5 : 7}
                        patternUnits="userSpaceOnUse"
                        patternTransform={`rotate(${tone === 'make' ? -45 : 45})`}
                    >
                        <rect width="7" height="7" fill={tint(tone)} />
                        <line
                            x1="0"
                            y1="0"
                            x2="0"
                            y2="7"
                            stroke={line(tone)}
                            strokeWidth={tone === 'overlap' ? 2.2 : 1.6}
                        />
                    </pattern>
                ))}
            </defs>
            {drawing.shapes.map((shape, i) => {
                if (shape.type === 'area') {
                    const path = shape.rings
                        .map((ring) => `M${ring.map((point) => point.join(' ')).join('L')}Z`)
                        .join('');
                    const fill = {
                        hatch: `url(#${id}${shape.tone})`,
                        tint: tint(shape.tone),
                        blank: palette.background.paper,
                        none: 'none',
                    }[shape.fill];
                    return (
                        <path
                            key={i}
                            d={path}
                            fill={fill}
                            fillRule="evenodd"
                            stroke={line(shape.tone)}
                            strokeWidth={shape.width}
                        />
                    );
                }
                if (shape.only !== null && shape.only !== unit) {
                    return null;
                }
                if (shape.type === 'line') {
                    return (
                        <line
                            key={i}
                            x1={shape.x1}
                            y1={shape.y1}
                            x2={shape.x2}
                            y2={shape.y2}
                            stroke={line(shape.tone)}
                            strokeWidth={shape.width}
                            strokeDasharray={shape.dashed ? '10 3 2 3' : undefined}
                        />
                    );
                }
                return (
                    <text
                        key={i}
                        x={shape.x}
                        y={shape.y}
                        fontSize={shape.size}
                        textAnchor={shape.anchor}
                        fontWeight={shape.bold ? 700 : 400}
                        fontFamily={shape.mono ? mono : theme.typography.fontFamily}
                        fill={line(shape.tone)}
                        // Where a word crosses a line, the line stops for it.
                        stroke={palette.background.paper}
                        strokeWidth={shape.size / 4}
                        strokeLinejoin="round"
                        paintOrder="stroke"
                    >
                        {shape.say[unit]}
                    </text>
                );
            })}
            {pick &&
                drawing.spots.map((spot) => (
                    <rect
                        key={spot.id}
                        role="button"
                        tabIndex={0}
                        aria-label={`Go to ${spot.name}`}
                        x={spot.x}
                        y={spot.y}
                        width={spot.width}
                        height={spot.height}
                        fill="transparent"
                        style={{ cursor: 'pointer' }}
                        onClick={() => pick(spot.id)}
                        onKeyDown={(event) => {
                            if (event.key === 'Enter' || event.key === ' ') {
                                event.preventDefault();
                                pick(spot.id);
                            }
                        }}
                    />
                ))}
        </svg>
    );
}
