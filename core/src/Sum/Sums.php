<?php

declare(strict_types=1);

namespace Oldpart\Core\Sum;

use Oldpart\Core\Advice\BadInput;
use Oldpart\Core\Quantity\Fields;
use Oldpart\Core\Quantity\Unit;

/** The book of stand-alone sums. A new one is a class that implements Sum and a line here. */
final class Sums
{
    /** @return list<Sum> */
    public static function all(): array
    {
        return [
            new LengthSum(),
            new ReadingsSum(),
            new NominalSum(),
            new UnitVoteSum(),
            new CoolingSum(),
            new BoreLineSum(),
            new TiltShimSum(),
            new IsoFitSum(),
            new InchFitSum(),
            new SizeToMateSum(),
            new FitAtSum(),
            new AimSum(),
            new BearingSeatSum(),
            new PlainBearingSum(),
            new PressSum(),
            new ShrinkSum(),
            new GapAtSum(),
            new LoopSum(),
            new NextCutSum(),
            new TaperSum(),
            new TaperTrialSum(),
            new TaperByBallsSum(),
            new TaperByRollersSum(),
            new SplitBushSum(),
            new SineBarSum(),
            new KeywaySum(),
            new KeyCutSum(),
            new FlatsSum(),
            new ThreadIdentifySum(),
            new TapDrillSum(),
            new ThreeWireSum(),
            new ThreadStrengthSum(),
            new ScrewHoleSum(),
            new TightenSum(),
            new GearSpanSum(),
            new GearSum(),
            new SprocketSum(),
            new BeltPulleySum(),
            new BallGrooveSum(),
            new OilGrooveSum(),
            new FittingTurnSum(),
            new HoleCircleSum(),
            new FindCircleSum(),
            new CircleFromChordSum(),
            new DividingSum(),
            new PatternFitSum(),
            new BoltHoleSum(),
            new ClockingSum(),
            new OffsetSum(),
            new HalfTurnSum(),
            new BoreCentreSum(),
            new TwoCastingsSum(),
            new CageSum(),
            new RunOutSum(),
            new RunOutBudgetSum(),
            new BendSum(),
            new StraightenSum(),
            new BalanceSum(),
            new BalanceHoleSum(),
            new LatheReachSum(),
            new OverhangSum(),
            new SpeedSum(),
            new PourSum(),
            new CastingSum(),
            new CleanUpSum(),
            new EndsStockSum(),
            new ScaleSum(),
            new PictureSum(),
            new PlateSum(),
            new PortsSum(),
            new FittingReachSum(),
        ];
    }

    /** @throws BadInput when there is no such sum */
    public static function named(string $name): Sum
    {
        foreach (self::all() as $sum) {
            if ($sum->name() === $name) {
                return $sum;
            }
        }
        $known = implode(', ', array_map(static fn (Sum $s): string => $s->name(), self::all()));
        throw new BadInput('unknown-sum', 'name', "There is no sum called “{$name}”. There are: {$known}.");
    }

    /**
     * Worked out from what a person typed.
     *
     * @param  array<string, string>  $texts  by field
     * @return array<string, mixed> as `run`, with `read`: what each field was read as
     *
     * @throws BadInput in the words of the shop, naming the field
     */
    public static function runTyped(string $name, array $texts, Unit $unit): array
    {
        $sum = self::named($name);
        try {
            $in = (new Typed($sum, $unit))->read($texts);

            return [...self::run($name, $in), 'read' => $in];
        } catch (BadInput $bad) {
            throw new BadInput($bad->reason, $bad->field, Words::sentence($name, $bad));
        }
    }

    /**
     * @param  array<array-key, mixed>  $in
     * @return array<string, mixed>
     *
     * @throws BadInput
     */
    public static function run(string $name, array $in): array
    {
        $sum = self::named($name);
        $fields = new Fields($in);
        $fields->only($sum->takes());
        Words::check($name, $fields);

        $out = $sum->run($fields);
        $picture = isset($out['picture']) ? null : Pictures::of($name, $in, $out);

        return $picture === null ? $out : [...$out, 'picture' => $picture];
    }

    /** @return array{error: array{code: string, field: string, message: string}} */
    public static function error(BadInput $bad): array
    {
        return ['error' => ['code' => $bad->reason, 'field' => $bad->field, 'message' => $bad->getMessage()]];
    }
}
