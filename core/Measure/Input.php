<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** One thing that went into a number: what it is, and its figure. */
final readonly class Input
{
    private function __construct(
        public Message $label,
        public Message $figure,
    ) {
    }

    /** @param  string  $label  the last part of its id, under `input.` */
    public static function of(string $label, Quantity|Message|string|int $figure): self
    {
        return self::labelled(Message::of('input.'.$label), $figure);
    }

    public static function labelled(Message $label, Quantity|Message|string|int $figure): self
    {
        return new self($label, $figure instanceof Message ? $figure : Message::of('words.figure', figure: $figure));
    }
}
