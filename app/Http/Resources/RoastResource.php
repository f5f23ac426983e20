<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Device;
use App\Models\Event;
use App\Models\EventKind;
use App\Models\Reading;
use App\Models\ReadingPlace;
use App\Models\Roast;
use App\Roasts\Day;
use App\Roasts\Prospect;
use App\Roasts\Review;
use App\Roasts\Tending;
use App\Roasts\Trail;
use Carbon\CarbonImmutable;
use Diatherm\Cooker\Settings;
use Diatherm\Fire\HandTest;
use Diatherm\Live\Finding;
use Diatherm\Live\LiveExplanation;
use Diatherm\Live\LiveForecast;
use Diatherm\Live\ProbeMap;
use Diatherm\Live\ReadingLimits;
use Diatherm\Live\Spot;
use Diatherm\Live\Verdict;
use Diatherm\Roast\Dish;
use Diatherm\Roast\Stage;
use Diatherm\Ways\AheadOfTime;
use Diatherm\Ways\BehindTime;
use Diatherm\Ways\Stalled;
use Diatherm\Ways\Turn;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;

/**
 * One roast at one moment: inputs, plan, what was logged and what it means.
 *
 * @property-read Day $resource
 */
final class RoastResource extends JsonResource
{
    /** Two taps within a second keep their order. */
    private const TO_THE_MILLISECOND = 'Y-m-d\TH:i:s.vP';

    private const AHEAD_EVERY_MINUTES = 2;

    /** Three hours: a screen that cannot reach the kitchen moves on along them. */
    private const AHEAD_STEPS = 90;

    public function __construct(Day $day, private readonly bool $whole = true)
    {
        parent::__construct($day);
    }

    /** @return array<string, mixed> */
    public function toArray(?Request $request = null): array
    {
        $day = $this->resource;
        $stored = $day->stored;
        $plan = (new PlanResource($day->plan, $this->whole, $this->whole ? $day->obstacles() : []))->toArray();
        /** @var list<array<string, mixed>> $dishes */
        $dishes = $plan['dishes'];
        foreach ($dishes as $i => $dish) {
            $dishes[$i] = $this->planned($i) + $dish + $this->followed($i);
        }

        return [
            'id' => $stored->id,
            'name' => $stored->name,
            'status' => $day->status(),
            'trouble' => null,
            'now' => PlanResource::time(CarbonImmutable::now()->setTimezone($stored->time_zone)),
            'file' => $stored->inputs,
            'plan' => ['dishes' => $dishes] + $plan,
            'turn' => $this->turn(),
            'tending' => array_map(self::tended(...), Tending::all($day, CarbonImmutable::now())),
        ] + self::written($stored, $this->whole) + ($this->whole ? $this->log() : []);
    }

    /**
     * What is told as it was written down, and changes nothing that is worked out.
     *
     * @return array<string, mixed>
     */
    public static function written(Roast $stored, bool $whole): array
    {
        return [
            'edition' => $stored->edition()->mark,
            'note' => $stored->debrief_note,
            'helped' => $stored->hands_key !== null,
        ] + ($whole ? ['events' => self::events($stored)] : []);
    }

    /** @return list<array<string, mixed>> */
    private static function events(Roast $stored): array
    {
        return array_values($stored->events->map(fn (Event $event): array => [
            'id' => $event->client_id,
            'dish' => $event->dish,
            'at' => $event->at->setTimezone($stored->time_zone)->format(self::TO_THE_MILLISECOND),
            'kind' => $event->kind,
            'words' => $event->words ?? $event->kind->inWords(),
            'stage' => $event->stage,
            'entry' => $event->entry,
            'minutes' => $event->minutes,
            'note' => $event->note,
            'settings' => $event->settings === null ? null : (object) $event->settings,
            'celsius' => $event->celsius,
        ])->all());
    }

    /** Whether the table will not be ready at its hour, or long before it, so that another way is worth a look. */
    private function turn(): ?Turn
    {
        $standing = Prospect::standingOf($this->resource, CarbonImmutable::now());

        return match (true) {
            BehindTime::is($standing) => Turn::Behind,
            Stalled::is($standing) => Turn::Stalled,
            AheadOfTime::is($standing) => Turn::Ahead,
            default => null,
        };
    }

    /** @return array<string, mixed> in a list, a dish of the past is told as it was planned at the lighting */
    private function planned(int $dish): array
    {
        $lit = $this->whole || $this->resource->dishStatus($dish) !== 'carved'
            ? null
            : ($this->resource->stored->lighting['dishes'][$dish] ?? null);

        return $lit === null ? [] : ['cook_minutes' => $lit['cook_minutes'], 'pull_c' => $lit['pull_c']];
    }

    /** @return array<string, mixed> a fire that burns now */
    private static function tended(Tending $tending): array
    {
        $correction = $tending->correction;
        $values = fn (Settings $settings): object => (object) array_map(fn (float $value): float => round($value, 3), $settings->values);

        return [
            'cooker' => $tending->fire->stove->equipment->kind->id,
            'name' => $tending->fire->stove->name,
            'target_c' => $tending->targetC,
            'settings' => $values($tending->settings),
            'words' => $tending->fire->stove->curve->mechanism->inWords($tending->settings),
            'readings' => array_map(
                fn (array $one): array => ['minutes_ago' => round(-$one[0], 2), 'celsius' => $one[1]],
                $tending->readings,
            ),
            'correction' => $correction === null ? null : [
                'act' => $correction->act,
                'words' => $correction->words,
                'why' => $correction->why,
                'look_minutes' => round($correction->lookMinutes),
                'drift_k_h' => round($correction->driftKH, 1),
                'hand_s' => $tending->fire->stove->equipment->isOpen() ? [
                    'read' => round(HandTest::secondsOfWall($tending->readings[count($tending->readings) - 1][1]), 1),
                    'target' => round(HandTest::secondsOfWall($tending->targetC), 1),
                ] : null,
                'settings' => $correction->settings === null ? null : $values($correction->settings),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function followed(int $dish): array
    {
        $day = $this->resource;
        $live = $this->whole || $day->dishStatus($dish) !== 'carved' ? ($day->live[$dish] ?? null) : null;
        $on = $day->diary->onAt($dish);
        $time = fn (?CarbonImmutable $at): ?string => $at === null ? null : PlanResource::time($at->setTimezone($day->stored->time_zone));
        $facts = [
            'status' => $day->dishStatus($dish),
            'cooker_sense_c' => ($sense = $day->diary->sense($dish, CarbonImmutable::now())) === null
                ? null
                : ['low' => PlanResource::celsius($sense->lowC), 'high' => PlanResource::celsius($sense->highC)],
            'on_at' => $time($on),
            'pulled_at' => $time($day->diary->pulledAt($dish)),
            'trail' => $day->diary->pulledAt($dish) === null ? null : Trail::of($day, $dish),
            'carved_at' => $time($day->diary->carvedAt($dish)),
            'live' => $live === null || $on === null ? null : [
                'pull_at' => array_map(
                    fn (float $minutes): ?string => $time($on->addSeconds((int) round(60.0 * $minutes))),
                    PlanResource::spread($live->cookMinutes, 3),
                ),
                'cook_minutes' => PlanResource::spread($live->cookMinutes),
                'pull_c' => PlanResource::celsius($live->pullC),
                'core_now_c' => PlanResource::spread($live->coreNowC),
                'core_ahead' => $this->ahead($live, $on),
                'read' => $live->belief->newest === null
                    ? null
                    : [
                        'id' => $live->belief->newest->id,
                        // As the thermometer showed it, whatever is taken off for a colder place.
                        'celsius' => $this->shown($live->belief->newest->id) ?? $live->belief->newest->celsius,
                        'at' => $time($on->addMilliseconds((int) round(1000.0 * $live->belief->newest->seconds))),
                    ],
                'disagrees' => $live->belief->disagrees(),
                'gets_there' => $live->getsThere,
                'safe_at_carving' => $live->atCarving->safe,
                'end_c' => $live->cue === null ? null : PlanResource::celsius($live->cue->endC),
                'probe_map' => $this->probeMap($dish, $live, $on),
                'advice' => $live->advice === null
                    ? null
                    : [
                        'act' => $live->advice->act, 'words' => $live->advice->words, 'why' => $live->advice->why,
                        'minutes' => $live->advice->minutes,
                    ],
                'peak_c' => PlanResource::celsius($live->peakC),
                'peak_at' => $time($on->addSeconds((int) round(60.0 * $live->peakMinutes))),
                'under_60_at' => is_finite($live->under60Minutes) && $live->getsThere
                    ? $time($on->addSeconds((int) round(60.0 * $live->under60Minutes)))
                    : null,
                'out_until' => ($out = $live->outLimitS) === null ? null : $time($on->addSeconds((int) round($out))),
                'read_limits' => self::readLimits($day->plan->roast->dishes[$dish]),
                'counted' => count(array_filter($live->verdicts, fn (Verdict $verdict): bool => $verdict->isCounted())),
                'pace' => round($live->pace, 3),
                'fork' => $live->fork === null ? null : [
                    'as_set_at' => $time($on->addSeconds((int) round(60.0 * $live->fork->asSetMinutes->likely))),
                    'fallen_at' => ($fallen = $live->fork->fallenMinutes) === null ? null : $time($on->addSeconds((int) round(60.0 * $fallen->likely))),
                ],
                'put_right_at' => $live->putRightMinutes === null ? null : $time($on->addSeconds((int) round(60.0 * $live->putRightMinutes->likely))),
                'warnings' => PlanResource::warnings($live->cautions),
                'workings' => PlanResource::workings(LiveExplanation::of($live, $day->plan->roast->dishes[$dish])),
            ],
        ];

        return $this->whole ? $facts + [
            'pictures' => $live === null ? PlanResource::pictures($day->plan->forecast($dish)) : self::livePictures($live),
        ] : $facts;
    }

    /** @return array<string, float> what a screen needs to ask about an odd reading by itself */
    private static function readLimits(Dish $dish): array
    {
        return [
            'start_c' => $dish->startC,
            'slack_k' => ReadingLimits::SLACK_K,
            'fall_k_min' => ReadingLimits::FALL_K_MIN,
            'hottest_c' => ReadingLimits::HOTTEST_SURFACE_C,
            'rise_per_min' => round(ReadingLimits::of($dish)->risePerMin, 5),
        ];
    }

    /** @return array<string, mixed> the core from the moment on that it was worked out for, so that a screen moves along it by itself until there is something new */
    private function ahead(LiveForecast $live, CarbonImmutable $on): array
    {
        return [
            'from' => $on->addMilliseconds((int) round(1000.0 * $live->nowS))->setTimezone($this->resource->stored->time_zone)->format(self::TO_THE_MILLISECOND),
            'every_minutes' => self::AHEAD_EVERY_MINUTES,
            'celsius' => array_map(
                fn (int $step): float => round($live->trace->coreAt($live->nowS + 60.0 * self::AHEAD_EVERY_MINUTES * $step), 2),
                range(0, self::AHEAD_STEPS),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function livePictures(LiveForecast $live): array
    {
        return [
            'curve' => PlanResource::curve($live->trace),
            'band' => array_map(
                fn (array $point): array => [
                    'minutes' => round($point[0], 1),
                    'low_c' => round($point[1]->low, 2),
                    'high_c' => round($point[1]->high, 2),
                ],
                $live->band,
            ),
            'section' => PlanResource::section($live->trace),
        ];
    }

    /** @return array<string, mixed> */
    private function log(): array
    {
        $stored = $this->resource->stored;

        $changed = $stored->events->first(fn (Event $event): bool => $event->kind === EventKind::Way && $event->before !== null);

        return [
            // To be cooked again: what came between on that day does not come again.
            'as_planned' => $changed->before['inputs'] ?? $stored->inputs,
            'readings' => array_map($this->reading(...), $this->resource->diary->readings),
            'devices' => array_map(
                fn (Device $device): array => (new DeviceResource($device))->toArray(),
                self::devices($stored),
            ),
            'debrief' => [
                'planned_curves' => array_column($stored->lighting['dishes'] ?? [], 'curve'),
                'dishes' => array_map(fn (array $findings): array => array_map(fn (Finding $finding): array => [
                    'id' => $finding->id,
                    'what' => $finding->what,
                    'planned' => $finding->planned,
                    'fact' => $finding->fact,
                    'basis' => $finding->basis,
                    'lesson' => $finding->lesson,
                ], $findings), Review::of($this->resource)),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function probeMap(int $dish, LiveForecast $live, CarbonImmutable $on): array
    {
        $day = $this->resource;
        $cooked = $day->plan->roast->dishes[$dish];
        $kind = $day->diary->cookerAt($dish, CarbonImmutable::now());
        $movable = $kind !== null && array_filter(
            $cooked->stages,
            fn (Stage $stage): bool => $stage->cooker->id === $kind && $stage->cooker->isOpenFire(),
        ) !== [];
        $map = ProbeMap::of($cooked, $day->diary->readings($dish), $live->verdicts, $on->diffInSeconds(CarbonImmutable::now()), $movable);

        return [
            'spots' => array_map(self::spot(...), $map->spots),
            'pieces' => array_map(self::spot(...), $map->pieces),
            'unread' => $map->unread,
            'next' => self::spot($map->next),
            'uneven' => $map->uneven,
        ];
    }

    /** @return array<string, mixed> */
    private static function spot(Spot $spot): array
    {
        return [
            'place' => $spot->place,
            'piece' => $spot->piece,
            'words' => ReadingPlace::from($spot->place)->inWords(),
            'celsius' => $spot->celsius,
            'minutes_ago' => $spot->secondsAgo === null ? null : round($spot->secondsAgo / 60.0, 1),
            'decides' => $spot->decides,
        ];
    }

    private function shown(string $id): ?float
    {
        foreach ($this->resource->diary->readings as $reading) {
            if ($reading->client_id === $id) {
                return $reading->celsius;
            }
        }

        return null;
    }

    /** @return list<Device> */
    private static function devices(Roast $stored): array
    {
        /** @var list<Device> */
        return $stored->devices()->orderBy('name')->get()->all();
    }

    private function isOnOpenFire(int $dish): bool
    {
        $stages = ($this->resource->plan->roast->dishes[$dish] ?? null)->stages ?? [];

        return array_filter($stages, fn (Stage $stage): bool => $stage->cooker->isOpenFire()) !== [];
    }

    /** @return array<string, mixed> */
    private function reading(Reading $reading): array
    {
        $live = $this->resource->live[$reading->dish] ?? null;
        $verdict = $reading->place === ReadingPlace::Cooker ? (
            $this->resource->diary->isOdd($reading) ? Verdict::OddForTheCooker : Verdict::Counts
        ) : ($live->verdicts[$reading->client_id] ?? Verdict::NotOnTheHeat);

        return [
            'id' => $reading->client_id,
            'dish' => $reading->dish,
            'at' => $reading->at->setTimezone($this->resource->stored->time_zone)->format(self::TO_THE_MILLISECOND),
            'place' => $reading->place,
            'piece' => $reading->piece,
            'place_words' => $reading->place->inWords($reading->piece, $this->resource->stored->pieces($reading->dish)),
            'celsius' => $reading->celsius,
            'hand_s' => $reading->place === ReadingPlace::Cooker && $this->isOnOpenFire($reading->dish)
                ? round(HandTest::secondsOfWall($reading->celsius), 1)
                : null,
            'sure' => $reading->sure,
            'device' => $reading->device_id,
            'channel' => $reading->channel,
            'counts' => $verdict->isCounted(),
            'verdict' => $verdict->inWords(),
        ];
    }
}
