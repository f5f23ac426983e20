<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Food\Cut;
use Diatherm\Food\OrderOfWork;
use Diatherm\Food\Preparation;
use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Diatherm\Measure\OutOfRange;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;

/**
 * The handwork of a dish in a roast's file: an id of data/preparations.json; `{"do": id, "hours" or "minutes": its time, "mix": an id,
 * a mix or "none"}`; or a step of the cook's own, `{"own": words, "minutes"}` of hands or `{"own": words, "hours", "cold"}` of waiting.
 */
final class PreparationFile
{
    private const LONGEST_WORDS = 120;

    private const MOST = 16;

    /** Of hands, where nothing is said. */
    private const OWN_MINUTES = 5.0;

    /**
     * @param  bool  $isStrict  whether what does not suit the cut is refused; left out where it is not
     * @return list<Preparation> as they are done
     */
    public static function read(Fields $fields, ?Cut $cut, bool $isStrict): array
    {
        $preparations = [];
        $own = 0;
        foreach ($fields->list('preparations', 'preparations', 0, self::MOST) as $field) {
            $isOwn = $field->has('own');
            $own += $isOwn ? 1 : 0;
            try {
                $one = $isOwn ? self::own($field, $own) : self::row($field, $cut);
            } catch (OutOfRange $wrong) {
                $field->refuse('', $wrong->says);

                continue;
            }
            if ($cut !== null && ! $one->suits($cut)) {
                if ($isStrict) {
                    $field->refuse('', Message::of('roast_file.preparation_does_not_fit', cut: $cut->name, preparation: $one->name));
                }

                continue;
            }
            if (isset($preparations[$one->id])) {
                $field->refuse('', Message::of('roast_file.is_there_twice', preparation: $one->name));
            }
            $preparations[$one->id] = $one;
        }

        $ordered = OrderOfWork::of(array_values($preparations));
        self::refuseLongWaits($fields, $ordered);

        return $ordered;
    }

    /**
     * What may lie for minutes alone once it is done, a stuffed bird, has no longer wait after it.
     *
     * @param  list<Preparation>  $ordered
     */
    private static function refuseLongWaits(Fields $fields, array $ordered): void
    {
        $first = null;
        $waited = 0.0;
        foreach ($ordered as $one) {
            $waited += $first === null || $one->isHandwork ? 0.0 : 60.0 * ($one->hoursAsTimed() ?? 0.0);
            if ($first?->keepsMinutes !== null && $waited > $first->keepsMinutes) {
                $fields->refuse('preparations', Message::of(
                    'roast_file.not_so_long_after', first: $first->name, keeps: Quantity::duration($first->keepsMinutes),
                ));

                return;
            }
            $first = $one->keepsMinutes !== null ? $one : $first;
        }
    }

    /**
     * @param  list<Preparation>  $preparations
     * @return list<string|array<string, mixed>>
     */
    public static function write(array $preparations): array
    {
        return array_map(self::one(...), $preparations);
    }

    /** @throws OutOfRange */
    private static function own(Fields $field, int $number): Preparation
    {
        $field->only('own', 'hours', 'minutes', 'cold');
        $hours = self::hours($field);
        $minutes = self::minutes($field);
        if ($hours !== null && $minutes !== null) {
            $field->refuse('minutes', Message::of('roast_file.hours_or_minutes'));
        }

        return Preparation::own(
            $number,
            $field->text('own', 'words', self::LONGEST_WORDS),
            $hours,
            $minutes ?? ($hours === null ? self::OWN_MINUTES : 0.0),
            $field->truth('cold', 'cold', true),
        );
    }

    /** @throws OutOfRange */
    private static function row(Fields $field, ?Cut $cut): Preparation
    {
        if ($field->raw('') === null) {
            return Preparation::forCut($field->text('', 'preparation', 40), $cut);
        }
        $field->only('do', 'hours', 'minutes', 'mix');
        $row = Preparation::forCut($field->text('do', 'preparation', 40), $cut);
        $hours = self::hours($field);
        $minutes = self::minutes($field);
        if ($hours !== null && $row->isHandwork) {
            $field->refuse('hours', Message::of('roast_file.hands_take_minutes', preparation: $row->name));
        }
        if ($minutes !== null && ! $row->isHandwork) {
            $field->refuse('minutes', Message::of('roast_file.waiting_takes_hours', preparation: $row->name));
        }
        $long = $row->isHandwork ? ($minutes === null ? null : $minutes / 60.0) : $hours;
        $row = $long === null ? $row : $row->lasting($long);

        return $field->has('mix') ? $row->with(MixFile::read($field)) : $row;
    }

    private static function hours(Fields $field): ?float
    {
        return $field->optionalNumber('hours', 'hours', 0.05, Preparation::LONGEST_HOURS, Unit::Hour);
    }

    private static function minutes(Fields $field): ?float
    {
        return $field->optionalNumber('minutes', 'minutes', 0.0, Preparation::LONGEST_HANDWORK_MINUTES, Unit::Minute);
    }

    /** @return string|array<string, mixed> */
    private static function one(Preparation $one): string|array
    {
        $long = $one->hoursAsTimed();
        $time = match (true) {
            $long === null => [],
            $one->isHandwork => ['minutes' => round(60.0 * $long, 4)],
            default => ['hours' => $long],
        };
        if ($one->own !== null) {
            return ['own' => $one->own] + $time + ($one->isHandwork ? [] : ['cold' => $one->isCold]);
        }
        $usual = Preparation::named($one->id)->mix;
        $mix = match (true) {
            $one->mix?->id === $usual?->id && $one->mix?->id !== '' => [],
            default => ['mix' => MixFile::write($one->mix)],
        };

        return $time === [] && $mix === [] ? $one->id : ['do' => $one->id] + $time + $mix;
    }
}
