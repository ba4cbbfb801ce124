import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import type { Joint, JointAnswer } from '../../api/types';
import { useJob } from '../../job/JobContext';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';

const SCHOOL = { iso: 'ISO', inch: 'Inch', thumb: 'Thumb' };

/** The three schools side by side; tapping one takes it. */
export function Offers({ joint, answer }: { joint: Joint; answer: JointAnswer }) {
    const { save } = useJob();
    const { say } = useSettings();
    return (
        <Box
            role="radiogroup"
            aria-label="Fit"
            sx={{
                display: 'grid',
                gap: 1.25,
                mt: 1.25,
                gridTemplateColumns: {
                    xs: 'minmax(0, 1fr)',
                    sm: `repeat(${Math.max(1, Math.min(3, answer.offers.length))}, 1fr)`,
                },
            }}
        >
            {answer.offers.map((offer) => (
                <ButtonBase
                    key={offer.label}
                    role="radio"
                    aria-checked={offer.chosen}
                    onClick={() =>
                        void save('joints', joint.id, {
                            school: offer.school,
                            fit: offer.label,
                            least: null,
                            most: null,
                        })
                    }
                    sx={{
                        display: 'block',
                        fontFamily: 'inherit',
                        textAlign: 'left',
                        border: 2,
                        borderColor: offer.chosen ? 'primary.main' : 'divider',
                        bgcolor: 'background.paper',
                        px: 1.5,
                        py: 1,
                        borderRadius: 0.25,
                    }}
                >
                    <Box
                        sx={{
                            display: 'flex',
                            justifyContent: 'space-between',
                            alignItems: 'center',
                            minHeight: 28,
                        }}
                    >
                        <Typography sx={{ fontWeight: 700 }}>
                            {offer.school === 'thumb' ? 'Thumb' : `${SCHOOL[offer.school]} ${offer.label}`}
                        </Typography>
                        {offer.chosen && <Verdict kind="good">chosen</Verdict>}
                    </Box>
                    <Typography variant="smallSize" component="p">
                        {say(offer.range)}
                    </Typography>
                    <Typography variant="body2" color={offer.possible ? 'make' : 'overlap'}>
                        {offer.makes
                            ? `makes it ${say(offer.makes)}`
                            : offer.possible
                              ? ' '
                              : 'the reading is not good enough for it'}
                    </Typography>
                    <Typography variant="body2" color="textSecondary">
                        {say(offer.remark)}
                    </Typography>
                </ButtonBase>
            ))}
        </Box>
    );
}
