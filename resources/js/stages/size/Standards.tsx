import Typography from '@mui/material/Typography';
import type { JointAnswer } from '../../api/types';
import { Folded } from '../../shell/Folded';
import { useSettings } from '../../shell/settings';

/** The odd size made standard: what can be bought or reamed within what the old part can lose. */
export function Standards({ standards }: { standards: NonNullable<JointAnswer['help']>['standards'] }) {
    const { say } = useSettings();
    const nearest = standards[0];
    if (nearest === undefined) {
        return null;
    }
    const says = say(nearest.says);
    return (
        <Folded title="Made standard, if the old part can lose it" says={says}>
            {standards.map((size) => (
                <Typography key={size.mm} variant="body2">
                    {say(size.says)}
                </Typography>
            ))}
        </Folded>
    );
}
