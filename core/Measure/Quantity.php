<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** A figure with its unit, to be said: whoever renders it puts it into the reader's unit and rounds it there. */
final readonly class Quantity implements \JsonSerializable
{
    /** @param  int|null  $digits  decimals shown; null for as many as it needs, up to two */
    private function __construct(
        public float $value,
        public Unit $unit,
        public ?int $digits,
    ) {
    }

    public static function of(float $value, Unit $unit, ?int $digits = 0): self
    {
        return new self($value, $unit, $digits);
    }

    public static function number(float $value, ?int $digits = 0): self
    {
        return new self($value, Unit::None, $digits);
    }

    public static function celsius(float $value, int $digits = 0): self
    {
        return new self($value, Unit::Celsius, $digits);
    }

    /** A difference of temperatures. */
    public static function kelvin(float $value, int $digits = 0): self
    {
        return new self($value, Unit::Kelvin, $digits);
    }

    public static function kg(float $value, ?int $digits = 0): self
    {
        return new self($value, Unit::Kilogram, $digits);
    }

    public static function g(float $value, int $digits = 0): self
    {
        return new self($value, Unit::Gram, $digits);
    }

    public static function cm(float $value, int $digits = 0): self
    {
        return new self($value, Unit::Centimetre, $digits);
    }

    public static function litres(float $value, int $digits = 0): self
    {
        return new self($value, Unit::Litre, $digits);
    }

    public static function hours(float $value, int $digits = 0): self
    {
        return new self($value, Unit::Hour, $digits);
    }

    public static function minutes(float $value, int $digits = 0): self
    {
        return new self($value, Unit::Minute, $digits);
    }

    /** So many minutes, said in hours and minutes from an hour on. */
    public static function duration(float $minutes): self
    {
        return new self($minutes, Unit::Duration, 0);
    }

    public static function seconds(float $value, int $digits = 0): self
    {
        return new self($value, Unit::Second, $digits);
    }

    public static function percent(float $value, int $digits = 0): self
    {
        return new self($value, Unit::Percent, $digits);
    }

    /** @return array{value: float|null, unit: string, digits: int|null} */
    public function jsonSerialize(): array
    {
        return [
            'value' => is_finite($this->value) ? round($this->value, 4) : null,
            'unit' => $this->unit->value,
            'digits' => $this->digits,
        ];
    }
}
