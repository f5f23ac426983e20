<?php

declare(strict_types=1);

namespace App\Models;

use Diatherm\Measure\Message;

/** What a cook can have done. */
enum EventKind: string
{
    case On = 'on';
    case Stage = 'stage';
    case Pulled = 'pulled';
    /** It went on again: the pull before it stands no more. */
    case BackOn = 'back_on';
    case Carved = 'carved';
    case Tick = 'tick';
    case Basted = 'basted';
    case Turned = 'turned';
    case Fuel = 'fuel';
    /** A cooker was set anew. */
    case Set = 'set';
    case Lid = 'lid';
    case Note = 'note';
    /** Another way was taken: the plan is changed from then on. */
    case Way = 'way';

    public function inWords(): Message
    {
        return Message::of('event_kind.'.$this->value);
    }

    /** Whether it belongs to a dish, or to the cooker that one is on. */
    public function isOfADish(): bool
    {
        return ! in_array($this, [self::Tick, self::Fuel, self::Note, self::Way], true);
    }

    /** What has to have happened to the dish before; null for nothing. */
    public function after(): ?self
    {
        return match ($this) {
            self::Stage, self::Pulled => self::On,
            self::Carved, self::BackOn => self::Pulled,
            default => null,
        };
    }

    /** What has to stand for it to stand; null for nothing. */
    public function restsOn(): ?self
    {
        return $this === self::BackOn ? self::On : $this->after();
    }

    /** @return array<int, self> what a device may log by itself */
    public static function logged(): array
    {
        return array_filter(self::cases(), fn (self $kind): bool => $kind !== self::Way);
    }

    /** What takes it back when it comes after it; null for what stands. */
    public function takenBackBy(): ?self
    {
        return match ($this) {
            self::Pulled => self::BackOn,
            self::BackOn => self::Pulled,
            default => null,
        };
    }

    /** @return list<self> from the fire to the table */
    public static function steps(): array
    {
        return [self::On, self::Pulled, self::BackOn, self::Carved];
    }

    /** Whether it happens once to a dish, or once more when it was taken back. */
    public function isOnce(): bool
    {
        return in_array($this, self::steps(), true);
    }

    /** Whether the lid is off for it. */
    public function liftsLid(): bool
    {
        return in_array($this, [self::Lid, self::Basted, self::Turned], true);
    }
}
