<?php

declare(strict_types=1);

namespace App\Models;

/** What a cook put in, as it stands at one moment, under a mark: another state has another mark, whatever else is logged. */
final readonly class Edition
{
    private function __construct(
        public string $mark,
    ) {
    }

    /** @param  array<mixed>  $state */
    public static function of(array $state): self
    {
        return new self(hash('xxh128', json_encode($state, JSON_THROW_ON_ERROR)));
    }

    /** As HTTP writes it. */
    public function tag(): string
    {
        return "\"$this->mark\"";
    }
}
