<?php

declare(strict_types=1);

namespace App\Roasts;

use App\Models\Event;
use App\Models\Reading;
use App\Models\ReadingPlace;
use Carbon\CarbonImmutable;
use Diatherm\Cooker\Observation;
use Diatherm\Cooker\Settings;
use Diatherm\Tending\FirePlan;

/** What a roast taught about a cooker: its temperatures, each with how it was set and what it was like outside. */
final class Lessons
{
    /** Opened for so long, a lid still tells on what is read. */
    private const AFTER_LID_MINUTES = 15.0;

    /** @return array<string, Observation> settled ones, by id of the reading */
    public static function of(Day $day, FirePlan $fire): array
    {
        $kind = $fire->stove->equipment->kind->id;
        $pace = max(self::AFTER_LID_MINUTES, $fire->stove->curve->paceMinutes($fire->steps[0]->targetC, $fire->stove->weather));
        $lessons = [];
        foreach ($day->diary->readings as $reading) {
            if ($reading->place !== ReadingPlace::Cooker || $day->diary->isOdd($reading) || $day->diary->cookerAt(
                $reading->dish,
                $reading->at,
            ) !== $kind) {
                continue;
            }
            [$settings, $setAt] = self::setAt($day, $fire, $reading->at);
            $disturbed = max($setAt?->getTimestamp() ?? 0, self::lastLid($day, $reading->at)?->getTimestamp() ?? 0);
            if ($reading->at->getTimestamp() - $disturbed >= 60.0 * $pace) {
                $lessons[$reading->client_id] = Observation::of($settings, $fire->stove->weather, $reading->celsius, at: $reading->at);
            }
        }

        return $lessons;
    }

    /**
     * How a fire stood at a moment: as its last step had it, or as it was set by hand since.
     *
     * @return array{Settings, CarbonImmutable|null} and since when; null for as it was lit
     */
    public static function setAt(Day $day, FirePlan $fire, CarbonImmutable $moment): array
    {
        $step = $fire->stepAt($moment);
        $isFirst = $step === $fire->steps[0];
        $settings = $isFirst ? self::asLit($day, $fire) : $step->settings;
        $stepAt = $isFirst ? null : CarbonImmutable::instance($fire->use->startsAt)->addSeconds((int) round(60.0 * $step->fromMinutes));
        $set = $day->diary->lastSet($fire->stove->equipment->kind->id, $moment);
        if ($set === null || ($stepAt !== null && $set['at'] < $stepAt)) {
            return [$settings, $stepAt];
        }
        foreach ($fire->stove->curve->mechanism->controls() as $control) {
            $settings = $settings->withControl($control->id, $control->clamp($set['settings'][$control->id] ?? $settings->get($control->id)));
        }

        return [$settings, $set['at']];
    }

    /** As the plan had it when the fire was lit: what was learnt since has not moved anyone's hand. */
    private static function asLit(Day $day, FirePlan $fire): Settings
    {
        $settings = $fire->steps[0]->settings;
        foreach ($day->stored->lighting['settings'][$fire->stove->equipment->kind->id] ?? [] as $id => $value) {
            foreach ($fire->stove->curve->mechanism->controls() as $control) {
                $settings = $control->id === $id ? $settings->withControl($id, $control->clamp($value)) : $settings;
            }
        }

        return $settings;
    }

    private static function lastLid(Day $day, CarbonImmutable $before): ?CarbonImmutable
    {
        return $day->stored->events->last(
            fn (Event $event): bool => $event->kind->liftsLid() && $event->at <= $before,
        )?->at;
    }
}
