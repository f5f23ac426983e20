<?php

declare(strict_types=1);

namespace Tests\Support;

/** Sound bodies made unsound in one to three places, the same way each time for a seed. */
final class Fuzz
{
    private const INFINITE = '__infinite__';

    private const EMPTY_OBJECT = '__object__';

    public function __construct(int $seed)
    {
        mt_srand($seed, MT_RAND_MT19937);
    }

    /**
     * @param  array<string, mixed>  $sound
     * @return string JSON, now and then none at all
     */
    public function body(array $sound): string
    {
        if (mt_rand(0, 39) === 0) {
            return ['', 'null', '[]', '{', '"text"', '17', '[[[[]]]]', "\xff\xfe", '{"a":1e999}', str_repeat('[', 600)][mt_rand(0, 9)];
        }
        $body = $sound;
        for ($i = mt_rand(1, 3); $i > 0; $i--) {
            $body = $this->spoilt($body);
        }
        $json = json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PRESERVE_ZERO_FRACTION);

        // What JSON can hold and PHP cannot write: a number beyond all numbers, an object of nothing.
        return strtr(
            (string) $json,
            ['"'.self::INFINITE.'"' => mt_rand(0, 1) === 0 ? '1e999' : '-1e999', '"'.self::EMPTY_OBJECT.'"' => '{}'],
        );
    }

    /**
     * @param  array<array-key, mixed>  $body
     * @return array<array-key, mixed>
     */
    private function spoilt(array $body): array
    {
        if ($body === []) {
            return [$this->nonsense()];
        }
        $keys = array_keys($body);
        $key = $keys[mt_rand(0, count($keys) - 1)];
        if (is_array($body[$key]) && $body[$key] !== [] && mt_rand(0, 3) > 0) {
            $body[$key] = $this->spoilt($body[$key]);

            return $body;
        }
        match (mt_rand(0, 9)) {
            0 => $body = array_diff_key($body, [$key => 0]),
            1 => $body['surprise'] = $this->nonsense(),
            default => $body[$key] = $this->nonsense($body[$key]),
        };

        return $body;
    }

    private function nonsense(mixed $was = null): mixed
    {
        $choices = [
            null, true, false, 0, -1, 1, 7, 0.5, -0.0, 1e308, -1e308, PHP_INT_MAX, PHP_INT_MIN, self::INFINITE, self::EMPTY_OBJECT, [], [[]], [null], ['a' => ['b' => 1]],
            '', ' ', 'x', '1e999', '-1e999', '12', '0x1f', "a\u{0}b", "\u{202e}kebab", '🔥', str_repeat('🔥', 60), str_repeat('x', 5000), "'; drop table roasts; --", '../../etc/passwd', '<b>', '%00',
            '2031-02-31T10:00:00Z', '2031-10-04T10:00:00+99:00', '9999999-01-01T00:00:00Z', '0000-00-00T00:00:00Z', 'now', '2031-10-04', 1759600000,
            '00000000-0000-0000-0000-000000000000', 'core', 'cooker', 'kettle', 'rest', 'on', 'set',
        ];
        if (is_int($was) || is_float($was)) {
            array_push($choices, $was * 1000, -$was, $was / 1000, (string) $was, $was + 0.001);
        }

        return $choices[mt_rand(0, count($choices) - 1)];
    }
}
