<?php

declare(strict_types=1);

namespace Diatherm\Roast;

use Diatherm\Food\Mix;
use Diatherm\Measure\Fields;
use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\OutOfRange;

/** The mix that some work takes, in a roast's file: an id of data/mixes.json, a `diatherm.mix`, or “none”. */
final class MixFile
{
    private const NONE = 'none';

    /** @param  Fields  $fields  that have it under `mix` */
    public static function read(Fields $fields): ?Mix
    {
        $written = $fields->raw('mix');
        if ($written !== null) {
            try {
                return Mix::read($written);
            } catch (InvalidInput $wrong) {
                foreach ($wrong->messages as $path => $messages) {
                    foreach ($messages as $message) {
                        $fields->refuse("mix.$path", $message);
                    }
                }

                return null;
            }
        }
        $id = $fields->text('mix', 'mix', 40);
        if ($id !== self::NONE && ! isset(Mix::ours()[$id])) {
            $fields->refuse('mix', OutOfRange::unknown('mix', $id)->says);
        }

        return Mix::ours()[$id] ?? null;
    }

    /** @return string|array<string, mixed> */
    public static function write(?Mix $mix): string|array
    {
        return match (true) {
            $mix === null => self::NONE,
            $mix->id !== '' => $mix->id,
            default => $mix->toArray(),
        };
    }
}
