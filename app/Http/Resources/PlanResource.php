<?php

declare(strict_types=1);

namespace App\Http\Resources;

use Diatherm\Cooker\CookerShed;
use Diatherm\Cooking\DripPan;
use Diatherm\Cooking\Forecast;
use Diatherm\Cooking\PartForecast;
use Diatherm\Day\Entry;
use Diatherm\Day\KitItem;
use Diatherm\Day\Purchase;
use Diatherm\Day\SideTimes;
use Diatherm\Day\Wait;
use Diatherm\Heat\Resolution;
use Diatherm\Heat\Trace;
use Diatherm\Measure\Input;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Spread;
use Diatherm\Measure\Working;
use Diatherm\Obstacles\Obstacle;
use Diatherm\Obstacles\WayOut;
use Diatherm\Plan\Explanation;
use Diatherm\Plan\Plan;
use Diatherm\Plan\PlannedDish;
use Diatherm\Roast\RoastFile;
use Diatherm\Safety\Caution;
use Diatherm\Safety\Keeping;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * A plan as JSON: the same for the web and for the command line.
 *
 * @property-read Plan $resource
 */
final class PlanResource extends JsonResource
{
    private const CURVE_POINTS = 110;

    private const SECTION_FRAMES = 60;

    private const PART_POINTS = 40;

    /**
     * @param  bool  $fires  whether the fires are told in full; a list of roasts does without
     * @param  list<Obstacle>  $obstacles  before it is kept; none of a roast that was begun
     */
    public function __construct(Plan $plan, private readonly bool $fires = true, private readonly array $obstacles = [])
    {
        parent::__construct($plan);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $plan = $this->resource;
        [$hungry, $modest] = $plan->feeds;

        return [
            'serve_at' => self::time($plan->roast->serveAt),
            'time_zone' => $plan->roast->zone() ?? $plan->roast->serveAt->format('P'),
            'ready_at' => self::time($plan->runSheet->readyAt),
            'earliest_serve_at' => self::time($plan->runSheet->earliestServeAt),
            'too_late' => $plan->runSheet->isTooLate(),
            'people' => $plan->roast->people,
            'without_meat' => $plan->roast->withoutMeat,
            'hands' => $plan->roast->hands,
            'table_feeds' => ['least' => $hungry, 'most' => $modest],
            'air_c' => $plan->roast->airC,
            'wind_ms' => $plan->roast->windMs,
            'dishes' => array_map(self::dish(...), $plan->dishes, $plan->waits),
            'fires' => $this->fires ? array_map(FireResource::of(...), $plan->fires) : [],
            'run_sheet' => array_map(self::entry(...), $plan->runSheet->entries),
            'sides' => array_map(self::side(...), $plan->runSheet->sides),
            'kit' => array_map(
                fn (KitItem $item): array => [
                    'id' => 'kit.'.$item->id,
                    'name' => $item->name,
                    'why' => $item->why,
                    'needed_by' => $item->neededBy === null ? null : self::time($item->neededBy),
                ],
                $plan->kit,
            ),
            'obstacles' => array_map(
                fn (Obstacle $one): array => [
                    'id' => $one->id,
                    'dish' => $one->dish,
                    'words' => $one->words,
                    'ways_out' => array_map(
                        fn (WayOut $way): array => ['words' => $way->words, 'file' => RoastFile::write($way->roast)], $one->waysOut,
                    ),
                    'cooker' => $one->cooker,
                ],
                $this->obstacles,
            ),
            'shopping' => array_map(
                fn (Purchase $one): array => ['aisle' => $one->aisleInWords(), 'what' => $one->what, 'amount' => $one->amount],
                $plan->shopping,
            ),
            'keeping' => array_map(
                fn (Keeping $rule): array => ['when' => $rule->when, 'then' => $rule->then, 'source' => $rule->source->inWords()],
                $plan->keeping,
            ),
        ];
    }

    /** @return array<string, mixed> what is drawn of one dish: its core curve with band, and its section through time */
    public static function pictures(Forecast $forecast): array
    {
        $pull = $forecast->cookMinutes;

        return [
            'curve' => self::curve($forecast->trace),
            // The band is the likely curve, run at the pace of the slow and the quick cook.
            'band' => array_map(fn (float $minutes): array => [
                'minutes' => round($minutes, 1),
                'low_c' => round($forecast->trace->coreAt(60.0 * min($pull->likely, $minutes * $pull->likely / $pull->high)), 2),
                'high_c' => round($forecast->trace->coreAt(60.0 * min($pull->likely, $minutes * $pull->likely / $pull->low)), 2),
            ], range(0.0, $pull->high, max(0.5, $pull->high / 60.0))),
            'section' => self::section($forecast->trace),
        ];
    }

    /** @return array<string, list<float>> */
    public static function curve(Trace $trace): array
    {
        $curve = ['minutes' => [], 'core_c' => [], 'surface_c' => [], 'air_c' => []];
        foreach (self::evenly($trace, self::CURVE_POINTS) as $i) {
            $curve['minutes'][] = round($trace->seconds[$i] / 60.0, 2);
            $curve['core_c'][] = round($trace->coreC[$i], 2);
            $curve['surface_c'][] = round($trace->surfaceC[$i], 1);
            $curve['air_c'][] = round($trace->airC[$i], 1);
        }

        return $curve;
    }

    /** @return array<string, mixed> temperatures from the centre outwards, the surface last */
    public static function section(Trace $trace): array
    {
        $section = [
            'positions' => [...array_map(fn (float $x): float => round($x, 4), Resolution::fine()->positions()), 1.0],
            'minutes' => [],
            'celsius' => [],
        ];
        foreach (self::evenly($trace, self::SECTION_FRAMES) as $i) {
            $section['minutes'][] = round($trace->seconds[$i] / 60.0, 2);
            $section['celsius'][] = [
                ...array_map(fn (float $c): float => round($c, 1), $trace->profilesC[$i]),
                round($trace->surfaceC[$i], 1),
            ];
        }

        return $section;
    }

    public static function time(\DateTimeInterface $time): string
    {
        return $time->format(\DateTimeInterface::ATOM);
    }

    /** A temperature, rounded as a sentence's quantities are, so that the screen rounds both to the same degree. */
    public static function celsius(float $celsius): ?float
    {
        return Quantity::celsius($celsius)->jsonSerialize()['value'];
    }

    /** @return array{low: float, likely: float, high: float} */
    public static function spread(Spread $spread, int $digits = 1): array
    {
        return [
            'low' => round($spread->low, $digits),
            'likely' => round($spread->likely, $digits),
            'high' => round($spread->high, $digits),
        ];
    }

    /** @return array{length_cm: float, width_cm: float, water_l: float}|null where something drips on coals or a floor */
    private static function dripPan(?DripPan $pan): ?array
    {
        return $pan === null
            ? null
            : ['length_cm' => round(100.0 * $pan->lengthM), 'width_cm' => round(100.0 * $pan->widthM), 'water_l' => round($pan->waterL, 1)];
    }

    /**
     * @param  list<Caution>  $cautions
     * @return list<array{id: string, words: Message, source: Message, fatal: bool}>
     */
    public static function warnings(array $cautions): array
    {
        return array_map(
            fn (Caution $caution): array => [
                'id' => $caution->id,
                'words' => $caution->words,
                'source' => $caution->source->inWords(),
                'fatal' => $caution->isFatal,
            ],
            $cautions,
        );
    }

    /** @return array<string, mixed> */
    private static function side(SideTimes $times): array
    {
        return [
            'side' => $times->dish->side->id,
            'name' => $times->dish->name,
            'ready_at' => self::time($times->readyAt),
            'on_at' => self::time($times->onAt),
            'off_at' => self::time($times->offAt),
            'done_at' => self::time($times->doneAt),
            'kept_too_long' => $times->isKeptTooLong(),
            'cooker' => $times->cooker,
            'cooker_c' => $times->cookerC,
        ];
    }

    /**
     * @param  list<Working>  $workings
     * @return list<array<string, mixed>>
     */
    public static function workings(array $workings): array
    {
        return array_map(fn (Working $working): array => [
            'of' => $working->of,
            'rule' => $working->rule,
            'inputs' => array_map(fn (Input $input): array => ['label' => $input->label, 'value' => $input->figure], $working->inputs),
            'source' => $working->source->inWords(),
        ], $workings);
    }

    /** @return array<string, mixed> */
    private static function dish(PlannedDish $planned, Wait $wait): array
    {
        $forecast = $planned->forecast;
        $dish = $forecast->dish;
        $cut = $dish->cut;
        [$least, $most] = $cut->feeds($dish->massKg * $dish->pieces);
        $shape = $dish->shape();
        $starts = $forecast->stageStartMinutes;

        return [
            'name' => $dish->name,
            'cut' => $cut->id,
            'kind' => $cut->kind,
            'target_c' => $dish->targetC,
            'doneness' => $cut->nameOf($dish->targetC),
            'safe_c' => $dish->safeMinimum()->coreC,
            'cook_minutes' => self::spread($forecast->cookMinutes),
            'rule_minutes' => $forecast->rule === null ? null : round($forecast->rule->minutes(), 1),
            'rule' => $forecast->rule === null ? null : [
                'least_minutes' => round($forecast->rule->leastMinutes, 1),
                'most_minutes' => round($forecast->rule->mostMinutes, 1),
                'words' => $forecast->rule->words(),
                'fails' => $forecast->rule->fails(),
            ],
            'pull_c' => self::celsius($forecast->pullC),
            'peak_c' => self::celsius($forecast->peakC),
            'hottest_c' => self::celsius($forecast->hottestC),
            'credit_k' => round(max(0.0, $dish->targetC - $forecast->pullC), 1),
            'hot_minutes' => is_finite($forecast->hotMinutes) ? round($forecast->hotMinutes, 1) : null,
            'peak_minutes' => round($forecast->peakMinutes, 1),
            'under_60_minutes' => is_finite($forecast->under60Minutes) ? round($forecast->under60Minutes, 1) : null,
            'first_look_minutes' => round($forecast->firstLookMinutes, 1),
            'lethality_log10' => $forecast->lethalityLog10 === null ? null : round($forecast->lethalityLog10, 2),
            'lid_lift_minutes' => $forecast->liftCostMinutes === null ? null : round($forecast->liftCostMinutes, 1),
            'temper_saves_minutes' => round($forecast->temperSavesMinutes, 1),
            'temper_minutes' => is_finite($forecast->tempering->minutes) ? round($forecast->tempering->minutes) : null,
            'tender_share' => $forecast->tenderShare === null ? null : round($forecast->tenderShare, 2),
            'rest_minutes' => $dish->leastRestMinutes(),
            'plate_c' => self::celsius($wait->plateC()),
            'total_kg' => round($dish->massKg * $dish->pieces, 3),
            'feeds' => ['least' => $least, 'most' => $most],
            'shape' => ['half_thickness_cm' => round(100.0 * $shape->halfThicknessM, 2), 'exponent' => round($shape->exponent, 2)],
            'usual_thickness_cm' => round(100.0 * $cut->shape->usualThicknessM($dish->massKg), 1),
            'stages' => array_map(fn (int $i): array => [
                'cooker' => $dish->stages[$i]->cooker->id,
                'cooker_name' => CookerShed::kind($dish->stages[$i]->cooker->id)->short,
                'cooker_c' => $dish->stages[$i]->cookerC,
                'hand_s' => $dish->stages[$i]->handS() === null ? null : round($dish->stages[$i]->handS(), 1),
                'from_minutes' => round($starts[$i], 1),
                'to_minutes' => round($starts[$i + 1] ?? $forecast->cookMinutes->likely, 1),
            ], array_keys($dish->stages)),
            'rig' => RigResource::of($forecast),
            'drip_pan' => self::dripPan($planned->dripPan),
            'parts' => array_map(fn (PartForecast $part): array => [
                'id' => $part->part->id,
                'name' => $part->part->name,
                'mass_kg' => round($part->massKg, 2),
                'half_thickness_cm' => round(100.0 * $part->halfThicknessM, 1),
                'minutes_to_target' => $part->minutesToTarget === null ? null : round($part->minutesToTarget),
                'at_pull_c' => self::celsius($part->atPullC),
                'decides' => $part->decides,
                'from' => $part->part->from,
                'to' => $part->part->to,
                'core_c' => array_map(
                    fn (int $i): float => round($part->trace->coreAt(60.0 * $forecast->cookMinutes->likely * $i / self::PART_POINTS), 1),
                    range(0, self::PART_POINTS),
                ),
            ], $planned->parts),
            'suggested_size_cm' => array_map(fn (float $m): float => round(100.0 * $m, 1), $cut->shape->usualSizeM($dish->massKg)),
            'warnings' => self::warnings($forecast->cautions),
            'workings' => self::workings([...$planned->workings, Explanation::plate($wait)]),
        ];
    }

    /** @return array<string, mixed> */
    public static function entry(Entry $entry): array
    {
        return [
            'id' => $entry->id->text(),
            'parts' => array_map(strval(...), $entry->id->parts),
            'dish' => $entry->dish,
            'act' => $entry->act->value,
            'at' => self::time($entry->at),
            'title' => $entry->title,
            'detail' => $entry->detail,
            'earliest' => $entry->earliest === null ? null : self::time($entry->earliest),
            'latest' => $entry->latest === null ? null : self::time($entry->latest),
            'until' => $entry->until === null ? null : self::time($entry->until),
            'done' => $entry->done,
            'late' => $entry->late,
            'minutes' => round($entry->work->minutes ?? 0.0, 1),
            'place' => $entry->work?->station->value,
            'clash' => $entry->clash,
        ];
    }

    /** @return list<int> numbers of at most $count records, the last included */
    private static function evenly(Trace $trace, int $count): array
    {
        $end = $trace->endS();
        $numbers = [];
        for ($k = 0; $k <= $count; $k++) {
            $numbers[$trace->recordAt($end * $k / $count)] = true;
        }

        return array_keys($numbers);
    }
}
