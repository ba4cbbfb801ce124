import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { newId } from '../api/client';
import { useCatalogue } from '../api/queries';
import type { Recipe } from '../api/types';
import { RemoveButton } from '../entry/RemoveButton';
import { TextFact } from '../entry/TextFact';
import { Framed } from '../pictures/Framed';

type Change = (of: (recipes: Recipe[]) => Recipe[]) => Promise<unknown>;

/** Recurring work as the shop does it: put into an order of work with one tap. */
export function Recipes({ recipes, change }: { recipes: Recipe[]; change: Change }) {
    const usual = useCatalogue().data?.usual_recipes ?? [];
    const [opened, setOpened] = useState<string | null>(null);
    const add = (of: Omit<Recipe, 'id'>) => {
        const id = newId();
        setOpened(id);
        void change((now) => [...now, { ...of, id }]);
    };
    const left = usual.filter((one) => !recipes.some((known) => known.name === one.name));
    return (
        <Framed pad={0}>
            {recipes.map((recipe) => (
                <Box
                    key={recipe.id}
                    role="group"
                    aria-label={recipe.name}
                    sx={{ px: 1.5, py: 1, borderBottom: 1, borderColor: 'divider' }}
                >
                    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
                        <Box sx={{ flex: 1 }}>
                            <Typography sx={{ fontWeight: 650 }}>{recipe.name}</Typography>
                            <Typography color="textSecondary" variant="body2">
                                {recipe.steps.length} {recipe.steps.length === 1 ? 'step' : 'steps'}
                            </Typography>
                        </Box>
                        <Button
                            variant="outlined"
                            color="inherit"
                            onClick={() => setOpened(opened === recipe.id ? null : recipe.id)}
                        >
                            {opened === recipe.id ? 'Close' : 'Change'}
                        </Button>
                    </Box>
                    {opened === recipe.id && (
                        <Box sx={{ display: 'grid', gap: 1.5, mt: 1.5 }}>
                            <TextFact
                                label="Name of the recipe"
                                value={recipe.name}
                                store={(name) => change((now) => mended(now, recipe.id, { name }))}
                            />
                            <TextFact
                                label="Its steps, one a line"
                                value={recipe.steps.join('\n')}
                                multiline
                                minRows={3}
                                store={(text) =>
                                    change((now) => mended(now, recipe.id, { steps: text.split('\n') }))
                                }
                            />
                            <RemoveButton
                                name={recipe.name}
                                remove={() => change((now) => now.filter((one) => one.id !== recipe.id))}
                            />
                        </Box>
                    )}
                </Box>
            ))}
            <Box sx={{ display: 'flex', gap: 1.5, p: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
                <Button
                    variant="outlined"
                    color="inherit"
                    onClick={() => add({ name: 'Our way', steps: ['First step'] })}
                >
                    A recipe of our own
                </Button>
                {left.length > 0 && <Typography color="textSecondary">or begin with</Typography>}
                {left.map((one) => (
                    <Button
                        key={one.id}
                        color="inherit"
                        onClick={() => add({ name: one.name, steps: one.steps })}
                    >
                        {one.name}
                    </Button>
                ))}
            </Box>
        </Framed>
    );
}

function mended(recipes: Recipe[], id: string, changes: Partial<Recipe>): Recipe[] {
    return recipes.map((one) => (one.id === id ? { ...one, ...changes } : one));
}
