<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Cooker\Cooker;
use Diatherm\Cooker\CookerShed;
use Diatherm\Fire\HandTest;
use Diatherm\Food\Cut;
use Diatherm\Food\Larder;
use Diatherm\Food\Preparation;
use Diatherm\Heat\Vapour;
use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Measure\Nature;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;
use Diatherm\Rig\RigFile;

/** The open roast format (docs/roast.schema.json): the one place where a roast is read and written. */
final class RoastFile
{
    /** A core stays this far below boiling, and comes to no more in a sensible time, K. Common practice. */
    private const BELOW_BOILING_K = 3.0;

    public const FORMAT = 'diatherm.roast';

    /** Handwork that does not suit its cut or its moment is left out of a file of an earlier version, and refused in this one. */
    public const VERSION = 3;

    /** In the first version `coast: true` stood in every file and was nobody's wish; and there was no time zone. */
    private const FIRST_VERSION = 1;

    public const MOST_BYTES = 262_144;

    /** Lean meat begins to freeze there. Source: ASHRAE Handbook—Refrigeration, "Thermal Properties of Foods", table 3, from memory. */
    private const FREEZES_C = -1.0;

    private const COLDEST_FREEZER_C = -40.0;

    private const MOST_DISHES = 12;

    private const MOST_SIDES = 12;

    public const MOST_COURSES = 4;

    private const MOST_STAGES = 8;

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
            throw InvalidInput::atField('file', Message::of('file.too_large', kb: intdiv(self::MOST_BYTES, 1024)));
        }
        try {
            $data = json_decode($json, true, 32, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw InvalidInput::atField('file', Message::of('file.not_json'));
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
            'sides',
            'hands',
            'course_minutes',
            'without_meat',
        );
        if ($fields->text('format', 'format', 40, self::FORMAT) !== self::FORMAT) {
            $fields->refuse('format', Message::of('file.format', format: self::FORMAT));
        }
        $version = $fields->wholeNumber('version', 'version', self::FIRST_VERSION, self::VERSION, self::VERSION);
        $name = $fields->text('name', 'name', Roast::LONGEST_NAME, '');
        $serveAt = $fields->time('serve_at', 'serving_hour');
        $zone = $fields->text('time_zone', 'time_zone', 64, '');
        if ($zone !== '' && ! in_array($zone, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true)) {
            $fields->refuse('time_zone', Message::of('roast_file.the_time_zone_must'));
        }
        if ($serveAt !== null && $now !== null && $serveAt <= $now) {
            $fields->refuse('serve_at', Message::of('roast_file.the_serving_hour_has_passed'));
        }
        if ($serveAt !== null && $now !== null && $serveAt > $now->modify('+2 years')) {
            $fields->refuse('serve_at', Message::of('roast_file.the_serving_hour_is_more'));
        }
        $people = $fields->wholeNumber('people', 'number_of_people', 1, 500, 4);
        $withoutMeat = $fields->wholeNumber('without_meat', 'people_who_eat_no_meat', 0, 500, 0);
        if ($withoutMeat >= $people && $withoutMeat > 0) {
            $fields->refuse('without_meat', Message::of('roast_file.somebody_eats_the_roast', people: $people));
        }
        $airC = $fields->number('air_c', 'outside_air_temperature', -30.0, 50.0, Unit::Celsius, 20.0);
        $latitude = $fields->optionalNumber('latitude', 'latitude', -66.0, 66.0, Unit::Degree);
        $longitude = $fields->optionalNumber('longitude', 'longitude', -180.0, 180.0, Unit::Degree);
        if (($latitude === null) !== ($longitude === null)) {
            $fields->refuse($latitude === null ? 'latitude' : 'longitude', Message::of('roast_file.a_place_takes_both_latitude'));
        }
        $darkAt = $fields->text('dark_at', 'hour_of_dark', 5, '');
        if ($darkAt !== '' && preg_match('/^([01]\d|2[0-3]):[0-5]\d$/D', $darkAt) !== 1) {
            $fields->refuse('dark_at', Message::of('roast_file.the_hour_of_dark_must'));
        }
        $windMs = $fields->number('wind_ms', 'wind', 0.0, 20.0, Unit::MetrePerSecond, Roast::USUAL_WIND_MS);
        $rain = $fields->truth('rain', 'rain', false);
        $altitudeM = $fields->number('altitude_m', 'altitude', 0.0, 4000.0, Unit::Metre, 0.0);
        $hands = $fields->wholeNumber('hands', 'pairs_of_hands', 1, Roast::MOST_HANDS, 1);
        $courseMinutes = $fields->number('course_minutes', 'time_between_courses', 5.0, 120.0, Unit::Minute, Roast::COURSE_MINUTES);
        $fires = FireFile::readAll($fields);
        $dishes = array_map(
            fn (Fields $dish): ?Dish => self::dish($dish, $version),
            $fields->list('dishes', 'dishes', 1, self::MOST_DISHES),
        );
        $sides = array_map(
            fn (Fields $side): ?SideDish => SideFile::read($side, max(1, count($dishes))),
            $fields->list('sides', 'sides', 0, self::MOST_SIDES),
        );
        $fields->orThrow();
        // A taste follows the place: where water boils cooler, soft is reached at less, and takes longer.
        $softC = Vapour::boilingC(Nature::airPa($altitudeM)) - self::BELOW_BOILING_K;
        $dishes = array_map(fn (Dish $dish): Dish => $dish->tastingAtMost($softC), array_values(array_filter($dishes)));
        $sides = array_values(array_filter($sides));
        assert($serveAt !== null && $dishes !== []);

        if ($zone !== '') {
            $serveAt = $serveAt->setTimezone(new \DateTimeZone($zone));
        }

        $roast = new Roast(
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
            $sides,
            $hands,
            $courseMinutes,
            $withoutMeat,
        );
        foreach ($sides as $i => $side) {
            if ($side->on !== null && ! $roast->isCookedOn($side->on)) {
                $fields->refuse("sides.$i.on", Message::of('roast_file.no_dish_is_on', side: $side->name));
            }
        }
        $fields->orThrow();

        return $roast;
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
                'course' => $dish->course === 1 ? null : $dish->course,
                'preparations' => $dish->preparations === [] ? null : PreparationFile::write($dish->preparations),
                'rig' => $dish->rig === null ? null : RigFile::write($dish->rig),
                'stages' => array_map(fn (Stage $stage): array => [
                    'cooker' => $stage->cooker->id,
                    ...Stage::heatInFile($stage->cooker, $stage->cookerC),
                    $stage->end->value => $stage->value ?? true,
                    ...($stage->wrap === null ? [] : ['wrap' => $stage->wrap->value]),
                    ...($stage->preparations === [] ? [] : ['preparations' => PreparationFile::write($stage->preparations)]),
                    'chores' => array_map(fn (Chore $chore): array => [
                        'do' => $chore->kind,
                        ...($chore->words === '' ? [] : ['words' => $chore->words]),
                        'every_minutes' => $chore->everyMinutes,
                        'from_minutes' => $chore->fromMinutes,
                        ...($chore->mix === null ? [] : ['mix' => MixFile::write($chore->mix)]),
                    ], $stage->chores),
                ], $dish->stages),
            ], fn (mixed $value): bool => $value !== null), $roast->dishes),
            ...($roast->sides === [] ? [] : ['sides' => array_map(SideFile::write(...), $roast->sides)]),
            ...($roast->hands === 1 ? [] : ['hands' => $roast->hands]),
            ...($roast->withoutMeat === 0 ? [] : ['without_meat' => $roast->withoutMeat]),
            ...($roast->courseMinutes === Roast::COURSE_MINUTES ? [] : ['course_minutes' => $roast->courseMinutes]),
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
            'course',
            'preparations',
            'rig',
            'stages',
        );
        $cut = null;
        try {
            $id = $fields->text('cut', 'cut', 60);
            $cut = $id === '' ? null : Larder::cut($id);
        } catch (OutOfRange $wrong) {
            $fields->refuse('cut', $wrong->says);
        }
        $form = Larder::form('whole');
        try {
            $form = Larder::form($fields->text('form', 'form', 40, 'whole'));
            if ($cut !== null && ! in_array($cut->kind, $form->kinds, true)) {
                $fields->refuse('form', Message::of('roast_file.does_not_fit_this_cut', cut: $cut->name, form: $form->name));
            }
        } catch (OutOfRange $wrong) {
            $fields->refuse('form', $wrong->says);
        }
        $name = $fields->text('name', 'name', Roast::LONGEST_NAME, $cut->name ?? '');
        $pieces = $fields->wholeNumber('pieces', 'number_of_pieces', 1, Dish::MOST_PIECES, 1);
        $mass = $fields->number('mass_kg', 'mass_of_one_piece', 0.005, 60.0, Unit::Kilogram);
        $fits = $cut === null || ($mass >= $cut->leastMassKg / self::MASS_LEEWAY && $mass <= $cut->mostMassKg * self::MASS_LEEWAY);
        if ($cut !== null && $fields->has('mass_kg') && ! $fits) {
            $fields->refuse(
                'mass_kg',
                Message::of(
                    'roast_file.one_piece_weighs_to_kg',
                    cut: $cut->name,
                    least: Quantity::kg(round($cut->leastMassKg / self::MASS_LEEWAY, 3), null),
                    most: Quantity::kg($cut->mostMassKg * self::MASS_LEEWAY, null),
                ),
            );
        }
        $thickness = $fields->optionalNumber('thickness_cm', 'thickness', 0.5, 50.0, Unit::Centimetre);
        $girth = $fields->optionalNumber('girth_cm', 'girth', 3.0, 160.0, Unit::Centimetre);
        if ($thickness !== null && $girth !== null && $girth < $thickness * M_PI * 0.8) {
            $fields->refuse('girth_cm', Message::of('roast_file.the_girth_cannot'));
        }
        if ($cut !== null && $thickness !== null) {
            $usual = 100.0 * $cut->shape->usualThicknessM($mass);
            if ($thickness < 0.3 * $usual || $thickness > 2.5 * $usual) {
                $fields->refuse(
                    'thickness_cm',
                    Message::of('roast_file.at_this_mass_the_thickness', usual: Quantity::cm($usual), measure: $cut->measure),
                );
            }
        }
        $start = $fields->number('start_c', 'start_temperature', self::COLDEST_FREEZER_C, 40.0, Unit::Celsius, 5.0);
        if ($start < self::FREEZES_C) {
            $fields->refuse('start_c', Message::of('roast_file.thaw_it_first', least: Quantity::celsius(self::FREEZES_C)));
        }
        [$taste, $target] = self::target($fields, $cut);
        $coast = $fields->has('coast') ? $fields->truth('coast', 'wish_to_pull_early', true) : null;
        if ($version === self::FIRST_VERSION && $coast === true) {
            $coast = null;
        }
        $rest = $fields->number('rest_minutes', 'rest', 0.0, 240.0, Unit::Minute, $cut->restMinutes ?? 10.0);
        $course = $fields->wholeNumber('course', 'course', 1, self::MOST_COURSES, 1);
        $preparations = PreparationFile::read($fields, $cut, $version >= self::VERSION);
        $rigFields = $fields->object('rig', 'rig');
        $rig = $rigFields === null ? null : RigFile::read($rigFields);
        $list = $fields->list('stages', 'stages', 1, self::MOST_STAGES);
        $stages = [];
        $laid = [];
        foreach ($list as $i => $stage) {
            $read = self::stage($stage, $cut, $i === count($list) - 1, $version);
            array_push($laid, ...$read->preparations);
            $stages[] = $laid === [] ? $read : $read->laidIn($laid);
        }
        if ($cut === null || ! $fields->isClean() || $stages === []) {
            return null;
        }
        if ($target <= $start) {
            $fields->refuse('target_c', Message::of('roast_file.the_target_must_be_above'));
        }
        foreach (in_array('stuff', array_column($preparations, 'id'), true) ? $stages : [] as $i => $stage) {
            if (! $stage->cooker->isRest() && $stage->cookerC < self::COOLEST_FOR_STUFFING_C) {
                $fields->refuse(
                    "stages.$i.cooker_c",
                    Message::of('roast_file.stuffing_warms_too_slowly', coolest: Quantity::celsius(self::COOLEST_FOR_STUFFING_C)),
                );
            }
        }
        if ($stages[count($stages) - 1]->end === StageEnd::Tender && ! $cut->tough) {
            $fields->refuse(
                'stages.'.(count($stages) - 1).'.until_tender',
                Message::of('roast_file.it_does_not_take_hours', cut: $cut->name),
            );
        }
        if ($stages[count($stages) - 1]->cooker->isRest()) {
            $fields->refuse('stages', Message::of('roast_file.the_last_stage_must'));
        }

        return new Dish(
            $name, $cut, $form, $pieces, $mass,
            $thickness === null ? null : $thickness / 100.0,
            $girth === null ? null : $girth / 100.0,
            $start, $taste, $target, $coast, $rest, $stages, $preparations, $rig, $course,
        );
    }

    /** @return array{string|null, float} */
    private static function target(Fields $fields, ?Cut $cut): array
    {
        if ($fields->has('target_c')) {
            return [null, $fields->number('target_c', 'target_temperature', 35.0, 99.0, Unit::Celsius)];
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
                Message::of('roast_file.can_be_or_give_target', cut: $cut->name, tastes: array_column($cut->tastes, 'id')),
            );

            return [$taste, 99.0];
        }
    }

    private static function stage(Fields $fields, ?Cut $cut, bool $last, int $version): Stage
    {
        $fields->only('cooker', 'cooker_c', 'hand_s', 'until_core_c', 'minutes', 'pull', 'until_tender', 'until_brown', 'chores', 'wrap', 'preparations');
        $cooker = CookerShed::kind('oven');
        $known = true;
        try {
            $cooker = CookerShed::kind($fields->text('cooker', 'cooker', 60));
        } catch (OutOfRange $wrong) {
            $known = false;
            if ($fields->has('cooker')) {
                $fields->refuse('cooker', $wrong->says);
            }
        }
        $cookerC = $known
            ? $fields->number('cooker_c', 'cooker_temperature', $cooker->leastC, $cooker->mostC, Unit::Celsius, $cooker->defaultC)
            : $cooker->defaultC;
        if ($known && $fields->has('hand_s')) {
            $cookerC = self::byHand($fields, $cooker);
        }
        $ends = array_values(array_filter(StageEnd::cases(), fn (StageEnd $end): bool => $fields->has($end->value)));
        if (count($ends) > 1) {
            $fields->refuse($ends[1]->value, Message::of('roast_file.a_stage_has_one_end'));
        }
        $end = $ends[0] ?? StageEnd::Pull;
        if (! $last && in_array($end, [StageEnd::Pull, StageEnd::Tender], true)) {
            $fields->refuse(
                $ends === [] ? '' : $end->value,
                Message::of('roast_file.only_the_last_stage_ends'),
            );
        }
        $value = match ($end) {
            StageEnd::Minutes => $fields->number('minutes', 'length_of_the_stage', 1.0, 2880.0, Unit::Minute),
            StageEnd::Brown => $fields->number('until_brown', 'length_of_the_stage', 1.0, 60.0, Unit::Minute),
            StageEnd::Core => $fields->number('until_core_c', 'core_temperature', 5.0, 99.0, Unit::Celsius),
            StageEnd::Pull, StageEnd::Tender => null,
        };

        $wrap = $fields->has('wrap') ? Wrapping::tryFrom($fields->text('wrap', 'wrapping', 10)) : null;
        if ($fields->has('wrap') && $wrap === null) {
            $fields->refuse('wrap', Message::of('roast_file.it_is_wrapped_in_foil'));
        }

        return new Stage(
            $cooker,
            $cookerC,
            $end,
            $value,
            array_map(self::chore(...), $fields->list('chores', 'chores', 0, 8)),
            null,
            $wrap,
            null,
            self::between($fields, $cut, $version >= self::VERSION),
        );
    }

    /** @return list<Preparation> what is done as a step begins: work of a few minutes that leaves its shape as it is */
    private static function between(Fields $fields, ?Cut $cut, bool $isStrict): array
    {
        $preparations = PreparationFile::read($fields, $cut, $isStrict);
        foreach ($isStrict ? $preparations : [] as $i => $one) {
            if (! $one->isBetweenSteps) {
                $fields->refuse("preparations.$i", Message::of('roast_file.not_between_steps', preparation: $one->name));
            }
        }

        return array_values(array_filter($preparations, fn (Preparation $one): bool => $one->isBetweenSteps));
    }

    /** The heat of an open fire, told by seconds of the palm. */
    private static function byHand(Fields $fields, Cooker $cooker): float
    {
        if (! $cooker->isOpenFire()) {
            $fields->refuse('hand_s', Message::of('roast_file.its_heat_is_a_temperature', cooker: $cooker->name));

            return $cooker->defaultC;
        }
        if ($fields->has('cooker_c')) {
            $fields->refuse('hand_s', Message::of('roast_file.give_seconds_of_the_hand'));
        }
        $seconds = $fields->number(
            'hand_s',
            'hand_test',
            ceil(10.0 * HandTest::secondsOfWall($cooker->mostC)) / 10.0,
            floor(HandTest::secondsOfWall($cooker->leastC)),
            Unit::Second,
        );

        return HandTest::wallC(min(60.0, max(2.0, $seconds)));
    }

    private static function chore(Fields $fields): Chore
    {
        $fields->only('do', 'words', 'every_minutes', 'from_minutes', 'mix');
        $kind = $fields->text('do', 'chore', 20);
        if (! in_array($kind, Chore::KINDS, true)) {
            $fields->refuse('do', Message::of('roast_file.a_chore_is_one', kinds: Chore::KINDS));
            $kind = 'baste';
        }
        $every = $fields->number('every_minutes', 'interval', 0.0, 600.0, Unit::Minute, 0.0);
        if ($every > 0.0 && $every < 1.0) {
            $fields->refuse('every_minutes', Message::of('roast_file.the_interval_must'));
        }

        $words = $fields->text('words', 'words_of_the_chore', Roast::LONGEST_NAME, $kind === 'own' ? null : '');

        return new Chore(
            $kind, $every, $fields->number('from_minutes', 'first_time', 0.0, 2880.0, Unit::Minute, $every), $words,
            $fields->has('mix') ? MixFile::read($fields) : null,
        );
    }
}
