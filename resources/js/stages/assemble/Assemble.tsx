import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { newId } from '../../api/client';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { useSettings } from '../../shell/settings';
import { Verdict } from '../../shell/Verdict';
import { AfterChecks } from './AfterChecks';
import { Cautions } from './Cautions';
import { Curing } from './Curing';
import { Failed } from './Failed';
import { useTicked } from '../../offline/useTicked';
import { FirstRun } from './FirstRun';
import { InOrder } from './InOrder';
import { PressLog } from './PressLog';
import { Rehearse } from './Rehearse';
import { Setbacks } from './Setbacks';

const GROUPS: [string, string][] = [
    ['prepare', 'Before'],
    ['press', 'Pressing in'],
    ['trial', 'Putting it together'],
    ['check', 'Check after'],
];

/** Cautions to tick first, then each step where the hand does it, with the force to expect. */
export function Assemble() {
    const { facts, answers, save } = useJob();
    const { say } = useSettings();
    const ticked = useTicked();
    const { assembly } = answers;
    const presses = assembly.steps.some((step) => step.rule === 'press');
    const turn = (code: string, on: boolean) => {
        const tick = facts.ticks.find((t) => t.code === code);
        if (on) {
            void save('ticks', tick?.id ?? newId(), {
                code,
                at: new Date().toISOString(),
                failed: false,
                remark: null,
            });
        } else if (!on && tick) {
            void save('ticks', tick.id, null);
        }
    };
    return (
        <Box sx={{ maxWidth: 1000 }}>
            <Typography variant="h1" component="h2" sx={{ mb: 1.25 }}>
                Put it together
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) minmax(0, 1fr)' },
                }}
            >
                <Box
                    sx={{
                        display: assembly.cautions.length === 0 ? 'none' : undefined,
                        borderLeft: 5,
                        borderColor: 'overlap.main',
                        pl: 1.5,
                    }}
                >
                    <Typography variant="h2">
                        {presses ? 'Tick before you press' : 'Tick before you begin'}
                    </Typography>
                    <Cautions cautions={assembly.cautions} turn={turn} />
                </Box>
                {presses && (
                    <Framed>
                        {assembly.force && assembly.picture ? (
                            <>
                                <Typography variant="body2" color="textSecondary">
                                    Force at full depth, up to
                                </Typography>
                                <Box
                                    sx={{
                                        display: 'flex',
                                        alignItems: 'baseline',
                                        gap: 1.5,
                                        flexWrap: 'wrap',
                                    }}
                                >
                                    <Typography variant="bigSize" color="make">
                                        {assembly.force.most}
                                    </Typography>
                                    <Verdict kind={assembly.force.enough ? 'good' : 'bad'}>
                                        your press gives {assembly.force.press}
                                    </Verdict>
                                </Box>
                                <DrawingView drawing={assembly.picture} />
                            </>
                        ) : (
                            <Typography sx={{ p: 1 }}>
                                The force to expect shows here once the press fit is sized.
                            </Typography>
                        )}
                    </Framed>
                )}
            </Box>
            <InOrder turn={turn} />
            {GROUPS.filter(([rule]) => assembly.steps.some((step) => step.rule === rule)).map(
                ([rule, title]) => (
                    <Box key={rule} component="section" sx={{ mt: 2 }}>
                        <Typography variant="h2" sx={{ borderBottom: 1, borderColor: 'divider', pb: 0.5 }}>
                            {title}
                        </Typography>
                        {assembly.steps
                            .filter((step) => step.rule === rule)
                            .map((step) => (
                                <Box
                                    key={step.code}
                                    sx={{
                                        borderBottom: 1,
                                        borderColor: 'divider',
                                        display: 'flex',
                                        flexWrap: 'wrap',
                                        alignItems: 'start',
                                    }}
                                >
                                    <FormControlLabel
                                        sx={{
                                            display: 'flex',
                                            alignItems: 'flex-start',
                                            flex: '1 1 60%',
                                            mr: 0,
                                            py: 0.5,
                                        }}
                                        control={
                                            <Checkbox
                                                checked={ticked(step.code, step.ticked)}
                                                onChange={(_, on) => turn(step.code, on)}
                                            />
                                        }
                                        label={
                                            <Box sx={{ pt: 0.9 }}>
                                                <Typography sx={{ fontWeight: 600 }}>
                                                    {say(step.do)}
                                                </Typography>
                                                <Typography variant="body2" color="textSecondary">
                                                    {step.why}
                                                </Typography>
                                            </Box>
                                        }
                                    />
                                    <Failed code={step.code} name={say(step.do)} failed={step.failed} />
                                </Box>
                            ))}
                    </Box>
                ),
            )}
            <Setbacks />
            <AfterChecks />
            <FirstRun />
            {assembly.curing.length > 0 && <Curing times={assembly.curing} />}
            {[...(assembly.pressing ? [assembly.pressing] : []), ...assembly.also_pressing].map(
                (pressing) => (
                    <PressLog key={pressing.joint} pressing={pressing} />
                ),
            )}
            {assembly.rehearsal && <Rehearse rehearsal={assembly.rehearsal} turn={turn} />}
        </Box>
    );
}
