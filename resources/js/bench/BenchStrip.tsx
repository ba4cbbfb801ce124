import { usePath } from '../shell/router';
import { Strip } from '../shell/Strip';

export function BenchStrip() {
    const path = usePath();
    return (
        <Strip
            label="Places"
            items={[
                { to: '/', name: 'Bench', here: path === '/' },
                { to: '/shop', name: 'Shop', here: path === '/shop' },
                { to: '/tables', name: 'Tables', here: path === '/tables' },
                { to: '/sums', name: 'Sums', here: path === '/sums' },
                { to: '/practice', name: 'Practice', here: path.startsWith('/practice') },
            ]}
        />
    );
}
