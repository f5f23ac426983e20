<?php

declare(strict_types=1);

namespace App\Http;

use Diatherm\Measure\InvalidInput;
use Diatherm\Measure\Message;
use Diatherm\Roast\RoastFile;
use stdClass;

/** A change of a document that names what changes and nothing else: null takes a member away, a list stands for the whole list. Source: RFC 7396. */
final class MergePatch
{
    private const DEEPEST = 32;

    /**
     * @param  string  $patch  JSON
     * @param  array<mixed>  $document
     * @return mixed the document with the change, decoded with arrays for objects
     *
     * @throws InvalidInput when it is too large or no JSON
     */
    public static function apply(string $patch, array $document): mixed
    {
        if (strlen($patch) > RoastFile::MOST_BYTES) {
            throw InvalidInput::atField('file', Message::of('file.too_large', kb: intdiv(RoastFile::MOST_BYTES, 1024)));
        }
        try {
            $change = json_decode($patch, false, self::DEEPEST, JSON_THROW_ON_ERROR);
            $whole = json_decode(json_encode($document, JSON_THROW_ON_ERROR), false, self::DEEPEST, JSON_THROW_ON_ERROR);
            $merged = json_encode(self::merged($whole, $change), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);

            return json_decode($merged, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw InvalidInput::atField('file', Message::of('file.not_json'));
        }
    }

    private static function merged(mixed $target, mixed $patch): mixed
    {
        if (! $patch instanceof stdClass) {
            return $patch;
        }
        $target = $target instanceof stdClass ? clone $target : new stdClass;
        foreach (get_object_vars($patch) as $name => $value) {
            if ($value === null) {
                unset($target->{$name});
            } else {
                $target->{$name} = self::merged($target->{$name} ?? null, $value);
            }
        }

        return $target;
    }
}
