<?php

declare(strict_types=1);

namespace Diatherm\Obstacles;

use Diatherm\Day\Act;
use Diatherm\Day\Entry;
use Diatherm\Food\Preparation;
use Diatherm\Measure\Message;
use Diatherm\Roast\Dish;
use Diatherm\Ways\FromNow;
use Diatherm\Ways\Standing;

/** The hour is nearer than the work that is left. */
final class TooNear implements Check
{
    /** What takes longer is worth leaving out, minutes. */
    private const LONG_MINUTES = 120.0;

    /** Nobody leaves this out. */
    private const THAW = 'thaw';

    public static function of(Standing $standing): array
    {
        $sheet = $standing->plan->runSheet;
        $roast = $standing->roast();
        if (! $sheet->isTooLate() || $sheet->earliestServeAt <= $roast->serveAt) {
            return [];
        }
        $ready = ['earliest' => $sheet->earliestServeAt, 'days' => self::days($standing->now, $sheet->earliestServeAt)];
        $waysOut = [new WayOut(Message::of('obstacle.move_the_table', ...$ready), $roast->changed(serveAt: $sheet->earliestServeAt))];
        $spared = array_values(array_filter($sheet->entries, self::canBeSpared(...)));
        if ($spared !== []) {
            $waysOut[] = new WayOut(
                Message::of('obstacle.leave_out', work: array_map(fn (Entry $entry): Message => $entry->title, $spared)),
                array_reduce($spared, fn ($left, Entry $entry) => FromNow::with(
                    $left, (int) $entry->dish, self::without($left->dishes[(int) $entry->dish], $entry),
                ), $roast),
            );
        }

        return [new Obstacle(
            'too_near', Message::of('obstacle.too_near', ...$ready, asked: $roast->serveAt), waysOut: $waysOut,
        )];
    }

    /** How many days from now, by the table's calendar. */
    private static function days(\DateTimeImmutable $now, \DateTimeImmutable $then): int
    {
        return $now->setTimezone($then->getTimezone())->setTime(0, 0)->diff($then->setTime(0, 0))->days;
    }

    /** What there is no time left for and can be done without: what takes hours, but not what has to thaw. */
    private static function canBeSpared(Entry $entry): bool
    {
        return $entry->act === Act::Prepare && $entry->late && $entry->dish !== null && $entry->until !== null
            && $entry->until->getTimestamp() - $entry->at->getTimestamp() > 60.0 * self::LONG_MINUTES
            && ! str_starts_with((string) ($entry->id->parts[0] ?? ''), self::THAW);
    }

    private static function without(Dish $dish, Entry $entry): Dish
    {
        return $dish->changed(preparations: array_values(array_filter(
            $dish->preparations, fn (Preparation $one): bool => $one->id !== (string) $entry->id->parts[0],
        )));
    }
}
