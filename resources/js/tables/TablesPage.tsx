import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { useSearchParams } from '../shell/router';
import { useShop } from '../api/queries';
import { BenchStrip } from '../bench/BenchStrip';
import { Frame } from '../shell/Frame';
import { useSettings } from '../shell/settings';
import { BearingFinder } from './BearingFinder';
import { FitExplorer, type Place } from './FitExplorer';
import { FitFinder } from './FitFinder';

/** The tables: any fit at any size, found by its name or by what it gives; bearings. */
export function TablesPage() {
    const shop = useShop();
    const { typing } = useSettings();
    const [params, setParams] = useSearchParams();
    const [place, setPlace] = useState<Place>(() => {
        const said = params.get('unit');
        const unit = said === 'mm' || said === 'in' ? said : typing;
        return {
            size: params.get('size') ?? (unit === 'in' ? '1.25' : '30'),
            unit,
            fit: params.get('fit') ?? 'H7/p6',
        };
    });
    // The address follows, so that a fit can be kept as a link.
    useEffect(() => {
        setParams({ size: place.size, unit: place.unit, fit: place.fit }, { replace: true });
    }, [place, setParams]);
    const go = (to: Partial<Place>) => setPlace((now) => ({ ...now, ...to }));
    return (
        <Frame title={shop.data?.name ?? ''} subtitle="fits and bearings" strip={<BenchStrip />}>
            <Typography variant="h1" component="h2" sx={{ mb: 1.5 }}>
                Tables
            </Typography>
            <Box
                sx={{
                    display: 'grid',
                    gap: 2.5,
                    gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 1fr) 20.625rem' },
                    maxWidth: 1180,
                }}
            >
                <FitExplorer {...place} go={go} />
                <Box sx={{ display: 'grid', gap: 2.5, alignContent: 'start', minWidth: 0 }}>
                    <FitFinder go={go} />
                    <BearingFinder />
                </Box>
            </Box>
        </Frame>
    );
}
