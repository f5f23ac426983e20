<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Food\Side;
use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Measure\Unit;

/**
 * A side of the cook's own, which no table has: what they know of it by the clock. Stands in a roast's file, and by itself as a
 * `diatherm.side` that is kept and exchanged.
 */
final class OwnSideFile
{
    public const FORMAT = 'diatherm.side';

    public const VERSION = 1;

    /** In a roast's file, in place of an id of data/sides.json. */
    public const ID = 'own';

    private const LONGEST_HOW = 200;

    /** Where nothing is said. Common practice. */
    private const WAITS_MINUTES = 10.0;

    private const READY_MINUTES = 5.0;

    private const DONE_MINUTES = 2.0;

    /** @throws InvalidInput with a message at each field that cannot be used */
    public static function read(mixed $data): Side
    {
        $fields = Fields::of($data);
        $fields->only('format', 'version', 'name', 'minutes', 'how', 'waits_minutes', 'ready_minutes', 'done_minutes', 'stir_minutes', 'aisle');
        if ($fields->text('format', 'format', 40, self::FORMAT) !== self::FORMAT) {
            $fields->refuse('format', Message::of('file.format', format: self::FORMAT));
        }
        $fields->wholeNumber('version', 'version', self::VERSION, self::VERSION, self::VERSION);
        $name = $fields->text('name', 'name', Roast::LONGEST_NAME);
        $minutes = $fields->number('minutes', 'time_that_it_takes', 1.0, 1440.0, Unit::Minute);
        $side = self::facts($fields, $name, $minutes);
        $fields->orThrow();

        return $side;
    }

    /** @param  Fields  $fields  of what is known of it besides its name and its time */
    public static function facts(Fields $fields, string $name, float $minutes): Side
    {
        $aisle = $fields->text('aisle', 'aisle', 20, '');
        if ($aisle !== '' && ! in_array($aisle, Side::AISLES, true)) {
            $fields->refuse('aisle', Message::of('side_file.aisle', aisles: Side::AISLES));
            $aisle = '';
        }

        return Side::own(
            self::ID,
            $name,
            $fields->text('how', 'way_it_is_done', self::LONGEST_HOW, ''),
            $minutes,
            $fields->number('waits_minutes', 'time_that_it_waits', 0.0, 2880.0, Unit::Minute, self::WAITS_MINUTES),
            $fields->optionalNumber('stir_minutes', 'interval', 1.0, 600.0, Unit::Minute),
            $fields->number('ready_minutes', 'work_before_it', 0.0, 240.0, Unit::Minute, self::READY_MINUTES),
            $fields->number('done_minutes', 'work_after_it', 0.0, 60.0, Unit::Minute, self::DONE_MINUTES),
            $aisle === '' ? null : $aisle,
        );
    }

    /** @return array<string, mixed> the file by itself */
    public static function write(Side $side): array
    {
        $format = ['format' => self::FORMAT, 'version' => self::VERSION];

        return $format + ['name' => $side->name, 'minutes' => $side->mostMinutes] + self::known($side);
    }

    /** @return array<string, mixed> what is known of it besides its name and its time */
    public static function known(Side $side): array
    {
        return array_filter([
            'how' => $side->how === '' ? null : $side->how,
            'waits_minutes' => $side->waitsMinutes,
            'stir_minutes' => $side->stirMinutes,
            'ready_minutes' => $side->readyMinutes,
            'done_minutes' => $side->doneMinutes,
            'aisle' => $side->aisle,
        ], fn (mixed $value): bool => $value !== null);
    }
}
