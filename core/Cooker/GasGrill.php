<?php

declare(strict_types=1);

namespace Diatherm\Cooker;

use Diatherm\Measure\Bisection;
use Diatherm\Measure\Message;

/** Two to six burners side by side, and perhaps one at the back; the meat lies over one that is off. */
final readonly class GasGrill implements Mechanism
{
    /** A burner does not burn steadily below this share of full. Common practice. */
    public const LOWEST = 0.25;

    private const HOTTEST_C = 420.0;

    /**
     * @param  list<float>  $burnersW  full power of each, left to right
     * @param  float  $rearW  0 for none
     * @param  int|null  $meatOver  number of the burner under the meat, from 0; null where it lies over all of them, direct
     * @param  float  $lossWK  walls, still air
     * @param  float  $draughtWK15  what the open back lets out, W/K^1.5: it goes as the rise times its root
     */
    public function __construct(
        public array $burnersW,
        public float $rearW,
        public ?int $meatOver,
        private float $lossWK,
        private float $draughtWK15,
        private float $filmShare,
        private float $storageJK,
    ) {
    }

    public function controls(): array
    {
        $controls = array_map(
            fn (int $i): Control => new Control('burner_'.($i + 1), 'share', 0.0, 1.0, 0.125),
            array_keys($this->burnersW),
        );
        if ($this->rearW > 0.0) {
            $controls[] = new Control('rear', 'share', 0.0, 1.0, 0.125);
        }

        return $controls;
    }

    public function steadyC(Settings $settings, Weather $weather): float
    {
        $watts = $this->heatW($settings, 0.0, $weather);

        return Bisection::root(
            fn (float $inside): float => $watts - $this->lossW($settings, $inside, $weather),
            $weather->airC,
            self::HOTTEST_C,
            0.01,
        );
    }

    /** A rear burner works first, then those beside the meat; the one under it stays off while they can do it. */
    public function settingsFor(float $targetC, Weather $weather): Settings
    {
        $settings = $this->allOff();
        $under = $this->meatOver === null ? [] : ['burner_'.($this->meatOver + 1)];
        $beside = array_values(array_diff(array_map(fn (int $i): string => 'burner_'.($i + 1), array_keys($this->burnersW)), $under));
        foreach (array_filter([$this->rearW > 0.0 ? ['rear'] : [], $beside, $under]) as $together) {
            $turned = static function (float $share) use ($settings, $together): Settings {
                foreach ($together as $knob) {
                    $settings = $settings->withControl($knob, $share);
                }

                return $settings;
            };
            $share = Bisection::root(fn (float $share): float => $this->steadyC($turned($share), $weather) - $targetC, 0.0, 1.0, 1e-5);
            $settings = $turned($share);
            if ($share < 1.0) {
                break;
            }
        }

        return $settings;
    }

    public function hurried(Settings $settings): Settings
    {
        foreach ($this->controls() as $control) {
            $settings = $settings->withControl($control->id, $control->most);
        }

        return $settings;
    }

    public function heatW(Settings $settings, float $insideC, Weather $weather): float
    {
        $sum = $this->rearW > 0.0 ? $this->rearW * $settings->get('rear') : 0.0;
        foreach ($this->burnersW as $i => $watts) {
            $sum += $watts * $settings->get('burner_'.($i + 1));
        }

        return $sum * (1.0 - self::THIN_AIR_PER_M * max(0.0, $weather->altitudeM - self::THIN_FROM_M));
    }

    public function lossW(Settings $settings, float $insideC, Weather $weather): float
    {
        $rise = max(0.0, $insideC - $weather->airC);

        return $this->lossWK * $weather->lossFactor($this->filmShare) * $rise + $this->draughtWK15 * $rise ** 1.5 * (
            1.0 + self::WIND_THROUGH * $weather->windMs
        );
    }

    public function storageJK(): float
    {
        return $this->storageJK;
    }

    public function doubt(): float
    {
        return 0.12;
    }

    public function inWords(Settings $settings): Message
    {
        $knobs = array_map(
            fn (int $i): Message => Message::of('settings.burner', number: $i + 1, share: self::share($settings->get('burner_'.($i + 1)))),
            array_keys($this->burnersW),
        );
        if ($this->rearW > 0.0 && $settings->get('rear') > 0.0) {
            $knobs[] = Message::of('settings.rear', share: self::share($settings->get('rear')));
        }

        return Message::of('words.list', parts: $knobs);
    }

    /** Burners give 4 % less for each 300 m, above 600 m. Source: NFPA 54, National Fuel Gas Code, on high altitude (from memory). */
    private const THIN_AIR_PER_M = 0.04 / 300.0;

    private const THIN_FROM_M = 600.0;

    /** Wind through the open back, for each m/s. Common practice. */
    private const WIND_THROUGH = 0.06;

    private function allOff(): Settings
    {
        $values = $this->rearW > 0.0 ? ['rear' => 0.0] : [];
        foreach (array_keys($this->burnersW) as $i) {
            $values['burner_'.($i + 1)] = 0.0;
        }

        return Settings::of($values);
    }

    private static function share(float $share): Message
    {
        return match (true) {
            $share < 0.06 => Message::of('settings.off'),
            $share > 0.94 => Message::of('settings.full'),
            default => Message::of('words.text', text: ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'][max(1, min(7, (int) round(8.0 * $share)))]),
        };
    }
}
