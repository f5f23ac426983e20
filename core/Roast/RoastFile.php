<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\CookerShed;
use Diatherm\Fire\HandTest;
use Diatherm\Food\Cut;
use Diatherm\Food\Larder;
use Diatherm\Food\Preparation;
use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\OutOfRange;
use Diatherm\Rig\RigFile;

/** The open roast format (docs/roast.schema.json): the one place where a roast is read and written. */
final class RoastFile
{
    public const FORMAT = 'diatherm.roast';

    public const VERSION = 2;

    /** In the first version `coast: true` stood in every file and was nobody's wish; and there was no time zone. */
    private const FIRST_VERSION = 1;

    public const MOST_BYTES = 262_144;

    private const MOST_DISHES = 12;

    private const MOST_STAGES = 8;

    private const MOST_PREPARATIONS = 8;

    /**
     * Stuffing is not smoked: in a cooler cooker it stays warm for hours and never hot. Source: USDA FSIS, Turkey Basics:
     * Stuffing; the figure is common practice.
     */
    private const COOLEST_FOR_STUFFING_C = 135.0;

    /** Mass may go beyond a cut's usual range by this factor before it is taken for a slip. */
    private const MASS_LEEWAY = 2.0;

    /**
     * @param  \DateTimeImmutable|null  $now  when given, a serving hour in the past is refused
     *
     * @throws InvalidInput with a message at each field that cannot be used
     */
    public static function readJson(string $json, ?\DateTimeImmutable $now = null): Roast
    {
        if (strlen($json) > self::MOST_BYTES) {
            throw InvalidInput::at('file', sprintf('The file is too large: a roast takes up to %d kB.', intdiv(self::MOST_BYTES, 1024)));
        }
        try {
            $data = json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw InvalidInput::at('file', 'The file is not JSON.');
        }

        return self::read($data, $now);
    }

    /**
     * @param  mixed  $data  decoded JSON
     * @param  \DateTimeImmutable|null  $now  when given, a serving hour in the past is refused
     *
     * @throws InvalidInput with a message at each field that cannot be used
     */
    public static function read(mixed $data, ?\DateTimeImmutable $now = null): Roast
    {
        $fields = Fields::of($data);
        $fields->only(
            'format',
            'version',
            'name',
            'serve_at',
            'time_zone',
            'people',
            'air_c',
            'latitude',
            'longitude',
            'dark_at',
            'wind_ms',
            'rain',
            'altitude_m',
            'fires',
            'dishes',
        );
        if ($fields->text('format', 'format', 40, self::FORMAT) !== self::FORMAT) {
            $fields->refuse('format', 'The format must be “'.self::FORMAT.'”.');
        }
        $version = $fields->wholeNumber('version', 'version', self::FIRST_VERSION, self::VERSION, self::VERSION);
        $name = $fields->text('name', 'name', Roast::LONGEST_NAME, '');
        $serveAt = $fields->time('serve_at', 'serving hour');
        $zone = $fields->text('time_zone', 'time zone', 64, '');
        if ($zone !== '' && ! in_array($zone, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true)) {
            $fields->refuse('time_zone', 'The time zone must be a name of the IANA list, such as Europe/Oslo.');
        }
        if ($serveAt !== null && $now !== null && $serveAt <= $now) {
            $fields->refuse('serve_at', 'The serving hour has passed. Choose one to come.');
        }
        if ($serveAt !== null && $now !== null && $serveAt > $now->modify('+2 years')) {
            $fields->refuse('serve_at', 'The serving hour is more than two years off.');
        }
        $people = $fields->wholeNumber('people', 'number of people', 1, 500, 4);
        $airC = $fields->number('air_c', 'outside air temperature', -30.0, 50.0, '°C', 20.0);
        $latitude = $fields->optionalNumber('latitude', 'latitude', -66.0, 66.0, '°');
        $longitude = $fields->optionalNumber('longitude', 'longitude', -180.0, 180.0, '°');
        if (($latitude === null) !== ($longitude === null)) {
            $fields->refuse($latitude === null ? 'latitude' : 'longitude', 'A place takes both latitude and longitude.');
        }
        $darkAt = $fields->text('dark_at', 'hour of dark', 5, '');
        if ($darkAt !== '' && preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $darkAt) !== 1) {
            $fields->refuse('dark_at', 'The hour of dark must be a time such as 19:30.');
        }
        $windMs = $fields->number('wind_ms', 'wind', 0.0, 20.0, 'm/s', Roast::USUAL_WIND_MS);
        $rain = $fields->truth('rain', 'rain', false);
        $altitudeM = $fields->number('altitude_m', 'altitude', 0.0, 4000.0, 'm', 0.0);
        $fires = FireFile::readAll($fields);
        $dishes = array_map(
            fn (Fields $dish): ?Dish => self::dish($dish, $version),
            $fields->list('dishes', 'dishes', 1, self::MOST_DISHES),
        );
        $fields->orThrow();
        $dishes = array_values(array_filter($dishes));
        assert($serveAt !== null && $dishes !== []);

        if ($zone !== '') {
            $serveAt = $serveAt->setTimezone(new \DateTimeZone($zone));
        }

        return new Roast(
            $name,
            $serveAt,
            $people,
            $airC,
            $dishes,
            $latitude === null || $longitude === null ? null : new Place($latitude, $longitude),
            $darkAt === '' ? null : $darkAt,
            $windMs,
            $rain,
            $altitudeM,
            $fires,
        );
    }

    /** @return array<string, mixed> what `read` reads, complete */
    public static function write(Roast $roast): array
    {
        return [
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'name' => $roast->name,
            'serve_at' => $roast->serveAt->format(\DateTimeInterface::ATOM),
            ...($roast->zone() === null ? [] : ['time_zone' => $roast->zone()]),
            'people' => $roast->people,
            'air_c' => $roast->airC,
            ...($roast->place === null ? [] : ['latitude' => $roast->place->latitude, 'longitude' => $roast->place->longitude]),
            ...($roast->darkAt === null ? [] : ['dark_at' => $roast->darkAt]),
            'wind_ms' => $roast->windMs,
            'rain' => $roast->rain,
            'altitude_m' => $roast->altitudeM,
            'fires' => array_values(array_map(FireFile::write(...), $roast->fires)),
            'dishes' => array_map(fn (Dish $dish): array => array_filter([
                'name' => $dish->name,
                'cut' => $dish->cut->id,
                'form' => $dish->form->id,
                'pieces' => $dish->pieces,
                'mass_kg' => $dish->massKg,
                'thickness_cm' => $dish->thicknessM === null ? null : round($dish->thicknessM * 100, 4),
                'girth_cm' => $dish->girthM === null ? null : round($dish->girthM * 100, 4),
                'start_c' => $dish->startC,
                'taste' => $dish->taste,
                'target_c' => $dish->taste === null ? $dish->targetC : null,
                'coast' => $dish->coast,
                'rest_minutes' => $dish->restMinutes,
                'preparations' => $dish->preparations === [] ? null : array_column($dish->preparations, 'id'),
                'rig' => $dish->rig === null ? null : RigFile::write($dish->rig),
                'stages' => array_map(fn (Stage $stage): array => [
                    'cooker' => $stage->cooker->id,
                    ...Stage::heatInFile($stage->cooker, $stage->cookerC),
                    $stage->end->value => $stage->value ?? true,
                    ...($stage->wrap === null ? [] : ['wrap' => $stage->wrap->value]),
                    'chores' => array_map(fn (Chore $chore): array => [
                        'do' => $chore->kind, 'every_minutes' => $chore->everyMinutes, 'from_minutes' => $chore->fromMinutes,
                    ], $stage->chores),
                ], $dish->stages),
            ], fn (mixed $value): bool => $value !== null), $roast->dishes),
        ];
    }

    private static function dish(Fields $fields, int $version): ?Dish
    {
        $fields->only(
            'name',
            'cut',
            'form',
            'pieces',
            'mass_kg',
            'thickness_cm',
            'girth_cm',
            'start_c',
            'taste',
            'target_c',
            'coast',
            'rest_minutes',
            'preparations',
            'rig',
            'stages',
        );
        $cut = null;
        try {
            $id = $fields->text('cut', 'cut', 60);
            $cut = $id === '' ? null : Larder::cut($id);
        } catch (OutOfRange $wrong) {
            $fields->refuse('cut', $wrong->getMessage());
        }
        $form = Larder::form('whole');
        try {
            $form = Larder::form($fields->text('form', 'form', 40, 'whole'));
            if ($cut !== null && ! in_array($cut->kind, $form->kinds, true)) {
                $fields->refuse('form', "{$cut->name}: “{$form->name}” does not fit this cut.");
            }
        } catch (OutOfRange $wrong) {
            $fields->refuse('form', $wrong->getMessage());
        }
        $name = $fields->text('name', 'name', Roast::LONGEST_NAME, $cut->name ?? '');
        $pieces = $fields->wholeNumber('pieces', 'number of pieces', 1, 200, 1);
        $mass = $fields->number('mass_kg', 'mass of one piece', 0.005, 60.0, 'kg');
        if ($cut !== null && $fields->has('mass_kg') && ($mass < $cut->leastMassKg / self::MASS_LEEWAY || $mass > $cut->mostMassKg * self::MASS_LEEWAY)) {
            $fields->refuse(
                'mass_kg',
                sprintf(
                    '%s: one piece weighs %s to %s kg.',
                    $cut->name,
                    round($cut->leastMassKg / self::MASS_LEEWAY, 3),
                    $cut->mostMassKg * self::MASS_LEEWAY,
                ),
            );
        }
        $thickness = $fields->optionalNumber('thickness_cm', 'thickness', 0.5, 50.0, 'cm');
        $girth = $fields->optionalNumber('girth_cm', 'girth', 3.0, 160.0, 'cm');
        if ($thickness !== null && $girth !== null && $girth < $thickness * M_PI * 0.8) {
            $fields->refuse('girth_cm', 'The girth cannot be that small for this thickness.');
        }
        if ($cut !== null && $thickness !== null) {
            $usual = 100.0 * $cut->shape->usualThicknessM($mass);
            if ($thickness < 0.3 * $usual || $thickness > 2.5 * $usual) {
                $fields->refuse(
                    'thickness_cm',
                    sprintf('At this mass the thickness is usually about %.0f cm: measure %s.', $usual, $cut->measure),
                );
            }
        }
        $start = $fields->number('start_c', 'start temperature', -1.0, 40.0, '°C', 5.0);
        [$taste, $target] = self::target($fields, $cut);
        $coast = $fields->has('coast') ? $fields->truth('coast', 'wish to pull early', true) : null;
        if ($version === self::FIRST_VERSION && $coast === true) {
            $coast = null;
        }
        $rest = $fields->number('rest_minutes', 'rest', 0.0, 240.0, 'min', $cut->restMinutes ?? 10.0);
        $preparations = self::preparations($fields, $cut);
        $rigFields = $fields->object('rig', 'rig');
        $rig = $rigFields === null ? null : RigFile::read($rigFields);
        $list = $fields->list('stages', 'stages', 1, self::MOST_STAGES);
        $stages = [];
        foreach ($list as $i => $stage) {
            $stages[] = self::stage($stage, $i === count($list) - 1);
        }
        if ($cut === null || ! $fields->isClean() || $stages === []) {
            return null;
        }
        if ($target <= $start) {
            $fields->refuse('target_c', 'The target must be above the start temperature.');
        }
        foreach (in_array('stuff', array_column($preparations, 'id'), true) ? $stages : [] as $i => $stage) {
            if (! $stage->cooker->isRest() && $stage->cookerC < self::COOLEST_FOR_STUFFING_C) {
                $fields->refuse(
                    "stages.$i.cooker_c",
                    sprintf(
                        'Stuffing warms too slowly in a smoker’s heat and spoils before it is hot: %.0f °C or more, or cook the stuffing by itself.',
                        self::COOLEST_FOR_STUFFING_C,
                    ),
                );
            }
        }
        if ($stages[count($stages) - 1]->end === StageEnd::Tender && ! $cut->tough) {
            $fields->refuse(
                'stages.'.(count($stages) - 1).'.until_tender',
                "{$cut->name}: it does not take hours to get tender. Give a core temperature.",
            );
        }
        if ($stages[count($stages) - 1]->cooker->isRest()) {
            $fields->refuse('stages', 'The last stage must be on a cooker: the rest after it is counted by itself.');
        }

        return new Dish(
            $name, $cut, $form, $pieces, $mass,
            $thickness === null ? null : $thickness / 100.0,
            $girth === null ? null : $girth / 100.0,
            $start, $taste, $target, $coast, $rest, $stages, $preparations, $rig,
        );
    }

    /** @return list<Preparation> in the order of the work */
    private static function preparations(Fields $fields, ?Cut $cut): array
    {
        $preparations = [];
        foreach ($fields->list('preparations', 'preparations', 0, self::MOST_PREPARATIONS) as $field) {
            try {
                $preparation = Preparation::named($field->text('', 'preparation', 40));
                if ($cut !== null && ! in_array($cut->kind, $preparation->kinds, true)) {
                    $field->refuse('', "{$cut->name}: “{$preparation->name}” does not fit this cut.");
                }
                if (isset($preparations[$preparation->id])) {
                    $field->refuse('', "“{$preparation->name}” is there twice.");
                }
                $preparations[$preparation->id] = $preparation;
            } catch (OutOfRange $wrong) {
                $field->refuse('', $wrong->getMessage());
            }
        }
        usort($preparations, fn (Preparation $a, Preparation $b): int => $a->order() <=> $b->order());

        return $preparations;
    }

    /** @return array{string|null, float} */
    private static function target(Fields $fields, ?Cut $cut): array
    {
        if ($fields->has('target_c')) {
            return [null, $fields->number('target_c', 'target temperature', 35.0, 99.0, '°C')];
        }
        $taste = $fields->text('taste', 'taste', 40, $cut->usualTaste ?? '');
        if ($cut === null) {
            return [$taste, 99.0];
        }
        try {
            return [$taste, $cut->taste($taste)->coreC];
        } catch (OutOfRange) {
            $fields->refuse(
                'taste',
                sprintf('%s can be: %s. Or give target_c.', $cut->name, implode(', ', array_column($cut->tastes, 'id'))),
            );

            return [$taste, 99.0];
        }
    }

    private static function stage(Fields $fields, bool $last): Stage
    {
        $fields->only('cooker', 'cooker_c', 'hand_s', 'until_core_c', 'minutes', 'pull', 'until_tender', 'chores', 'wrap');
        $cooker = CookerShed::kind('oven');
        $known = true;
        try {
            $cooker = CookerShed::kind($fields->text('cooker', 'cooker', 60));
        } catch (OutOfRange $wrong) {
            $known = false;
            if ($fields->has('cooker')) {
                $fields->refuse('cooker', $wrong->getMessage());
            }
        }
        $cookerC = $known
            ? $fields->number('cooker_c', 'cooker temperature', $cooker->leastC, $cooker->mostC, '°C', $cooker->defaultC)
            : $cooker->defaultC;
        if ($known && $fields->has('hand_s')) {
            $cookerC = self::byHand($fields, $cooker);
        }
        $ends = array_values(array_filter(StageEnd::cases(), fn (StageEnd $end): bool => $fields->has($end->value)));
        if (count($ends) > 1) {
            $fields->refuse($ends[1]->value, 'A stage has one end: until_core_c, minutes, until_tender or pull.');
        }
        $end = $ends[0] ?? StageEnd::Pull;
        if (! $last && in_array($end, [StageEnd::Pull, StageEnd::Tender], true)) {
            $fields->refuse(
                $ends === [] ? '' : $end->value,
                'Only the last stage ends with the pull; give this one minutes or until_core_c.',
            );
        }
        $value = match ($end) {
            StageEnd::Minutes => $fields->number('minutes', 'length of the stage', 1.0, 2880.0, 'min'),
            StageEnd::Core => $fields->number('until_core_c', 'core temperature', 5.0, 99.0, '°C'),
            StageEnd::Pull, StageEnd::Tender => null,
        };

        $wrap = $fields->has('wrap') ? Wrapping::tryFrom($fields->text('wrap', 'wrapping', 10)) : null;
        if ($fields->has('wrap') && $wrap === null) {
            $fields->refuse('wrap', 'It is wrapped in foil or paper, or left out.');
        }

        return new Stage(
            $cooker,
            $cookerC,
            $end,
            $value,
            array_map(self::chore(...), $fields->list('chores', 'chores', 0, 8)),
            null,
            $wrap,
        );
    }

    /** The heat of an open fire, told by seconds of the palm. */
    private static function byHand(Fields $fields, Cooker $cooker): float
    {
        if (! $cooker->isOpenFire()) {
            $fields->refuse('hand_s', "{$cooker->name}: its heat is a temperature, not seconds of the hand.");

            return $cooker->defaultC;
        }
        if ($fields->has('cooker_c')) {
            $fields->refuse('hand_s', 'Give seconds of the hand or a temperature, not both.');
        }
        $seconds = $fields->number(
            'hand_s',
            'hand test',
            ceil(10.0 * HandTest::secondsOfWall($cooker->mostC)) / 10.0,
            floor(HandTest::secondsOfWall($cooker->leastC)),
            's',
        );

        return HandTest::wallC(min(60.0, max(2.0, $seconds)));
    }

    private static function chore(Fields $fields): Chore
    {
        $fields->only('do', 'every_minutes', 'from_minutes');
        $kind = $fields->text('do', 'chore', 20);
        if (! array_key_exists($kind, Chore::KINDS)) {
            $fields->refuse('do', 'A chore is one of: '.implode(', ', array_keys(Chore::KINDS)).'.');
            $kind = 'baste';
        }
        $every = $fields->number('every_minutes', 'interval', 0.0, 600.0, 'min', 0.0);
        if ($every > 0.0 && $every < 1.0) {
            $fields->refuse('every_minutes', 'The interval must be a minute or more, or 0 for once.');
        }

        return new Chore($kind, $every, $fields->number('from_minutes', 'first time', 0.0, 2880.0, 'min', $every));
    }
}
