import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

interface Props {
    press: (digit: string) => void;
    back: () => void;
}

/** Ten digits for a thumb, for a tablet that stands at a machine. */
export function Keypad({ press, back }: Props) {
    return (
        <Box
            role="group"
            aria-label="Digits"
            sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 1, maxWidth: 300 }}
        >
            {['1', '2', '3', '4', '5', '6', '7', '8', '9', '', '0'].map((digit, i) =>
                digit === '' ? (
                    <span key={i} />
                ) : (
                    <Button
                        key={digit}
                        variant="outlined"
                        color="inherit"
                        tabIndex={-1}
                        sx={{ minHeight: 56, fontSize: '1.375rem' }}
                        onClick={() => press(digit)}
                    >
                        {digit}
                    </Button>
                ),
            )}
            <Button
                variant="outlined"
                color="inherit"
                tabIndex={-1}
                aria-label="Take the last digit away"
                sx={{ minHeight: 56, fontSize: '1.375rem' }}
                onClick={back}
            >
                ⌫
            </Button>
        </Box>
    );
}
