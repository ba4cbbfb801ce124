import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Fragment } from 'react';
import { useSettings } from '../../shell/settings';
import { useSurface } from './useSurface';

const CHANCE = { good: 'good.main', usable: 'found.main', bad: 'overlap.main' };
const TONE = { good: 'good.main', usable: 'found.main', 'not-good-enough': 'overlap.main' };

/** The found size, large, and whether it is good enough. */
export function FoundCard() {
    const { answer, surface } = useSurface();
    const { say } = useSettings();
    if (!answer || !surface) {
        return null;
    }
    const found = answer.found;
    return (
        <Box component="section" aria-label="Found size" sx={{ mb: 1.5, minHeight: 190 }}>
            <Typography variant="h2">{answer.name}, found at 20 °C</Typography>
            {found === null ? (
                <Typography color="textSecondary">Not measured yet.</Typography>
            ) : (
                <>
                    <Typography variant="hugeSize" color="found">
                        {say(found.size)}
                    </Typography>
                    <Typography variant="size">± {say(found.plus_minus)}</Typography>
                    {answer.good_enough !== null && (
                        <Box sx={{ borderTop: 1, borderColor: 'divider', mt: 1, pt: 0.75 }}>
                            <Typography variant="body2" color="textSecondary">
                                Good enough for this joint?
                            </Typography>
                            {answer.chance === null ? (
                                <Typography
                                    variant="outcome"
                                    sx={{ color: TONE[answer.good_enough.verdict] }}
                                >
                                    {say(answer.good_enough.say)}
                                </Typography>
                            ) : (
                                <>
                                    <Typography variant="outcome" sx={{ color: CHANCE[answer.chance.kind] }}>
                                        {answer.chance.says}
                                    </Typography>
                                    {answer.chance.next && <Typography>{say(answer.chance.next)}</Typography>}
                                </>
                            )}
                            <Typography variant="body2">{say(answer.good_enough.why)}</Typography>
                        </Box>
                    )}
                    {found.count > 1 && (
                        <Box
                            sx={{
                                borderTop: 1,
                                borderColor: 'divider',
                                mt: 1,
                                pt: 0.75,
                                display: 'grid',
                                gridTemplateColumns: 'auto 1fr',
                                columnGap: 1.5,
                            }}
                        >
                            {found.fitted && (
                                <>
                                    <Typography variant="body2" color="textSecondary">
                                        its form
                                    </Typography>
                                    <Typography variant="body2">
                                        <b>{say(found.fitted.smallest)}</b> …{' '}
                                        <b>{say(found.fitted.largest)}</b> ± {say(found.fitted.plus_minus)}:{' '}
                                        {say(found.fitted.round)}
                                    </Typography>
                                </>
                            )}
                            <Typography variant="body2" color="textSecondary">
                                {found.fitted ? 'as read' : 'decides'}
                            </Typography>
                            <Typography variant="body2">
                                <b>{say(found.mating)}</b> {found.mating_at}
                            </Typography>
                            <Typography variant="body2" color="textSecondary">
                                other end
                            </Typography>
                            <Typography variant="body2">
                                <b>{say(found.loose)}</b> {found.loose_at}
                            </Typography>
                            {found.form.map((row) => (
                                <Fragment key={row.name}>
                                    <Typography variant="body2" color="textSecondary">
                                        {row.name}
                                    </Typography>
                                    <Typography variant="body2">{say(row.says)}</Typography>
                                </Fragment>
                            ))}
                        </Box>
                    )}
                </>
            )}
        </Box>
    );
}
