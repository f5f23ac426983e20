<?php

declare(strict_types=1);

namespace Diatherm\Tending;

use Diatherm\Cooker\CampOven;
use Diatherm\Cooker\Mechanism;
use Diatherm\Cooker\OpenFire;
use Diatherm\Cooker\OwnCurve;
use Diatherm\Cooker\Settings;
use Diatherm\Cooker\Thermostat;
use Diatherm\Cooker\Weather;
use Diatherm\Fire\HandTest;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\RobustLine;

/** What to change on a cooker now, by how much, and when to look again. */
final readonly class Correction
{
    /** Within this of the target nothing is touched, K. Common practice: a cooker wanders. */
    private const BAND_K = 8.0;

    /** A hand tells an open fire to about a second: so much at the heats that one roasts at, K of a black wall. Common practice. */
    private const HAND_K = 20.0;

    /** Readings so old no longer tell of now, minutes. */
    private const FRESH_MINUTES = 45.0;

    /** Scatter of a reading, and how fast a cooker may be thought to drift beforehand, K and K/min. Common practice. */
    private const SCATTER_K = 4.0;

    private const DRIFT_K_MIN = 0.6;

    private const MISSED_K = 2.0 * self::SCATTER_K;

    /** Two readings of a cooker that moves are taken for one of its states. Common practice. */
    private const AGREE_K = 20.0;

    /** What a drift will have made of it soon may be so many times the band before it is met. Common practice. */
    private const COMING = 1.25;

    /** It is looked no further ahead than this, minutes. */
    private const AHEAD_MINUTES = 15.0;

    /** One correction opens or closes by no more than this factor: what is still to come of the last one is not known. Common practice. */
    private const BOLDEST = 2.0;

    /** One that is left alone is looked at again after this, or when it will have drifted from about its target. */
    private const LOOK_STEADY = 20.0;

    private const LOOK_DRIFTING = 5.0;

    private const LOOK_LEAST = 10.0;

    private const LOOK_MOST = 45.0;

    /**
     * @param  Settings|null  $settings  as they should stand, for “set”
     * @param  float  $levelC  where it stands now, as the readings together have it
     * @param  float  $driftKH  which way, for each hour
     */
    private function __construct(
        public CorrectionAct $act,
        public ?Settings $settings,
        public Message $words,
        public Message $why,
        public float $lookMinutes,
        public float $levelC,
        public float $driftKH,
    ) {
    }

    /**
     * @param  list<array{float, float}>  $readings  minutes from now (none above 0) and °C, in order
     * @param  float  $changedMinutes  since the controls were last touched; INF for long ago
     * @param  DueRefuel|null  $refuel  due now or soon; null when none is
     * @param  Objection|null  $objection  of the meat, which outranks a reading of the cooker unless that is cold; null for none
     * @return self|null null when there is no reading to go by
     */
    public static function of(
        OwnCurve $curve,
        Weather $weather,
        float $targetC,
        Settings $settings,
        array $readings,
        float $changedMinutes = INF,
        ?DueRefuel $refuel = null,
        ?Objection $objection = null,
    ): ?self {
        $fresh = array_values(
            array_filter($readings, fn (array $one): bool => $one[0] >= -self::FRESH_MINUTES && $one[0] >= -$changedMinutes - 2.0),
        );
        if ($fresh === []) {
            return null;
        }
        $line = RobustLine::through(
            array_column($fresh, 0),
            array_column($fresh, 1),
            [$fresh[count($fresh) - 1][1], 0.0],
            [3.0 * self::SCATTER_K, self::DRIFT_K_MIN],
            self::SCATTER_K,
        );
        // Two readings that agree outrank a line that misses them, as when the coals fell in; one alone may be a lid that was off.
        [$readAt, $readC] = $fresh[count($fresh) - 1];
        $isMissed = abs($readC - $line->valueAt($readAt)) > self::MISSED_K;
        $before = $fresh[count($fresh) - 2] ?? null;
        $isAlone = $isMissed && $before !== null && abs($readC - $before[1]) > self::AGREE_K;
        $level = $isMissed ? $readC : $line->intercept;
        $pace = $curve->paceMinutes($targetC, $weather);
        // A drift that the readings do not bear out is taken for none.
        $drift = abs($line->slope) > 1.3 * sqrt($line->covariance[2]) ? $line->slope : 0.0;
        $answer = fn (
            CorrectionAct $act,
            Message $words,
            Message $why,
            float $look,
            ?Settings $to = null,
        ): self => new self($act, $to, $words, $why, $look, $level, 60.0 * $drift);
        $band = max(self::BAND_K, match (true) {
            $curve->mechanism instanceof Thermostat => $curve->mechanism->swingAtK($targetC),
            $curve->mechanism instanceof OpenFire => self::HAND_K,
            default => 0.0,
        });
        $off = $level - $targetC;
        $coming = $off + $drift * min(self::AHEAD_MINUTES, max(5.0, $pace));
        $colder = (abs($off) > $band ? $off : $coming) < 0.0;
        if ($isAlone && abs($off) > $band) {
            return $answer(
                CorrectionAct::Wait,
                Message::of('correction.read_it_again'),
                Message::of('correction.does_not_follow', read: self::heat($curve->mechanism, $readC)),
                self::LOOK_DRIFTING,
            );
        }
        $leaves = ($band - $off * ($drift <=> 0.0)) / max(1e-9, abs($drift));
        $again = max(self::LOOK_DRIFTING, min(self::LOOK_STEADY, round($leaves)));
        $isHeld = abs($off) <= $band && abs($coming) <= self::COMING * $band;
        if ($objection !== null && ($isHeld || ! $colder)) {
            return $answer(CorrectionAct::Wait, $objection->words, $objection->why, self::LOOK_DRIFTING);
        }
        if ($isHeld && $refuel !== null && $refuel->minutes <= 0.0) {
            return $answer(CorrectionAct::Fuel, $refuel->words, Message::of('correction.it_will_fall_without_it'), self::LOOK_STEADY);
        }
        if ($isHeld) {
            return $answer(
                CorrectionAct::Hold,
                Message::of('correction.leave'),
                $curve->mechanism instanceof OpenFire
                    ? Message::of('correction.it_stands_about_where')
                    : Message::of('correction.it_stands_within', band: Quantity::kelvin($band)),
                $again,
            );
        }
        $settles = min(max($pace, 4.0), self::LOOK_MOST);
        if ($changedMinutes < $settles && $drift * $off <= 0.0) {
            return $answer(
                CorrectionAct::Wait,
                Message::of('correction.wait_the_last_change'),
                Message::of('correction.this_cooker_takes_about', settles: Quantity::minutes($settles)),
                max(5.0, round($settles - $changedMinutes)),
            );
        }
        $look = min(self::LOOK_MOST, max(self::LOOK_LEAST, round(1.5 * $pace)));
        if ($refuel !== null && $coming < 0.0) {
            return $answer(CorrectionAct::Fuel, $refuel->words, Message::of('correction.it_falls_because_the_coals'), max($look, 15.0));
        }

        $heading = $level + $drift * min($pace, self::AHEAD_MINUTES);

        return self::change($curve, $weather, $targetC, $settings, $heading, $colder, $look, $again, $answer);
    }

    /**
     * @param  float  $headingC  where these settings bring it, as far as it can be told
     * @param  float  $look  minutes until what was changed shows
     * @param  float  $again  minutes until one that was left alone is looked at
     * @param  bool  $colder  than it should be: now, or before long when it is there now
     * @param  \Closure(CorrectionAct, Message, Message, float, ?Settings=): self  $answer
     */
    private static function change(
        OwnCurve $curve,
        Weather $weather,
        float $targetC,
        Settings $settings,
        float $headingC,
        bool $colder,
        float $look,
        float $again,
        \Closure $answer,
    ): self {
        $mechanism = $curve->mechanism;
        $controls = $mechanism->controls();
        // What the day does to this cooker beyond its curve is taken to go on: wind, damp coals, a gap in the lid.
        $today = ($headingC - $weather->airC) / max(1.0, $curve->steadyC($settings, $weather)->likely - $weather->airC);
        $wanted = $curve->settingsFor($weather->airC + ($targetC - $weather->airC) / min(2.5, max(0.4, $today)), $weather);
        $values = [];
        foreach ($controls as $control) {
            $now = $settings->get($control->id);
            $to = $wanted->get($control->id);
            // A change goes one way only: hotter opens, colder closes.
            $to = $colder ? max(
                $now,
                min($to, max(self::BOLDEST * $now, $now + 4.0 * $control->step)),
            ) : min($now, max($to, $now / self::BOLDEST));
            $values[$control->id] = $mechanism instanceof Thermostat ? $wanted->get($control->id) : $to;
        }
        $new = Settings::of($values)->rounded($controls);
        if ($new->values === $settings->rounded($controls)->values) {
            $full = $controls === [] || $colder && ! in_array(
                false,
                array_map(fn ($control): bool => $control->isFull($settings->get($control->id)), $controls),
                true,
            );

            return $colder && $full
                ? $answer(
                    CorrectionAct::Shelter,
                    Message::of('correction.it_is_fully_open_already'),
                    Message::of('correction.there_is_nothing_left'),
                    $look,
                )
                : $answer(CorrectionAct::Hold, Message::of('correction.leave'), Message::of('correction.the_change_that_would'), $again);
        }

        return $answer(
            CorrectionAct::Set,
            self::inWords($curve, $settings, $new, $colder),
            Message::of(
                $mechanism instanceof OpenFire
                    ? 'correction.freshly_made_up'
                    : 'correction.heading_for',
                heading: self::heat($mechanism, $headingC),
                target: self::heat($mechanism, $targetC),
            ),
            $look,
            $new,
        );
    }

    private static function heat(Mechanism $mechanism, float $celsius): Message
    {
        return $mechanism instanceof OpenFire
            ? HandTest::inWords(HandTest::secondsOfWall($celsius))
            : Message::of('words.figure', figure: Quantity::celsius($celsius));
    }

    private static function inWords(OwnCurve $curve, Settings $from, Settings $to, bool $colder): Message
    {
        $mechanism = $curve->mechanism;
        if ($mechanism instanceof OpenFire) {
            $kg = abs($to->get('coals_kg') - $from->get('coals_kg'));

            return $colder
                ? Message::of('correction.rake_in_more', coals: $mechanism->fuel->inWords($kg))
                : Message::of('correction.rake_of_coals_out_from', kg: Quantity::kg($kg, 1));
        }
        if ($mechanism instanceof CampOven) {
            [$over, $under] = [$to->get('over') - $from->get('over'), $to->get('under') - $from->get('under')];

            return $colder
                ? Message::of('correction.more_coals_on_the_lid', over: Quantity::number($over), under: Quantity::number($under))
                : Message::of('correction.take_coals_off_the_lid', over: Quantity::number(-$over), under: Quantity::number(-$under));
        }

        return Message::note($mechanism->inWords($to));
    }
}
