<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Fields;

/** One line of a mix: so much of something. */
final readonly class MixItem
{
    /**
     * Units that a kitchen reads, in the base unit that they are kept in. Source of spoons: common practice, 5 and 15 ml.
     * Source of oz and lb: NIST SP 811, appendix B.
     */
    private const UNITS = [
        'g' => ['g', 1.0], 'gram' => ['g', 1.0], 'grams' => ['g', 1.0], 'kg' => ['g', 1000.0], 'oz' => ['g', 28.349523], 'ounce' => ['g', 28.349523], 'ounces' => ['g', 28.349523], 'lb' => ['g', 453.59237], 'lbs' => ['g', 453.59237], 'pound' => ['g', 453.59237], 'pounds' => ['g', 453.59237],
        'ml' => ['ml', 1.0], 'cl' => ['ml', 10.0], 'dl' => ['ml', 100.0], 'l' => ['ml', 1000.0], 'litre' => ['ml', 1000.0], 'litres' => ['ml', 1000.0], 'liter' => ['ml', 1000.0], 'liters' => ['ml', 1000.0],
        'tsp' => ['ml', 5.0], 'teaspoon' => ['ml', 5.0], 'teaspoons' => ['ml', 5.0], 'tbsp' => ['ml', 15.0], 'tablespoon' => ['ml', 15.0], 'tablespoons' => ['ml', 15.0], 'cup' => ['ml', 240.0], 'cups' => ['ml', 240.0],
        'part' => ['part', 1.0], 'parts' => ['part', 1.0],
    ];

    private const FRACTIONS = ['½' => 0.5, '⅓' => 1 / 3, '⅔' => 2 / 3, '¼' => 0.25, '¾' => 0.75, '⅛' => 0.125];

    private function __construct(
        public string $what,
        public float $amount,
        public string $unit,
    ) {
    }

    public static function read(Fields $fields): self
    {
        $fields->only('what', 'amount', 'unit');
        $unit = $fields->text('unit', 'unit', 12, '');
        if ($unit !== '' && ! isset(self::UNITS[$unit])) {
            $fields->refuse('unit', 'A unit is one of: g, kg, ml, l, tsp, tbsp, cup, oz, lb, part, or none.');
        }
        [$base, $factor] = self::UNITS[$unit] ?? ['', 1.0];

        return new self(
            $fields->text('what', 'ingredient', 120),
            $factor * $fields->number('amount', 'amount', 0.0, 100_000.0, '', 0.0),
            $base,
        );
    }

    /** A line as recipes print it: “1 ½ tbsp oil”, “200 g yoghurt”, “2 onions”, “salt”. */
    public static function fromLine(string $line): self
    {
        $line = trim((string) preg_replace('/\s+/', ' ', $line));
        $amount = 0.0;
        while (preg_match('#^(\d+(?:[.,]\d+)?(?:/\d+)?|[½⅓⅔¼¾⅛])\s*#u', $line, $found) === 1) {
            $amount += self::number($found[1]);
            $line = mb_substr($line, mb_strlen($found[0]));
        }
        if ($amount > 0.0 && preg_match('/^([A-Za-z]+)\.?\s+(?:of\s+)?(.+)$/u', $line, $found) === 1 && isset(self::UNITS[mb_strtolower($found[1])])) {
            [$base, $factor] = self::UNITS[mb_strtolower($found[1])];

            return new self(mb_substr($found[2], 0, 120), $factor * $amount, $base);
        }

        return new self(mb_substr($line, 0, 120), $amount, '');
    }

    public function scaled(float $factor): self
    {
        return new self($this->what, $this->amount * $factor, $this->unit);
    }

    /** As a kitchen would measure it: whole spoons under 60 ml, steps of 5, 10, 25 above; “to taste” where nothing was said. */
    public function inWords(): string
    {
        $amount = $this->amount;

        return match (true) {
            $amount <= 0.0 => 'to taste',
            $this->unit === 'part' => self::plain($amount, 1).($amount === 1.0 ? ' part' : ' parts'),
            $this->unit === '' => self::plain(max(0.5, round(2.0 * $amount) / 2.0), 1),
            $this->unit === 'g' => $amount >= 1000.0 ? self::plain($amount / 1000.0, 2).' kg' : self::stepped($amount).' g',
            $amount < 1.25 => 'a few drops',
            $amount < 12.0 => self::plain(max(0.5, round($amount / 2.5) / 2.0), 1).' tsp',
            $amount < 60.0 => self::plain(round($amount / 7.5) / 2.0, 1).' tbsp',
            $amount >= 1000.0 => self::plain($amount / 1000.0, 2).' l',
            default => self::stepped($amount).' ml',
        };
    }

    /** @return array{what: string, amount: float, unit: string} */
    public function toArray(): array
    {
        return ['what' => $this->what, 'amount' => $this->amount, 'unit' => $this->unit];
    }

    private static function number(string $text): float
    {
        if (isset(self::FRACTIONS[$text])) {
            return self::FRACTIONS[$text];
        }
        [$over, $under] = [...explode('/', str_replace(',', '.', $text)), '1'];

        return (float) $over / max(1.0, (float) $under);
    }

    private static function stepped(float $amount): string
    {
        $step = match (true) {
            $amount < 10.0 => 0.5,
            $amount < 50.0 => 1.0,
            $amount < 200.0 => 5.0,
            $amount < 500.0 => 10.0,
            default => 25.0,
        };

        return self::plain(max($step, round($amount / $step) * $step), 1);
    }

    private static function plain(float $amount, int $digits): string
    {
        return rtrim(rtrim(number_format($amount, $digits, '.', ''), '0'), '.');
    }
}
