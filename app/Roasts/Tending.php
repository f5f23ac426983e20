<?php

declare(strict_types=1);

namespace App\Roasts;

use Carbon\CarbonImmutable;
use Diatherm\Cooker\Settings;
use Diatherm\Day\Act;
use Diatherm\Live\AdviceAct;
use Diatherm\Measure\Message;
use Diatherm\Roast\Stage;
use Diatherm\Tending\Correction;
use Diatherm\Tending\DueRefuel;
use Diatherm\Tending\FirePlan;
use Diatherm\Tending\Objection;
use Diatherm\Ways\Standing;

/** One fire that burns now: how it stands, and the one thing worth doing to it. */
final readonly class Tending
{
    /** A refuel that comes within so long counts as due when the cooker falls. */
    private const DUE_MINUTES = 10;

    /** @param  list<array{float, float}>  $readings  minutes from now and °C */
    private function __construct(
        public FirePlan $fire,
        public Settings $settings,
        public array $readings,
        public float $targetC,
        public ?Correction $correction,
    ) {
    }

    /** @return list<self> one for each fire with a dish on it now, or soon */
    public static function all(Day $day, CarbonImmutable $now): array
    {
        $standing = Prospect::standingOf($day, $now);
        $tended = [];
        foreach ($day->plan->fires as $planned) {
            $fire = $planned->plan;
            $wanting = array_filter($fire->use->dishes, fn (int $dish): bool => self::isWanted($standing, $fire, $dish));
            if ($wanting !== [] && ! $fire->use->buried) {
                $tended[] = self::one($day, $fire, $now);
            }
        }

        return $tended;
    }

    /** Whether a dish is on it, or comes to it from another cooker while it is lit or turned for it; not once it has left it for good. */
    private static function isWanted(Standing $standing, FirePlan $fire, int $dish): bool
    {
        if (! $standing->isOn($dish)) {
            return false;
        }
        [$step] = $standing->step($dish);
        $isIts = array_map(fn (Stage $stage): bool => $fire->use->serves($stage->cooker->id), $standing->dish($dish)->stages);
        $wasOn = in_array(true, array_slice($isIts, 0, $step + 1), true);
        $isToCome = in_array(true, array_slice($isIts, $step), true);
        $isLit = $standing->now->getTimestamp() >= $fire->use->startsAt->getTimestamp() + 60.0 * $fire->lightMinutes();

        return $isToCome && ($wasOn || $isLit);
    }

    private static function one(Day $day, FirePlan $fire, CarbonImmutable $now): self
    {
        $kind = $fire->stove->equipment->kind->id;
        $step = $fire->stepAt($now);
        [$settings, $setAt] = Lessons::setAt($day, $fire, $now);
        $readings = $day->diary->cookerReadings($kind);
        $changed = $setAt === null ? INF : $setAt->diffInSeconds($now) / 60.0;

        return new self(
            $fire,
            $settings,
            $readings,
            $step->targetC,
            Correction::of(
                $fire->stove->curve,
                $fire->stove->weather,
                $step->targetC,
                $settings,
                $day->diary->cookerReadings($kind, fresh: true),
                $changed,
                self::refuelDue($day, $kind, $now),
                self::objection($day, $fire),
            ),
        );
    }

    /** Of the first dish on this fire whose readings say that it is too cool. */
    private static function objection(Day $day, FirePlan $fire): ?Objection
    {
        foreach ($fire->use->dishes as $dish) {
            $advice = ($day->live[$dish] ?? null)?->advice;
            if ($advice !== null && in_array($advice->act, [AdviceAct::ReadCooker, AdviceAct::Hotter], true)) {
                return new Objection($advice->words, $advice->why);
            }
        }

        return null;
    }

    private static function refuelDue(Day $day, string $kind, CarbonImmutable $now): ?DueRefuel
    {
        foreach ($day->plan->runSheet->entries as $entry) {
            if ($entry->act === Act::Fire && ! $entry->done && $entry->id->isOfFire(
                $kind,
                'refuel',
            ) && $entry->at <= $now->addMinutes(self::DUE_MINUTES)) {
                return new DueRefuel(
                    Message::of('correction.now', task: $entry->title), ($entry->at->getTimestamp() - $now->getTimestamp()) / 60.0,
                );
            }
        }

        return null;
    }
}
