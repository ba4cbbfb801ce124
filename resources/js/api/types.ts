import type { components } from './schema';

type Schemas = components['schemas'];

export type JobState = Schemas['JobState'];
export type JobFacts = Schemas['JobFacts'];
export type JobAnswers = Schemas['JobAnswers'];
export type Say = Schemas['Say'];
export type Note = Schemas['Note'];
export type WorkingStep = Schemas['WorkingStep'];
export type Drawing = Schemas['Drawing'];
export type SurfaceAnswer = Schemas['SurfaceAnswer'];
export type JointAnswer = Schemas['JointAnswer'];
export type MakeEntry = Schemas['MakeEntry'];
export type MakingAnswer = Schemas['MakingAnswer'];
export type Catalogue = Schemas['Catalogue'];
export type BenchRow = Schemas['BenchRow'];
export type Shop = Schemas['Shop'];
export type Reading = Schemas['Reading'];
export type Joint = Schemas['Joint'];
export type Part = Schemas['Part'];
export type Surface = Schemas['Surface'];
export type TakeIn = Schemas['TakeIn'];

export type Unit = 'in' | 'mm';
export type Units = Unit | 'both';
export type ListName = 'parts' | 'surfaces' | 'readings' | 'joints' | 'cuts' | 'ticks';
