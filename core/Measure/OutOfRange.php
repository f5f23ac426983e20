<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** A quantity outside what the rules of the job can answer for. */
final class OutOfRange extends \DomainException implements DiathermException
{
    private function __construct(public readonly Message $says)
    {
        parent::__construct($says->plain());
    }

    /** @param  string|Message  $quantity  id under `quantity.`, or what it is called */
    public static function notFinite(string|Message $quantity): self
    {
        return new self(Message::of('field.number', what: self::called($quantity)));
    }

    public static function outside(string|Message $quantity, float $least, float $most, Unit $unit): self
    {
        return new self(Message::of(
            'field.between',
            what: self::called($quantity),
            least: Quantity::of($least, $unit, null),
            most: Quantity::of($most, $unit, null),
        ));
    }

    /** @param  string  $kind  of thing, an id under `quantity.` */
    public static function unknown(string $kind, string $id): self
    {
        return new self(Message::of('field.unknown', what: self::called($kind), name: mb_substr($id, 0, 40)));
    }

    /** @throws self when $value is not a finite number from $least to $most */
    public static function check(string|Message $quantity, float $value, float $least, float $most, Unit $unit): float
    {
        if (! is_finite($value)) {
            throw self::notFinite($quantity);
        }
        if ($value < $least || $value > $most) {
            throw self::outside($quantity, $least, $most, $unit);
        }

        return $value;
    }

    public static function called(string|Message $quantity): Message
    {
        return is_string($quantity) ? Message::of('quantity.'.$quantity) : $quantity;
    }
}
