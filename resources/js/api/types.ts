import type { components, paths } from './schema';

type Schemas = components['schemas'];

export type JobState = Schemas['JobState'];
export type JobPatch = Schemas['JobPatch'];
export type PartsPatch = Schemas['PartsPatch'];
export type JobFacts = Schemas['JobFacts'];
export type JobAnswers = Schemas['JobAnswers'];
export type Glossary = Schemas['Glossary']['words'];
export type Say = Schemas['Say'];
export type Note = Schemas['Note'];
export type WorkingStep = Schemas['WorkingStep'];
export type Drawing = Schemas['Drawing'];
export type SurfaceAnswer = Schemas['SurfaceAnswer'];
export type JointAnswer = Schemas['JointAnswer'];
export type MakeEntry = Schemas['MakeEntry'];
export type Sums = Schemas['Sums'];
export type Shaped = Schemas['Shaped'];
export type ShapeNumber = Schemas['ShapeNumber'];
export type MakingAnswer = Schemas['MakingAnswer'];
export type AssemblyFacts = Schemas['AssemblyFacts'];
export type Together = Schemas['Together'];
export type Batch = Schemas['Batch'];
export type BatchFacts = Schemas['BatchFacts'];
export type Mated = Schemas['Mated'];
export type Catalogue = Schemas['Catalogue'];
export type BenchRow = Schemas['BenchRow'];
export type Me = Schemas['Me'];
export type Person = Schemas['Person'];
export type Shop = Schemas['Shop'];
export type Backups = Schemas['Backups'];
export type Reading = Schemas['Reading'];
export type Joint = Schemas['Joint'];
export type Part = Schemas['Part'];
export type Surface = Schemas['Surface'];
export type TakeIn = Schemas['TakeIn'];
export type Acceptance = Schemas['Acceptance'];
export type Evidence = Schemas['Evidence'];
export type Photo = Schemas['Photo'];
export type Operation = Schemas['Operation'];
export type Cost = Schemas['Cost'];
export type QuoteFacts = Schemas['QuoteFacts'];
export type Waits = Schemas['Waits'];
export type PlanFacts = Schemas['Plan'];
export type PlanStep = Schemas['PlanStep'];
export type Machine = Shop['machines'][number];
export type Recipe = Shop['recipes'][number];
export type Kind = Schemas['Kinds']['kinds'][number];
export type FitAdvice = Schemas['FitAdvice'];
export type JointWay = Schemas['JointWay'];
export type HotAndCold = Schemas['HotAndCold'];
export type Pressing = Schemas['Pressing'];
export type Rehearsal = Schemas['Rehearsal'];
export type LoopAnswer = Schemas['LoopAnswer'];
export type LoopFacts = Schemas['LoopFacts'];
export type ReckoningFacts = Schemas['ReckoningFacts'];
export type Reckoned = Schemas['Reckoned'];
export type ClearanceFacts = Schemas['ClearanceFacts'];
export type ClearanceAnswer = Schemas['ClearanceAnswer'];
export type HeldBy = Schemas['HeldBy'];
export type TriedChange = Schemas['TriedChange'];
export type MistakeAnswer = Schemas['MistakeAnswer'];
export type WayOut = Schemas['WayOut'];
export type Seat = Schemas['Seat'];
export type FitLook = Schemas['FitLook'];
export type FitRow = Schemas['FitRow'];
export type BearingShown = Schemas['BearingShown'];
export type Finds = Schemas['Finds'];
export type TableLook = Schemas['TableLook'];
export type GaugeReading = Schemas['GaugeReading'];
export type InstrumentState = Schemas['InstrumentState'];
export type InstrumentChange =
    paths['/api/instruments/{instrument}']['put']['requestBody']['content']['application/json'];
export type Shelf = 'bench' | 'archive' | 'bin';
export type PartAnswer = Schemas['PartAnswer'];
export type Quote = Schemas['Quote'];
export type TypedLength = Schemas['TypedLength'];

export type Unit = 'in' | 'mm';
export type Units = Unit | 'both';
export type ListName =
    | 'parts'
    | 'surfaces'
    | 'readings'
    | 'joints'
    | 'cuts'
    | 'ticks'
    | 'pushes'
    | 'loops'
    | 'clearances'
    | 'concessions'
    | 'trials'
    | 'reckonings'
    | 'evidence'
    | 'photos'
    | 'operations'
    | 'costs';
export type PracticeList = Schemas['PracticeList'];
export type PracticeBench = Schemas['PracticeBench'];
export type Debrief = Schemas['Debrief'];
export type Deed = Schemas['Deed'];
export type Lesson = Schemas['Lesson'];
