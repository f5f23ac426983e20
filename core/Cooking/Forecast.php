<?php

declare(strict_types=1);

namespace Diatherm\Cooking;

use Diatherm\Cooker\CookerShed;
use Diatherm\Food\Tenderness;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Spread;
use Diatherm\Rig\PotRig;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\AtCarving;
use Diatherm\Safety\Caution;
use Diatherm\Safety\Clocks;
use Diatherm\Safety\DangerAccount;
use Diatherm\Safety\DangerRule;

/** What the heat model expects of one dish, from the moment it goes on. Minutes and seconds count from there. */
final readonly class Forecast
{
    /** Nothing is asked of a core that has cooled below this, well under what is held hot, and it is looked at so often. */
    private const COOLED_C = 50.0;

    private const LOOKED_EVERY_S = 900.0;

    /** Records of its course that are kept: a line between two is off by less than a tenth of a kelvin. */
    private const RECORDS = 240;

    /** Of the way to the slow end, where the whole of it does not come to its core. */
    private const SLOWER_SHARES = [1.0, 0.5, 0.25];

    /** The lid lift whose price is told. */
    public const LIFT_MINUTES = 2.0;

    /**
     * @param  Spread  $cookMinutes  from on to the pull; a buried pot is planned by its slow end alone
     * @param  list<float>  $stageStartMinutes  likely
     * @param  float  $pullC  core at which it comes off
     * @param  float  $peakC  highest core from the pull on, as far as it is counted on; of a buried pot the likely one, far above its `pullC`
     * @param  float  $peakMinutes  when, likely
     * @param  float  $hottestC  of the whole cook: more than the peak where it cooled between two steps
     * @param  float  $under60Minutes  when the resting core is below 60 °C: at the pull where it never comes to that, INF when it has not
     *     been followed so far
     * @param  float  $hotMinutes  how long after the pull the core stays at 57 °C or more on an open board; 0 when it comes off cooler
     * @param  AtCarving  $atCarving  the slow end of the band, at the knife
     * @param  float|null  $lethalityLog10  gathered at the coldest point to the end of the least rest; null where no table applies
     * @param  float|null  $liftCostMinutes  what one two-minute lid lift half way adds; null where there is no lid
     * @param  float  $temperSavesMinutes  on the heat, against straight from the refrigerator
     * @param  Tempering  $tempering  out of the refrigerator beforehand
     * @param  DangerAccount  $danger  from out of the refrigerator to the carving, as planned
     * @param  list<Caution>  $cautions
     * @param  float|null  $tenderShare  of what a tough cut takes to pull apart, done by the end of the least rest; null for
     *     one that is not
     * @param  Trace  $trace  of the cook and the rest after it
     */
    private function __construct(
        public Dish $dish,
        public float $airC,
        public Spread $cookMinutes,
        public array $stageStartMinutes,
        public float $pullC,
        public float $peakC,
        public float $peakMinutes,
        public float $hottestC,
        public float $under60Minutes,
        public float $hotMinutes,
        public AtCarving $atCarving,
        public float $firstLookMinutes,
        public ?WeightRule $rule,
        public ?float $lethalityLog10,
        public ?float $liftCostMinutes,
        public Tempering $tempering,
        public float $temperSavesMinutes,
        public DangerAccount $danger,
        public array $cautions,
        public Trace $trace,
        public ?float $tenderShare,
    ) {
    }

    /**
     * @param  string  $path  of the dish in the input, for messages
     *
     * @throws InvalidInput when a stage cannot reach its core temperature
     */
    public static function of(Dish $dish, float $airC, string $path = 'dishes.0'): self
    {
        $slow = Cook::of($dish, $airC, Resolution::coarse(), Course::asPlanned(), Uncertainty::slowEnd($dish));
        $slow->body->record(false);
        $pullC = Coast::pullC($dish, $slow);
        $cook = Cook::of($dish, $airC, Resolution::fine(), Course::asPlanned());
        $trace = $cook->body->record();
        self::insist($cook->toPull($pullC), $dish, $path);
        [$spread, $lift, $saves] = self::spread($dish, $airC, $cook->body->coreC(), $cook->body->elapsedS());
        $slowTime = RunTime::of($slow, $pullC);
        $patience = self::patienceMinutes($dish, $spread, $slow, $slowTime);
        if ($patience !== null) {
            $spread = Spread::exactly($patience);
            $cook = Cook::of($dish, $airC, Resolution::fine(), new Course(pulledS: 60.0 * $patience));
            $trace = $cook->body->record();
            $cook->toPull($pullC);
        }
        $likely = $cook->body->elapsedS();
        $trace = self::rested($cook, $trace, $dish);
        $pulledC = $patience === null ? $trace->coreAt($likely) : $pullC;
        $peak = Coast::peak($trace, $likely);

        $slowOff = $slow->body->elapsedS();
        $slowTrace = self::rested($slow, $slow->body->recorded(), $dish, judged: true);
        $rest = 60.0 * $dish->leastRestMinutes();
        $safe = $dish->safeMinimum();
        $atCarving = AtCarving::of($safe, ...$slowTrace->upTo($slowOff + $rest));
        $lethality = $safe->lethality === null
            ? null
            : min((float) $atCarving->log10, $safe->lethality->gathered(...$trace->upTo($likely + $rest)));
        $tender = $dish->cut->tough ? Tenderness::share(...$trace->upTo($likely + $rest)) : null;
        $tempering = Tempering::of($dish, $airC);
        $chain = ColdChain::asPlanned($dish, $tempering->outMinutes());
        $danger = self::danger($dish, $airC, $chain, $slowTrace, $slow->stageStartsS, $slowOff)
            ->withRulesOf(self::danger($dish, $airC, $chain, $trace, $cook->stageStartsS, $likely), [DangerRule::Cooling]);
        $firstLook = $spread->likely * ($spread->low / max(0.01, $spread->likely)) ** (
            Uncertainty::DEVIATIONS_OF_ONE_IN_TWENTY / Uncertainty::DEVIATIONS
        );

        return new self(
            $dish,
            $airC,
            $spread,
            array_map(fn (float $s): float => $s / 60.0, $cook->stageStartsS),
            $pulledC,
            max($peak->celsius, $pulledC),
            $peak->seconds / 60.0,
            max($peak->celsius, $pulledC, ...$trace->coreC),
            Coast::underS($trace, $likely, Clocks::HOT_C) / 60.0,
            min(
                Coast::underS($trace, $likely, Clocks::HOLD_C) - $likely, Coast::underS($slowTrace, $slowOff, Clocks::HOLD_C) - $slowOff,
            ) / 60.0,
            $atCarving,
            $firstLook,
            WeightRule::for($dish),
            $lethality,
            self::hasLid($dish) && $patience === null ? $lift : null,
            $tempering,
            $tempering->minutes > 0.0 ? $saves : 0.0,
            $danger,
            Cautions::of(
                $dish,
                $atCarving,
                $danger,
                $tempering,
                ($slowTrace->reaches(Clocks::HOT_C) ?? INF) / 60.0,
                $slowTime === null ? $pullC : null,
                $tender,
            ),
            $trace->thinned(self::RECORDS, [...$cook->stageStartsS, $likely]),
            $tender,
        );
    }

    /**
     * The account of one course of the plan, to the end of its least rest. What comes off hot is kept hot by the sheet.
     *
     * @param  list<float>  $stageStartsS
     */
    private static function danger(Dish $dish, float $airC, ColdChain $chain, Trace $trace, array $stageStartsS, float $offS): DangerAccount
    {
        $isHot = Coast::peak($trace, $offS)->celsius >= Clocks::HOLD_C;
        $kept = $isHot ? new ColdChain($chain->outBeforeMinutes, $chain->rawHours, $offS) : $chain;

        return DangerAccount::of(
            $dish->hazard(),
            (new DangerHistory($dish, Course::asPlanned(), $kept, $airC, $stageStartsS, $offS))
                ->along($trace, $offS + 60.0 * $dish->leastRestMinutes()),
        );
    }

    /** How long it is known to stay at 57 °C or more after the pull: no longer than it was followed, however hot it still is then. */
    public function knownHotMinutes(): float
    {
        return min($this->hotMinutes, $this->trace->endS() / 60.0 - $this->cookMinutes->likely);
    }

    /** Through the least rest and on, shown no hotter than its climb is taken for. */
    private static function rested(Cook $cook, Trace $trace, Dish $dish, bool $judged = false): Trace
    {
        $off = $cook->body->elapsedS();
        $cook->rest(60.0 * $dish->leastRestMinutes());
        $after = $cook->body->elapsedS() + Coast::FOLLOWED_REST_S;
        do {
            $before = $cook->body->coreC();
            $cook->rest(self::LOOKED_EVERY_S);
            $cooled = $cook->body->coreC() < min($before, self::COOLED_C);
        } while (! $cooled && $cook->body->elapsedS() < $after - 1.0);

        return Coast::held($dish, $trace, $cook->stageStartsS, $off, $judged);
    }

    /**
     * How long a buried pot is left alone: the slow end of the model or of practice, whichever is later. Where a slow cook does not come
     * to its number, until it gets no hotter. Null where one can look.
     */
    private static function patienceMinutes(Dish $dish, Spread $spread, Cook $slow, ?RunTime $slowTime): ?float
    {
        $pit = $dish->bed !== null && $dish->rig instanceof PotRig && ! $dish->lastStage()->end->isTimed()
            ? $dish->rig->pit()
            : null;

        if ($pit === null) {
            return null;
        }
        $model = $slowTime === null
            ? Coast::peak($slow->body->recorded(), 0.0)->seconds / 60.0
            : max($spread->high, $slowTime->seconds / 60.0);

        return max($model, $pit->patienceMinutes($dish->massKg * $dish->pieces));
    }

    private static function hasLid(Dish $dish): bool
    {
        return in_array(true, array_map(fn (Stage $stage): bool => $stage->cooker->lid, $dish->stages), true);
    }

    /** @throws InvalidInput */
    private static function insist(?int $stuck, Dish $dish, string $path): void
    {
        if ($stuck !== null) {
            $stage = $dish->stages[$stuck];
            $boilsC = $stage->cooker->inside->boilingC();
            if (($stage->value ?? $dish->targetC) > $boilsC - 0.5) {
                throw InvalidInput::atField(
                    "$path.target_c",
                    Message::of('forecast.at_this_height_water_boils', boils: Quantity::celsius($boilsC)),
                );
            }
            if ($stage->end === StageEnd::Tender) {
                throw InvalidInput::atField(
                    "$path.stages.$stuck.cooker_c",
                    Message::of(
                        'forecast.at_it_does_not_get',
                        heat: $stage->heatInWords(),
                        longest: Quantity::hours(Cook::LONGEST_S / 3600),
                    ),
                );
            }
            $never = Message::of(
                'forecast.the_core_does_not_get',
                target: Quantity::celsius($stage->value ?? $dish->targetC),
                longest: Quantity::hours(Cook::LONGEST_S / 3600),
            );
            throw InvalidInput::atField(
                "$path.stages.$stuck.cooker_c",
                $stage->cooker->inside->exposesLike(CookerShed::kind($stage->cooker->id)->inside)
                ? Message::of('forecast.at_raise_the_cooker_or', heat: $stage->heatInWords(), never: $never)
                : Message::of('forecast.as_its_fire_is_laid', never: $never),
            );
        }
    }

    /**
     * The band from three uncertain inputs taken one at a time, and the price of a lid lift, all by coarse runs whose
     * ratio to a coarse middle run scales the fine one.
     *
     * @return array{Spread, float, float} minutes: the band, the price of a lift, what tempering saved
     */
    private static function spread(Dish $dish, float $airC, float $pullC, float $likelyS): array
    {
        $run = fn (Variation $as, ?Course $course = null): ?RunTime => RunTime::of(
            Cook::of($dish, $airC, Resolution::coarse(), $course ?? Course::asPlanned(), $as), $pullC,
        );
        $middle = $run(Variation::none());
        $likely = $likelyS / 60.0;
        $kind = log(1.0 + Uncertainty::kind($dish));
        if ($middle === null) {
            // The fine run gets there and the coarse one just does not: only what its kind leaves open is known.
            return [Spread::of($likely * exp(-$kind), $likely, $likely * exp($kind)), 0.0, 0.0];
        }
        $more = 1.0 + Uncertainty::transfer($dish);
        $thick = Uncertainty::thickness($dish);
        $cool = min(Uncertainty::START_K, $dish->startC + 1.0);
        $quicker = [
            $run(Variation::of($more)), $run(Variation::of(1.0, 1.0 - $thick)), $run(Variation::of(1.0, 1.0, Uncertainty::START_K)),
        ];
        $slower = [
            self::slowest($run, fn (float $share): Variation => Variation::of($more ** -$share)),
            self::slowest($run, fn (float $share): Variation => Variation::of(1.0, 1.0 + $share * $thick)),
            self::slowest($run, fn (float $share): Variation => Variation::of(1.0, 1.0, -$share * $cool)),
        ];
        $spread = Spread::of(
            $likely * exp(-hypot($kind, self::away($quicker, $middle))),
            $likely,
            $likely * exp(hypot($kind, self::away($slower, $middle))),
        );
        $lifted = $dish->lastStage()->end->isTimed() || ! self::hasLid($dish)
            ? null
            : $run(Variation::none(), Course::asPlanned()->withLift([0.5 * $middle->seconds, 60.0 * self::LIFT_MINUTES]));
        $lift = $lifted === null ? 0.0 : ($lifted->seconds - $middle->seconds) / 60.0;
        $cold = $dish->startC > Clocks::COLD_C ? $run(Variation::of(1.0, 1.0, Clocks::COLD_C - $dish->startC)) : null;
        $saves = $cold === null ? 0.0 : $likely * ($cold->seconds / $middle->seconds - 1.0);

        return [$spread, max(0.0, $lift), max(0.0, $saves)];
    }

    /**
     * The slow end of one input; where such a run does not come to its core, the slowest part of the way that does.
     *
     * @param  \Closure(Variation): ?RunTime  $run
     * @param  \Closure(float): Variation  $of  for a share of the way to the slow end
     */
    private static function slowest(\Closure $run, \Closure $of): ?RunTime
    {
        foreach (self::SLOWER_SHARES as $share) {
            $time = $run($of($share));
            if ($time !== null) {
                return $time;
            }
        }

        return null;
    }

    /**
     * How far runs with one input changed lie from the middle one, together: the root of the sum of squares of the logarithms.
     *
     * @param  list<RunTime|null>  $runs
     */
    private static function away(array $runs, RunTime $middle): float
    {
        $sum = 0.0;
        foreach (array_filter($runs) as $run) {
            $sum += $run->over($middle) ** 2;
        }

        return sqrt($sum);
    }
}
