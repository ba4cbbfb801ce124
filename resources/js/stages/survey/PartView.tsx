import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Part, PartAnswer } from '../../api/types';
import { RemoveButton } from '../../entry/RemoveButton';
import { TextFact } from '../../entry/TextFact';
import { useJob } from '../../job/JobContext';
import { DrawingView } from '../../pictures/DrawingView';
import { Framed } from '../../pictures/Framed';
import { Notes } from '../../shell/Notes';
import { useSettings } from '../../shell/settings';
import { Why } from '../../shell/Why';
import { Metal } from './Metal';
import { Surfaces } from './Surfaces';

/** One part: its drawing, its surfaces, its metal. */
export function PartView({ part, gone }: { part: Part; gone: () => void }) {
    const { save, answers } = useJob();
    const answer = answers.survey.parts.find((p) => p.id === part.id);
    const hints = answers.survey.hints.filter((note) => note.about === part.id);
    const store = (changes: Partial<Part>) => save('parts', part.id, changes);
    return (
        <>
            <Box
                sx={{
                    display: 'grid',
                    gap: 1.25,
                    mb: 1.5,
                    gridTemplateColumns: {
                        xs: 'repeat(auto-fit, minmax(min(100%, 8.5rem), 1fr))',
                        sm: '1.4fr 1fr 1fr 2.75rem',
                    },
                    alignItems: 'start',
                }}
            >
                <TextFact label="Part" value={part.name} store={(name) => store({ name })} />
                <TextField
                    select
                    label="It is"
                    value={part.origin}
                    onChange={(event) => void store({ origin: event.target.value as Part['origin'] })}
                >
                    <MenuItem value="found">found</MenuItem>
                    <MenuItem value="make">to make</MenuItem>
                    <MenuItem value="bought">bought</MenuItem>
                </TextField>
                <TextField
                    select
                    label="Drawn as"
                    value={part.form}
                    onChange={(event) => void store({ form: event.target.value as Part['form'] })}
                >
                    <MenuItem value="turned">turned, in half section</MenuItem>
                    <MenuItem value="plate">a plate, from its face</MenuItem>
                </TextField>
                <RemoveButton name={part.name} remove={() => save('parts', part.id, null).then(gone)} />
            </Box>
            {answer?.section && (
                <Framed>
                    <DrawingView drawing={answer.section} maxWidth={820} />
                </Framed>
            )}
            {answer?.face && (
                <Box sx={{ mt: answer.section ? 1.25 : 0 }}>
                    <Framed>
                        <DrawingView drawing={answer.face} maxWidth={820} />
                    </Framed>
                </Box>
            )}
            {part.origin === 'make' && answer?.face && (
                <FormControlLabel
                    control={
                        <Checkbox
                            checked={part.both_hands ?? false}
                            onChange={(_, both_hands) => void store({ both_hands })}
                        />
                    }
                    label="Make its other hand as well, mirrored left to right"
                />
            )}
            {answer && <Weight answer={answer} />}
            <Notes notes={hints} />
            <Surfaces part={part} />
            {answer && <Metal part={part} answer={answer} />}
        </>
    );
}

function Weight({ answer }: { answer: PartAnswer }) {
    const { units } = useSettings();
    if (answer.mass_kg === null || answer.centre_mm === null || answer.area_cm2 === null) {
        return null;
    }
    const centre =
        units === 'in' ? `${(answer.centre_mm / 25.4).toFixed(2)} in` : `${answer.centre_mm.toFixed(1)} mm`;
    return (
        <Box sx={{ mt: 1 }}>
            <Typography>
                <b>{answer.mass_kg.toFixed(answer.mass_kg < 10 ? 2 : 1)} kg</b>, centre of mass {centre} from
                the left face, surface {answer.area_cm2.toFixed(0)} cm²
            </Typography>
            <Why steps={answer.working} label="Why this weight" />
        </Box>
    );
}
