<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Http\Resources\PlanResource;
use Diatherm\Cooking\Forecast;
use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Measure\InvalidInput;
use Diatherm\Plan\Plan;
use Diatherm\Roast\RoastFile;
use Diatherm\Roast\StageEnd;
use Diatherm\Safety\SafeMinimum;

/** Reads a plan as a food engineer and as a cook would, and says what is wrong with it. */
final class Judge
{
    /** Climbs beyond these are not seen. Common practice: 8 K, 4 after a fire of 125 °C or less. */
    private const MOST_CREDIT_K = 8.0;

    private const MOST_COOL_CREDIT_K = 4.0;

    /** Where words speak of what is not there: pattern, and when it may be said. */
    private const LIMBS = '/\b(legs|wings|shanks)\b/i';

    /**
     * @param  array<string, mixed>  $file
     * @return array{refused: string|null, harms: list<string>, faults: list<string>, plan: Plan|null} harms can make someone
     *     ill; faults are anything else
     */
    public static function of(array $file, \DateTimeImmutable $now): array
    {
        try {
            $plan = Plan::of(RoastFile::read($file), $now);
        } catch (InvalidInput $wrong) {
            return [
                'refused' => sayRefusal($wrong),
                'harms' => [],
                'faults' => [],
                'plan' => null,
            ];
        }
        $answer = (new PlanResource($plan))->toArray();
        $harms = $faults = [];
        foreach ($plan->dishes as $i => $planned) {
            $forecast = $planned->forecast;
            array_push($harms, ...self::harms($forecast, $answer['dishes'][$i]));
            array_push($faults, ...self::disorder($plan, $i, $forecast));
        }
        array_push($faults, ...self::words($plan), ...self::litTwice($plan), ...self::burnsAnother($plan), ...self::notFinite($answer));

        return ['refused' => null, 'harms' => $harms, 'faults' => $faults, 'plan' => $plan];
    }

    /**
     * @param  array<string, mixed>  $shown
     * @return list<string>
     */
    private static function harms(Forecast $forecast, array $shown): array
    {
        $dish = $forecast->dish;
        $harms = [];
        $class = $dish->safetyClass();
        $credit = $dish->targetC - $forecast->pullC;
        $pulls = $dish->lastStage()->end === StageEnd::Pull;
        $cool = $dish->lastStage()->cookerC <= 125.0;
        if ($pulls && $credit > ($cool ? self::MOST_COOL_CREDIT_K : self::MOST_CREDIT_K) + 0.01) {
            $harms[] = sprintf('credits %.1f K', $credit);
        }
        $doubtful = in_array($class, ['poultry', 'stuffing', 'ground'], true) || $dish->isBuried();
        if ($pulls && $doubtful && $dish->coast !== true && $credit > 0.01) {
            $harms[] = sprintf('credits %.1f K to %s', $credit, $class);
        }
        if ($doubtful && $dish->isBuried() && $credit > 0.01) {
            $harms[] = 'credits a climb to what nobody sees';
        }
        if (! $dish->isBuried() && $forecast->peakC - $forecast->pullC > self::MOST_CREDIT_K + 0.01) {
            $harms[] = sprintf('shows a climb of %.1f K', $forecast->peakC - $forecast->pullC);
        }
        $said = array_column($shown['warnings'], 'id');
        $safe = SafeMinimum::of($class);
        if ($safe->coreC !== null) {
            $short = max($forecast->pullC, $pulls ? $forecast->atCarving->hottestC : $forecast->peakC) < $safe->coreC - 0.3;
            if ($short && ! in_array('below_safe_minimum', $said, true)) {
                $harms[] = sprintf('is short of %.0f °C and does not say so', $safe->coreC);
            }
            if ($dish->leastRestMinutes() < $safe->holdMinutes) {
                $harms[] = 'is carved before the rest that belongs to its minimum';
            }
        }
        $coolest = min(array_map(fn ($stage): float => $stage->cooker->isRest() ? INF : $stage->cookerC, $dish->stages));
        if (($dish->cut->kind === 'poultry' || $dish->isStuffed()) && $coolest < 160.0 && ! in_array('cool_for_poultry', $said, true)) {
            $harms[] = 'roasts poultry or stuffing cool without a word';
        }
        if ($dish->isStuffed() && $coolest < 130.0) {
            $harms[] = 'smokes stuffing';
        }
        if ($dish->isBuried() && $forecast->cookMinutes->likely < 60.0 * $dish->massKg * $dish->pieces - 0.1) {
            $harms[] = 'digs a pot up before its hour a kilogram';
        }

        return $harms;
    }

    /** @return list<string> */
    private static function disorder(Plan $plan, int $number, Forecast $forecast): array
    {
        $faults = [];
        $cook = $forecast->cookMinutes;
        if (! ($cook->low <= $cook->likely && $cook->likely <= $cook->high && $cook->low > 0.0)) {
            $faults[] = 'its band is out of order';
        }
        $at = [];
        foreach ($plan->runSheet->entries as $entry) {
            if ($entry->dish === $number) {
                $at[$entry->act->value] ??= $entry->at->getTimestamp();
            }
        }
        $before = null;
        foreach ([Act::Light, Act::On, Act::Pull, Act::Carve] as $act) {
            $time = $at[$act->value] ?? null;
            if ($time === null) {
                continue;
            }
            if ($before !== null && $time < $before) {
                $faults[] = "its {$act->value} comes too early";
            }
            $before = $time;
        }
        foreach ([Act::On, Act::Pull, Act::Carve] as $act) {
            if (! isset($at[$act->value])) {
                $faults[] = "it has no {$act->value}";
            }
        }
        if ($before !== null && $before > $plan->roast->serveAt->getTimestamp()) {
            $faults[] = 'it is carved after the table';
        }
        $ids = array_map(fn (Entry $entry): string => $entry->id->text(), $plan->runSheet->entries);
        if (count($ids) !== count(array_unique($ids))) {
            $faults[] = 'an entry has the id of another';
        }
        $pull = array_values(
            array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->act === Act::Pull && $entry->dish === $number),
        )[0] ?? null;
        if ($pull !== null && ! $forecast->dish->isBuried() && preg_match('/(\d+(?:\.\d+)?) °C in the core/', said($pull->detail), $found) === 1 && abs((float) $found[1] - $forecast->pullC) > 0.5) {
            $faults[] = 'the run sheet and the plan disagree about the pull';
        }

        return $faults;
    }

    /** @return list<string> what a cook would stumble over */
    private static function words(Plan $plan): array
    {
        $faults = [];
        foreach ($plan->runSheet->entries as $entry) {
            $said = said($entry->title).': '.said($entry->detail);
            $dish = $entry->dish === null ? null : $plan->roast->dishes[$entry->dish];
            $cooker = $dish?->stages[0]->cooker;
            $isRig = $entry->act === Act::Rig;
            $wrong = match (true) {
                preg_match(
                    '/very 0 min|\bNAN\b|\bINF\b|[^\d.]0 kg|[^\d.]0 briquettes|\bof 0\b/',
                    $said,
                ) === 1 => 'says nothing with a figure',
                $isRig && $dish?->cut->kind !== 'poultry' && ! in_array(
                    $dish?->cut->id,
                    ['rabbit', 'lamb-whole', 'goat-whole', 'suckling-pig', 'lamb-leg'],
                    true,
                ) && preg_match(self::LIMBS, $said) === 1 => 'ties legs that are not there',
                $isRig && $dish?->cut->kind === 'roots' && str_contains($said, 'fork') => 'puts forks through roots',
                $isRig && $cooker !== null && ! $cooker->lid && $dish?->rig === null && preg_match('/\blid\b/', $said) === 1 => 'speaks of a lid where there is none',
                $entry->act === Act::FirstLook && $dish?->isBuried() === true => 'looks into a hole',
                default => null,
            };
            if ($wrong !== null) {
                $faults[] = "$wrong: $said";
            }
        }

        return $faults;
    }

    /** @return list<string> what is lit beside coals that lie there, for another use of a cooker that burns, or for nothing */
    private static function litTwice(Plan $plan): array
    {
        $faults = [];
        foreach ($plan->fires as $planned) {
            $fire = $planned->plan;
            $kind = $fire->stove->equipment->kind->id;
            $beginsAt = $fire->use->startsAt->getTimestamp();
            $isLit = array_filter($plan->runSheet->entries, fn (Entry $entry): bool => $entry->id->isOfFire($kind, 'light')) !== [];
            if ($fire->lent->from !== null && $fire->lent->topUpKg <= 0.0 && $isLit) {
                $faults[] = 'lights coals where it wants none';
            }
            foreach ($plan->fires as $other) {
                $lender = $other->plan;
                // What the lender is left with at the slow end of its work is there for sure, and most of it is of use.
                $lies = $lender->stove->equipment->kind->short === $fire->lent->from ? 0.5 * $lender->run->leftKg : 0.0;
                if ($lies > 0.0 && $fire->lent->topUpKg + $lies > $fire->run->startKg) {
                    $faults[] = 'lights new coals where there are some';
                }
                $otherAt = $other->plan->use->startsAt->getTimestamp();
                $isOneCooker = $other !== $planned && $plan->roast->isOneCooker($kind, $other->plan->stove->equipment->kind->id);
                $isMeanwhile = $otherAt >= $beginsAt && $otherAt < $beginsAt + 60.0 * $fire->use->untilMinutes;
                if ($isOneCooker && $isMeanwhile && $other->plan->lent->from === null && $plan->places === []) {
                    $faults[] = "lights the {$fire->stove->name} for two uses at once";
                }
            }
        }

        return $faults;
    }

    /** @return list<string> wood that is asked for where something else burns */
    private static function burnsAnother(Plan $plan): array
    {
        $faults = [];
        foreach ($plan->fires as $planned) {
            $stove = $planned->plan->stove;
            if ($stove->fuel === null || $stove->fuel->isWood()) {
                continue;
            }
            foreach ($plan->runSheet->entries as $entry) {
                if (($entry->id->parts[0] ?? '') === $stove->equipment->kind->id && str_contains(said($entry->title), 'of wood')) {
                    $faults[] = "asks for wood where {$stove->fuel->name} burns";
                }
            }
        }

        return $faults;
    }

    /** @return list<string> */
    private static function notFinite(mixed $value, string $path = 'plan'): array
    {
        if (is_array($value)) {
            return array_merge(
                ...array_map(
                    fn (int|string $key, mixed $inner): array => self::notFinite($inner, "$path.$key"),
                    array_keys($value),
                    array_values($value),
                ),
                ...[[]],
            );
        }

        return is_float($value) && ! is_finite($value) ? ["$path is not finite"] : [];
    }
}
