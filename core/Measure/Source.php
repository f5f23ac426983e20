<?php

declare(strict_types=1);

namespace Diatherm\Measure;

/** Where a figure comes from. Common practice has no citation; everything published has one. */
final readonly class Source
{
    private function __construct(
        public Mark $mark,
        public string $citation,
    ) {
    }

    public static function of(Mark $mark, string $citation = ''): self
    {
        if (($mark === Mark::Published || $mark === Mark::Memory) && $citation === '') {
            throw OutOfRange::unknown('citation', '');
        }

        return new self($mark, $citation);
    }

    public static function computed(): self
    {
        return new self(Mark::Computed, '');
    }

    public function inWords(): Message
    {
        return match (true) {
            $this->citation === '' => Message::of('source.'.$this->mark->value),
            $this->mark === Mark::Common => Message::of('source.common_as', citation: $this->citation),
            default => Message::of('source.'.$this->mark->value, citation: $this->citation),
        };
    }
}
