<?php

declare(strict_types=1);

namespace Diatherm\Work;

/** When hands are up, by the clock of the table. Nobody salts a duck at half past three. Common practice. */
final readonly class WakingHours
{
    private const MORNING = 7;

    /** By when what goes before the night is begun. */
    private const EVENING = 21;

    private const NIGHT = 22;

    /** @param  \DateTimeImmutable  $zero  the moment from which minutes are counted, in the zone of the table */
    public function __construct(private \DateTimeImmutable $zero)
    {
    }

    /** Whether hands are up from one moment to another. */
    public function are(float $from, float $until): bool
    {
        $clock = $this->clock($from);

        return $from >= $this->minutesOf($clock->setTime(self::MORNING, 0)) && $from < $this->minutesOf($clock->setTime(self::NIGHT, 0))
            && $until <= $this->minutesOf($clock->setTime(self::NIGHT, 0));
    }

    /** The last moment before another, or that one, at which work that takes so long is begun in the evening. */
    public function eveningBefore(float $moment, float $handsMinutes): float
    {
        $clock = $this->clock($moment);
        $evening = fn (\DateTimeImmutable $day): float => min(
            $this->minutesOf($day->setTime(self::EVENING, 0)), $this->minutesOf($day->setTime(self::NIGHT, 0)) - $handsMinutes,
        );

        return $evening($clock) <= $moment ? $evening($clock) : $evening($clock->modify('-1 day'));
    }

    /** The first morning after a moment. */
    public function morningAfter(float $moment): float
    {
        $clock = $this->clock($moment);
        $morning = $this->minutesOf($clock->setTime(self::MORNING, 0));

        return $morning >= $moment ? $morning : $this->minutesOf($clock->modify('+1 day')->setTime(self::MORNING, 0));
    }

    private function clock(float $minutes): \DateTimeImmutable
    {
        return $this->zero->setTimestamp($this->zero->getTimestamp() + (int) round(60.0 * $minutes));
    }

    /** By the table's own clock, so that nine in the evening is nine on the night the clocks change too. */
    private function minutesOf(\DateTimeImmutable $moment): float
    {
        return ($moment->getTimestamp() - $this->zero->getTimestamp()) / 60.0;
    }
}
