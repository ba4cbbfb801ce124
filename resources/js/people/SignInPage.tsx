import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Mark } from '../shell/Mark';
import { SignIn } from './SignIn';

/** Before the bench, where other devices reach the shop. */
export function SignInPage() {
    return (
        <Box component="main" sx={{ maxWidth: 640, mx: 'auto', p: { xs: 2, sm: 4 } }}>
            <title>Sign in · Oldpart Fit</title>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mb: 2.5 }}>
                <Mark />
                <Typography variant="h1">Who is at this device?</Typography>
            </Box>
            <SignIn />
        </Box>
    );
}
