import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

const KEYS = ['7', '8', '9', '/', '4', '5', '6', '-', '1', '2', '3', '+', '0', '.', '←', '↵'];
const NAMES: Record<string, string> = {
    '/': 'divided by',
    '-': 'minus or dash',
    '+': 'plus',
    '.': 'point',
    '←': 'rub out',
    '↵': 'store and go on',
};

/** Large keys for gloves. They write into the field that is being filled and never take the focus from it. */
export function NumberPad() {
    const press = (key: string) => {
        const field = document.activeElement;
        if (!(field instanceof HTMLInputElement)) {
            return;
        }
        if (key === '↵') {
            field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true }));
            return;
        }
        const [from, to] = [field.selectionStart ?? 0, field.selectionEnd ?? 0];
        const cut = key === '←' && from === to ? Math.max(0, from - 1) : from;
        const text = field.value.slice(0, cut) + (key === '←' ? '' : key) + field.value.slice(to);
        // React listens to the setter of the element itself.
        Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(field, text);
        field.dispatchEvent(new Event('input', { bubbles: true }));
        const at = cut + (key === '←' ? 0 : 1);
        field.setSelectionRange(at, at);
    };
    return (
        <Box
            role="group"
            aria-label="Number pad"
            sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 4rem)', gap: 0.75, mt: 0.5 }}
        >
            {KEYS.map((key) => (
                <Button
                    key={key}
                    variant={key === '↵' ? 'contained' : 'outlined'}
                    color={key === '↵' ? 'primary' : 'inherit'}
                    tabIndex={-1}
                    aria-label={NAMES[key] ?? key}
                    onPointerDown={(event) => event.preventDefault()}
                    onMouseDown={(event) => event.preventDefault()}
                    onClick={() => press(key)}
                    sx={{ minWidth: 0, minHeight: 56, typography: 'midSize' }}
                >
                    {key}
                </Button>
            ))}
        </Box>
    );
}
