<?php

declare(strict_types=1);

namespace Diatherm\Day;

use Diatherm\Measure\Message;

/** One line of a run sheet. */
final readonly class Entry
{
    /**
     * @param  int|null  $dish  number of the dish, null for the whole roast
     * @param  \DateTimeImmutable|null  $earliest  with $latest, the 10–90 % window of an act that the food decides
     * @param  \DateTimeImmutable|null  $until  when it is over, when a chore comes round again, or when what is read is likely to be at its number
     * @param  bool  $late  its time has passed and it has not been done
     * @param  float|null  $minutes  of hands, where they are not the usual ones (data/hands.json)
     * @param  Work|null  $work  what it asks of hands, once the day is laid out
     * @param  Message|null  $clash  what the same hands would have to do at that moment
     */
    public function __construct(
        public EntryId $id,
        public ?int $dish,
        public Act $act,
        public \DateTimeImmutable $at,
        public Message $title,
        public ?Message $detail,
        public ?\DateTimeImmutable $earliest = null,
        public ?\DateTimeImmutable $latest = null,
        public ?\DateTimeImmutable $until = null,
        public bool $done = false,
        public bool $late = false,
        public ?float $minutes = null,
        public ?Work $work = null,
        public ?Message $clash = null,
    ) {
    }

    public function judged(bool $done, bool $late): self
    {
        return $this->changed($this->at, $this->until, $done, $late, $this->work, $this->clash);
    }

    /** Done by hands that had to be free for it. */
    public function worked(Work $work, \DateTimeImmutable $at, ?\DateTimeImmutable $until, ?Message $clash): self
    {
        return $this->changed($at, $until, $this->done, $this->late, $work, $clash);
    }

    private function changed(\DateTimeImmutable $at, ?\DateTimeImmutable $until, bool $done, bool $late, ?Work $work, ?Message $clash): self
    {
        return new self(
            $this->id,
            $this->dish,
            $this->act,
            $at,
            $this->title,
            $this->detail,
            $this->earliest,
            $this->latest,
            $until,
            $done,
            $late,
            $this->minutes,
            $work,
            $clash,
        );
    }
}
