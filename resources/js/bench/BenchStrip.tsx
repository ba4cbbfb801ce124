import { useLocation } from 'react-router';
import { Strip } from '../shell/Strip';

export function BenchStrip() {
    const { pathname } = useLocation();
    return (
        <Strip
            label="Places"
            items={[
                { to: '/', name: 'Bench', here: pathname === '/' },
                { to: '/shop', name: 'Shop', here: pathname === '/shop' },
                { to: '/tables', name: 'Tables', here: pathname === '/tables' },
                { to: '/sums', name: 'Sums', here: pathname === '/sums' },
            ]}
        />
    );
}
