import Button, { type ButtonProps } from '@mui/material/Button';

/** A button that says little of itself: its words, underlined. */
export function LinkButton({ sx, ...button }: ButtonProps) {
    return (
        <Button
            color="inherit"
            {...button}
            sx={[{ textDecoration: 'underline', px: 0.5 }, ...(Array.isArray(sx) ? sx : [sx])]}
        />
    );
}
