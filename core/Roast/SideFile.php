<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Food\Side;
use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Unit;

/**
 * A side in a roast's file. `begins` or `ends` hangs it on a moment of a dish: `{"dish": its number, "moment", "minutes": after it}`;
 * without them it is done as near to the table as its patience wants.
 */
final class SideFile
{
    /** Minutes by which a side may lie off the moment that it hangs on. */
    private const FARTHEST_MINUTES = 1440.0;

    /** @param  int  $dishes  how many the roast has */
    public static function read(Fields $fields, int $dishes): ?SideDish
    {
        $fields->only('side', 'name', 'minutes', 'course', 'with', 'on', 'own', 'begins', 'ends');
        $minutes = $fields->optionalNumber('minutes', 'time_that_it_takes', 1.0, 1440.0, Unit::Minute);
        $course = $fields->wholeNumber('course', 'course', 1, RoastFile::MOST_COURSES, 1);
        $with = $fields->has('with') ? $fields->wholeNumber('with', 'dish_that_it_lies_with', 0, $dishes - 1, 0) : null;
        $on = $fields->has('on') ? $fields->text('on', 'cooker', 40) : null;
        if ($on !== null && $with !== null) {
            $fields->refuse('on', Message::of('roast_file.one_place_for_a_side'));
        }
        $anchor = self::anchor($fields, $dishes);
        $id = $fields->text('side', 'side', 40);
        if ($id !== OwnSideFile::ID && $fields->has('own')) {
            $fields->refuse('own', Message::of('side_file.not_of_one_that_is_known'));
        }
        if ($id === OwnSideFile::ID) {
            $minutes ??= $fields->number('minutes', 'time_that_it_takes', 1.0, 1440.0, Unit::Minute);
            $known = $fields->object('own', 'side') ?? Fields::of([]);
            $known->only('how', 'waits_minutes', 'ready_minutes', 'done_minutes', 'stir_minutes', 'aisle');
            $name = $fields->text('name', 'name', Roast::LONGEST_NAME);

            return new SideDish(OwnSideFile::facts($known, $name, $minutes), $name, $minutes, $course, $with, $on, $anchor);
        }
        try {
            $side = Side::named($id);
        } catch (OutOfRange $wrong) {
            $fields->refuse('side', $wrong->says);

            return null;
        }

        return new SideDish($side, $fields->text('name', 'name', Roast::LONGEST_NAME, $side->name), $minutes, $course, $with, $on, $anchor);
    }

    /** @return array<string, mixed> */
    public static function write(SideDish $side): array
    {
        $anchor = $side->anchor;

        return [
            'side' => $side->side->id,
            'name' => $side->name,
            ...($side->minutes === null ? [] : ['minutes' => $side->minutes]),
            ...($side->course === 1 ? [] : ['course' => $side->course]),
            ...($side->with === null ? [] : ['with' => $side->with]),
            ...($side->on === null ? [] : ['on' => $side->on]),
            ...($anchor === null ? [] : [$anchor->ends ? 'ends' : 'begins' => [
                'dish' => $anchor->dish, 'moment' => $anchor->moment->value, 'minutes' => $anchor->afterMinutes,
            ]]),
            ...($side->side->id === OwnSideFile::ID ? ['own' => OwnSideFile::known($side->side)] : []),
        ];
    }

    private static function anchor(Fields $fields, int $dishes): ?Anchor
    {
        if ($fields->has('begins') && $fields->has('ends')) {
            $fields->refuse('ends', Message::of('roast_file.begins_or_ends'));
        }
        $ends = $fields->has('ends');
        $hangs = $fields->object($ends ? 'ends' : 'begins', 'moment');
        if ($hangs === null) {
            return null;
        }
        $hangs->only('dish', 'moment', 'minutes');
        $moment = Moment::tryFrom($hangs->text('moment', 'moment', 20));
        if ($moment === null) {
            $hangs->refuse('moment', Message::of('roast_file.moments', moments: array_column(Moment::cases(), 'value')));
        }

        return new Anchor(
            $hangs->wholeNumber('dish', 'dish', 0, $dishes - 1, 0),
            $moment ?? Moment::On,
            $ends,
            $hangs->number('minutes', 'minutes', -self::FARTHEST_MINUTES, self::FARTHEST_MINUTES, Unit::Minute, 0.0),
        );
    }
}
