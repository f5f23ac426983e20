<?php

declare(strict_types=1);

namespace Tests\Support;

use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;

/** Messages as they cross the API, back into values. */
final class Said
{
    /** @param  array<string, mixed>  $json */
    public static function message(array $json): Message
    {
        return Message::of($json['id'], ...array_map(self::value(...), $json['values']));
    }

    /** @return Quantity|Message|\DateTimeImmutable|string|int|list<Message|string> */
    private static function value(mixed $value): Quantity|Message|\DateTimeImmutable|string|int|array
    {
        return match (true) {
            ! is_array($value) => $value,
            array_is_list($value) => array_map(self::value(...), $value),
            isset($value['moment']) => new \DateTimeImmutable($value['moment']),
            array_key_exists('unit', $value) => Quantity::of((float) ($value['value'] ?? INF), Unit::from($value['unit']), $value['digits']),
            default => self::message($value),
        };
    }
}
