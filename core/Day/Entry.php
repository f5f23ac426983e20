<?php

declare(strict_types=1);

namespace Diatherm\Day;

/** One line of a run sheet. */
final readonly class Entry
{
    /**
     * @param  string  $id  stays the same while the plan moves
     * @param  int|null  $dish  number of the dish, null for the whole roast
     * @param  \DateTimeImmutable|null  $earliest  with $latest, the 10–90 % window of an act that the food decides
     * @param  \DateTimeImmutable|null  $until  when it is over, or when a chore comes round again
     * @param  bool  $late  its time has passed and it has not been done
     */
    public function __construct(
        public string $id,
        public ?int $dish,
        public Act $act,
        public \DateTimeImmutable $at,
        public string $title,
        public string $detail,
        public ?\DateTimeImmutable $earliest = null,
        public ?\DateTimeImmutable $latest = null,
        public ?\DateTimeImmutable $until = null,
        public bool $done = false,
        public bool $late = false,
    ) {
    }

    public function judged(bool $done, bool $late): self
    {
        return new self(
            $this->id,
            $this->dish,
            $this->act,
            $this->at,
            $this->title,
            $this->detail,
            $this->earliest,
            $this->latest,
            $this->until,
            $done,
            $late,
        );
    }
}
