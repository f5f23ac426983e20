<?php

declare(strict_types=1);

namespace Diatherm\Food;

use Diatherm\Measure\Fields;
use Diatherm\Measure\Message;
use Diatherm\Measure\Quantity;
use Diatherm\Measure\Unit;

/** One line of a mix: so much of something. */
final readonly class MixItem
{
    /**
     * Units that a kitchen reads, in the base unit that they are kept in. Source of spoons: common practice, 5 and 15 ml.
     * Source of oz and lb: NIST SP 811, appendix B.
     */
    private const UNITS = [
        'g' => ['g', 1.0],
        'gram' => ['g', 1.0],
        'grams' => ['g', 1.0],
        'kg' => ['g', 1000.0],
        'oz' => ['g', 28.349523],
        'ounce' => ['g', 28.349523],
        'ounces' => ['g', 28.349523],
        'lb' => ['g', 453.59237],
        'lbs' => ['g', 453.59237],
        'pound' => ['g', 453.59237],
        'pounds' => ['g', 453.59237],
        'ml' => ['ml', 1.0],
        'cl' => ['ml', 10.0],
        'dl' => ['ml', 100.0],
        'l' => ['ml', 1000.0],
        'litre' => ['ml', 1000.0],
        'litres' => ['ml', 1000.0],
        'liter' => ['ml', 1000.0],
        'liters' => ['ml', 1000.0],
        'tsp' => ['ml', 5.0],
        'teaspoon' => ['ml', 5.0],
        'teaspoons' => ['ml', 5.0],
        'tbsp' => ['ml', 15.0],
        'tablespoon' => ['ml', 15.0],
        'tablespoons' => ['ml', 15.0],
        'cup' => ['ml', 240.0],
        'cups' => ['ml', 240.0],
        'part' => ['part', 1.0],
        'parts' => ['part', 1.0],
        'clove' => ['clove', 1.0],
        'cloves' => ['clove', 1.0],
        'bunch' => ['bunch', 1.0],
        'bunches' => ['bunch', 1.0],
        'sprig' => ['sprig', 1.0],
        'sprigs' => ['sprig', 1.0],
        'slice' => ['slice', 1.0],
        'slices' => ['slice', 1.0],
        'pinch' => ['pinch', 1.0],
        'pinches' => ['pinch', 1.0],
    ];

    /** Bought and measured whole. */
    private const COUNTED = ['clove', 'bunch', 'sprig', 'slice', 'pinch'];

    private const FRACTIONS = ['½' => 0.5, '⅓' => 1 / 3, '⅔' => 2 / 3, '¼' => 0.25, '¾' => 0.75, '⅛' => 0.125];

    private function __construct(
        public string $what,
        public float $amount,
        public string $unit,
    ) {
    }

    /** @param  string  $unit  g, ml, part, clove, bunch, sprig, slice, pinch, or none for pieces */
    public static function of(string $what, float $amount, string $unit): self
    {
        return new self($what, $amount, $unit);
    }

    public static function read(Fields $fields): self
    {
        $fields->only('what', 'amount', 'unit');
        $unit = $fields->text('unit', 'unit', 12, '');
        if ($unit !== '' && ! isset(self::UNITS[$unit])) {
            $fields->refuse('unit', Message::of('field.mix_unit'));
        }
        [$base, $factor] = self::UNITS[$unit] ?? ['', 1.0];

        return new self(
            $fields->text('what', 'ingredient', 120),
            $factor * $fields->number('amount', 'amount', 0.0, 100_000.0, Unit::None, 0.0),
            $base,
        );
    }

    /** A line as recipes print it: “1 ½ tbsp oil”, “200 g yoghurt”, “2 onions”, “salt”. */
    public static function fromLine(string $line): self
    {
        $line = trim((string) preg_replace(['/\s+/', '/^an?\s/iu', '/,?\s*to taste$/iu'], [' ', '1 ', ''], $line));
        $amount = 0.0;
        while (preg_match('#^(\d+(?:[.,]\d+)?(?:/\d+)?|[½⅓⅔¼¾⅛])\s*#u', $line, $found) === 1) {
            $amount += self::number($found[1]);
            $line = mb_substr($line, mb_strlen($found[0]));
        }
        if ($amount > 0.0 && preg_match(
            '/^([A-Za-z]+)\.?\s+(?:of\s+)?(.+)$/u',
            $line,
            $found,
        ) === 1 && isset(self::UNITS[mb_strtolower($found[1])])) {
            [$base, $factor] = self::UNITS[mb_strtolower($found[1])];

            return new self(mb_substr($found[2], 0, 120), $factor * $amount, $base);
        }

        return new self(mb_substr($line, 0, 120), $amount, '');
    }

    /** A line as `fromLine` reads it. */
    public function toLine(): string
    {
        $amount = rtrim(rtrim(number_format($this->amount, 2, '.', ''), '0'), '.');

        if ($this->amount <= 0.0) {
            return $this->what;
        }

        return $this->unit === '' ? "$amount $this->what" : "$amount $this->unit $this->what";
    }

    public function scaled(float $factor): self
    {
        return new self($this->what, $this->amount * $factor, $this->unit);
    }

    /** As a kitchen would measure it: whole spoons under 60 ml, steps of 5, 10, 25 above; “to taste” where nothing was said. */
    public function inWords(): Message
    {
        $amount = $this->amount;
        $number = fn (float $value, int $digits): Quantity => Quantity::number(round($value, $digits), null);

        return match (true) {
            $amount <= 0.0 => Message::of('amount.to_taste'),
            $this->unit === 'part' => Message::of($amount === 1.0 ? 'amount.part' : 'amount.parts', number: $number($amount, 1)),
            $this->unit === 'bunch' && $amount < 0.75 => Message::of('amount.half_bunch'),
            in_array($this->unit, self::COUNTED, true) => Message::of("amount.$this->unit", count: (int) max(1.0, round($amount))),
            $this->unit === '' => Message::of('words.figure', figure: $number(max(0.5, round(2.0 * $amount) / 2.0), 1)),
            $this->unit === 'g' => Message::of('words.figure', figure: $amount >= 1000.0
                ? Quantity::kg(round($amount / 1000.0, 2), null)
                : Quantity::of(self::stepped($amount), Unit::Gram, null)),
            $amount < 1.25 => Message::of('amount.a_few_drops'),
            $amount < 12.0 => Message::of('amount.teaspoons', number: $number(max(0.5, round($amount / 2.5) / 2.0), 1)),
            $amount < 60.0 => Message::of('amount.tablespoons', number: $number(round($amount / 7.5) / 2.0, 1)),
            $amount >= 1000.0 => Message::of('words.figure', figure: Quantity::of(round($amount / 1000.0, 2), Unit::Litre, null)),
            default => Message::of('words.figure', figure: Quantity::of(self::stepped($amount), Unit::Millilitre, null)),
        };
    }

    /** As a shop sells it: nobody buys half a lemon. */
    public function toBuy(): Message
    {
        return in_array($this->unit, ['', ...self::COUNTED], true) ? (new self($this->what, ceil($this->amount), $this->unit))->inWords() : $this->inWords();
    }

    /** With its amount: “2 cloves garlic”, “salt to taste”. */
    public function named(): Message
    {
        return $this->amount <= 0.0
            ? Message::of('prepare.item_to_taste', what: $this->what)
            : Message::of('prepare.item', amount: $this->inWords(), what: $this->what);
    }

    /** Whether the two can be bought as one. */
    public function isLike(self $other): bool
    {
        return mb_strtolower($this->thing()) === mb_strtolower($other->thing()) && $this->unit === $other->unit;
    }

    public function plus(self $other): self
    {
        return new self($this->what === $other->what ? $this->what : $this->thing(), $this->amount + $other->amount, $this->unit);
    }

    /** Without how it is cut or kept: “garlic” of “garlic, crushed”. */
    private function thing(): string
    {
        return trim(explode(',', $this->what)[0]);
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

    private static function stepped(float $amount): float
    {
        $step = match (true) {
            $amount < 10.0 => 0.5,
            $amount < 50.0 => 1.0,
            $amount < 200.0 => 5.0,
            $amount < 500.0 => 10.0,
            default => 25.0,
        };

        return round(max($step, round($amount / $step) * $step), 1);
    }
}
