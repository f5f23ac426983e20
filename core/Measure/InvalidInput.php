<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Input that cannot be read: a plain message at each field, by its dotted path. */
final class InvalidInput extends \InvalidArgumentException implements DiathermException
{
    /** @param  non-empty-array<string, list<Message>>  $messages */
    private function __construct(public readonly array $messages)
    {
        parent::__construct(array_values($messages)[0][0]->plain());
    }

    public static function atField(string $path, Message $message): self
    {
        return new self([$path => [$message]]);
    }

    /** @param  non-empty-array<string, list<Message>>  $messages */
    public static function all(array $messages): self
    {
        return new self($messages);
    }
}
