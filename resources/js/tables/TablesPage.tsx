import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useSearchParams } from 'react-router';
import { useShop } from '../api/queries';
import type { Unit } from '../api/types';
import { BenchStrip } from '../bench/BenchStrip';
import { Frame } from '../shell/Frame';
import { useSettings } from '../shell/settings';
import { BearingFinder } from './BearingFinder';
import { FitExplorer } from './FitExplorer';
import { FitFinder } from './FitFinder';

/** The tables: any fit at any size, found by its name or by what it gives; bearings. */
export function TablesPage() {
    const shop = useShop();
    const { typing } = useSettings();
    const [params, setParams] = useSearchParams();
    const unit: Unit = params.get('unit') === 'mm' ? 'mm' : params.get('unit') === 'in' ? 'in' : typing;
    const size = params.get('size') ?? (unit === 'in' ? '1.25' : '30');
    const fit = params.get('fit') ?? 'H7/p6';
    const go = (to: { size?: string; unit?: Unit; fit?: string }) =>
        setParams({ size: to.size ?? size, unit: to.unit ?? unit, fit: to.fit ?? fit }, { replace: true });
    return (
        <Frame title={shop.data?.name ?? ''} subtitle="fits and bearings" strip={<BenchStrip />}>
            <Typography variant="h1" sx={{ mb: 1.5 }}>
                Tables
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2.5,
                    gridTemplateColumns: { xs: '1fr', lg: 'minmax(0, 1fr) 330px' },
                    maxWidth: 1180,
                }}
            >
                <FitExplorer size={size} unit={unit} fit={fit} go={go} />
                <Box sx={{ display: 'grid', gap: 2.5, alignContent: 'start', minWidth: 0 }}>
                    <FitFinder go={go} />
                    <BearingFinder />
                </Box>
            </Box>
        </Frame>
    );
}
