<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** A quantity outside what the rules of the job can answer for. */
final class OutOfRange extends \DomainException implements DiathermException
{
    private function __construct(public readonly string $quantity, string $message)
    {
        parent::__construct($message);
    }

    public static function notFinite(string $quantity): self
    {
        return new self($quantity, "The $quantity must be a number.");
    }

    public static function outside(string $quantity, float $least, float $most, string $unit): self
    {
        return new self(
            $quantity,
            sprintf('The %s must be between %s and %s %s.', $quantity, self::plain($least), self::plain($most), $unit),
        );
    }

    public static function unknown(string $quantity, string $id): self
    {
        return new self($quantity, sprintf('There is no %s called “%s”.', $quantity, mb_substr($id, 0, 40)));
    }

    /** @throws self when $value is not a finite number from $least to $most */
    public static function check(string $quantity, float $value, float $least, float $most, string $unit): float
    {
        if (! is_finite($value)) {
            throw self::notFinite($quantity);
        }
        if ($value < $least || $value > $most) {
            throw self::outside($quantity, $least, $most, $unit);
        }

        return $value;
    }

    private static function plain(float $value): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
    }
}
