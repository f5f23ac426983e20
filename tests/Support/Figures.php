<?php

declare(strict_types=1);

namespace Tests\Support;

use DateTimeInterface;
use Diatherm\Cooker\Settings;
use Diatherm\Heat\Trace;
use Diatherm\Measure\Message;

/**
 * What was worked out, as lines of text: each public value by where it stands, figures to four digits, messages as they are said, of a
 * long list a few evenly through it. What was asked for, such as cuts and cookers, is left out.
 */
final class Figures
{
    private const ASKED = ['Diatherm\Roast\\', 'Diatherm\Food\\', 'Diatherm\Rig\\', 'Diatherm\Cooker\\', 'Diatherm\Fire\Fuel', 'Diatherm\Safety\SafeMinimum', 'Diatherm\Measure\Working'];

    private const SHOWN_OF_A_LIST = 5;

    private const LONG_LIST = 12;

    /** Looked at so many times from its start to its end. */
    private const SHOWN_OF_A_TRACE = 7;

    public static function text(mixed $value): string
    {
        return implode("\n", self::lines('', $value))."\n";
    }

    /** @return list<string> */
    private static function lines(string $at, mixed $value): array
    {
        if ($value instanceof Trace) {
            return self::trace($at, $value);
        }
        if (is_object($value) && self::word($value) === null) {
            return $value instanceof \Closure || self::isAsked($value) ? [] : self::all($at, get_object_vars($value));
        }
        if (! is_array($value)) {
            return [$at.' '.self::word($value)];
        }
        $count = count($value);

        return $count <= self::LONG_LIST ? self::all($at, $value) : ["$at of $count", ...self::all($at, self::some($value))];
    }

    /** @param  array<array-key, mixed>  $values @return list<string> what is one word each on a line together */
    private static function all(string $at, array $values): array
    {
        $words = array_map(self::word(...), $values);
        $lines = [];
        $short = array_filter($words, fn (?string $word): bool => $word !== null);
        if ($short !== []) {
            $named = array_is_list($values) ? $short : array_map(fn (string $word, int|string $key): string => "$key=$word", $short, array_keys($short));
            $lines[] = trim("$at ".implode(' ', $named));
        }
        foreach ($values as $key => $one) {
            if ($words[$key] === null) {
                array_push($lines, ...self::lines(ltrim("$at.$key", '.'), $one));
            }
        }

        return $lines;
    }

    /** Null for what is more than a word. */
    private static function word(mixed $value): ?string
    {
        return match (true) {
            is_float($value) => is_finite($value) ? (string) (float) sprintf('%.3e', $value) : (string) $value,
            $value === null, is_scalar($value) => (string) json_encode($value, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES),
            $value instanceof Message => '“'.said($value).'”',
            $value instanceof \UnitEnum => $value->name,
            $value instanceof DateTimeInterface => $value->format('j/H:i:s'),
            default => null,
        };
    }

    /** @param  array<array-key, mixed>  $values @return array<array-key, mixed> */
    private static function some(array $values): array
    {
        $keys = array_keys($values);
        $shown = array_map(
            fn (int $i): int|string => $keys[(int) round($i * (count($keys) - 1) / (self::SHOWN_OF_A_LIST - 1))], range(0, self::SHOWN_OF_A_LIST - 1),
        );

        return array_intersect_key($values, array_flip($shown));
    }

    /** @return list<string> */
    private static function trace(string $at, Trace $trace): array
    {
        $end = $trace->seconds === [] ? 0.0 : max($trace->seconds);
        $at = ["$at to ".self::word($end).' s'];
        for ($i = 0; $i < self::SHOWN_OF_A_TRACE && $end > 0.0; $i++) {
            $s = $end * $i / (self::SHOWN_OF_A_TRACE - 1);
            $at[0] .= ' '.self::word($trace->coreAt($s)).'/'.self::word($trace->surfaceAt($s));
        }

        return $at;
    }

    private static function isAsked(object $value): bool
    {
        foreach (self::ASKED as $name) {
            if (str_starts_with($value::class, $name) && ! $value instanceof Settings) {
                return true;
            }
        }

        return false;
    }
}
