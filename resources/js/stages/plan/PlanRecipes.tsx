import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { client, newId, orRefuse, outlives } from '../../api/client';
import { useCatalogue, useShop } from '../../api/queries';
import { LinkButton } from '../../shell/LinkButton';
import Typography from '@mui/material/Typography';

/** Recipes of the shop put into the order of work, and the steps of one's own kept as one. */
export function PlanRecipes({ own, put }: { own: string[]; put: (steps: string[]) => void }) {
    const shop = useShop().data;
    const queries = useQueryClient();
    const usual = useCatalogue().data?.usual_recipes ?? [];
    const kept = shop?.recipes ?? [];
    // What the shop has of its own goes before the usual one of that name.
    const recipes = [...kept, ...usual.filter((one) => !kept.some((known) => known.name === one.name))];
    const [name, setName] = useState<string | null>(null);
    const [said, setSaid] = useState<string | null>(null);
    const keep = async () => {
        try {
            const recipe = { id: newId(), name: (name ?? '').trim(), steps: own };
            const answer = await client.PATCH('/api/shop', {
                ...outlives,
                body: { recipes: [...kept, recipe] },
            });
            queries.setQueryData(['shop'], orRefuse(answer));
            setName(null);
            setSaid('Kept: it stands under Shop, and in this list in every job.');
        } catch (error) {
            setSaid(error instanceof Error ? error.message : 'It was not kept.');
        }
    };
    return (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center', mb: 1 }}>
            <TextField
                select
                label="Put in a recipe"
                value=""
                onChange={(event) =>
                    put(recipes.find((recipe) => recipe.id === event.target.value)?.steps ?? [])
                }
                sx={{ width: 280 }}
            >
                {recipes.map((recipe) => (
                    <MenuItem key={recipe.id} value={recipe.id}>
                        {recipe.name}
                    </MenuItem>
                ))}
            </TextField>
            {own.length > 0 && name === null && (
                <LinkButton onClick={() => setName('')}>Keep my own steps as a recipe</LinkButton>
            )}
            {name !== null && (
                <Box
                    component="form"
                    onSubmit={(event) => {
                        event.preventDefault();
                        void keep();
                    }}
                    sx={{ display: 'flex', gap: 1 }}
                >
                    <TextField
                        autoFocus
                        label="Name of the recipe"
                        value={name}
                        onChange={(event) => setName(event.target.value)}
                    />
                    <LinkButton type="submit">Keep it</LinkButton>
                </Box>
            )}
            {said !== null && (
                <Typography role="status" variant="body2">
                    {said}
                </Typography>
            )}
        </Box>
    );
}
